package org.jexel.core.job;

import java.util.List;
import java.util.Optional;
import org.jexel.core.cab.ControllerFeed;
import org.jexel.core.cab.ControllerModel;
import org.jexel.core.cab.Fitting;
import org.jexel.core.harness.Harness;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.RigField;

/** Station 3: the controller in this vehicle. */
public final class CabWork {
  private final JobRecord record;
  private final Once<Harness> plan;
  private final Once<List<Fitting.Finding>> fitting;

  CabWork(JobRecord record, Once<Harness> plan) {
    this.record = record;
    this.plan = plan;
    this.fitting =
        new Once<>(() -> Fitting.of(record.rig(), record.wish(), feed(), record.found()));
  }

  /** The controller's supply; empty without electric brakes. */
  public Optional<ControllerFeed> feed() {
    return ControllerFeed.of(record.rig(), plan.get());
  }

  /** Which model it is, where somebody said so. */
  public Optional<ControllerModel> model() {
    return record.found().model();
  }

  /** What was found on its cards. */
  public Fitting.Found found() {
    return record.found();
  }

  /** How the controller stands in this vehicle. */
  public List<Fitting.Finding> fitting() {
    return fitting.get();
  }

  /** Whether nobody has said yet what controller it is. */
  boolean unknown() {
    return record.rig().sheet().choice(RigField.CONTROLLER_KIND).assumed();
  }

  StationState state() {
    List<Verdict> verdicts = fitting().stream().map(Fitting.Finding::verdict).toList();
    Verdict worst = verdicts.stream().reduce(Verdict.HOLDS, Verdict::and);
    if (worst == Verdict.FAILS || !verdicts.contains(Verdict.NOT_YET)) {
      boolean proved = !fitting().isEmpty() && fitting().stream().allMatch(Fitting.Finding::proved);
      return StationState.of(worst, proved);
    }
    return unknown() ? StationState.NOT_YET : StationState.UNDER_WAY;
  }
}
