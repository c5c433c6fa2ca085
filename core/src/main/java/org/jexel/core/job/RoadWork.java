package org.jexel.core.job;

import java.util.List;
import java.util.Optional;
import org.jexel.core.braking.Surface;
import org.jexel.core.braking.Train;
import org.jexel.core.harness.Harness;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.RigSheet;
import org.jexel.core.road.BrakeCurve;
import org.jexel.core.road.GainAdvice;
import org.jexel.core.road.GainFinder;
import org.jexel.core.road.GainScale;
import org.jexel.core.road.Gate;
import org.jexel.core.road.RigTrain;
import org.jexel.core.road.Setting;
import org.jexel.core.road.TestStop;

/** Station 6: what must hold before a wheel turns, and the gain that the stops lead to. */
public final class RoadWork {
  /** A trailer heavier or lighter by more is another one to its brakes. */
  private static final double SAME_LOAD = 0.1;

  private final JobRecord record;
  private final RigWork rig;
  private final Once<Gate> gate;
  private final Once<GainAdvice> advice;
  private final Once<Train> train;

  RoadWork(JobRecord record, Once<Harness> plan, RigWork rig, BenchWork bench) {
    this.record = record;
    this.rig = rig;
    this.gate = new Once<>(() -> Gate.of(bench.checks(), bench::verdict));
    this.train = new Once<>(() -> RigTrain.of(record.rig(), plan.get(), rig.load()));
    this.advice =
        new Once<>(
            () ->
                GainFinder.advise(
                    scale(),
                    BrakeCurve.of(train(), scale()),
                    surface().orElse(Surface.DRY_ASPHALT),
                    course().stream().flatMap(stop -> stop.gainStop().stream()).toList()));
  }

  /** The surface of the newest stop; empty while none was driven. */
  public Optional<Surface> surface() {
    List<TestStop> stops = record.stops();
    return stops.isEmpty() ? Optional.empty() : Optional.of(stops.get(stops.size() - 1).surface());
  }

  /** The stops that one gain is found by: of the newest one's surface, with the load of now. */
  public List<TestStop> course() {
    return record.stops().stream()
        .filter(stop -> surface().equals(Optional.of(stop.surface())))
        .filter(stop -> sameLoad(stop.trailerMass()))
        .toList();
  }

  private boolean sameLoad(double trailerMass) {
    return Math.abs(rig.load().mass() / trailerMass - 1) <= SAME_LOAD;
  }

  public Gate gate() {
    return gate.get();
  }

  public GainScale scale() {
    RigSheet sheet = record.rig().sheet();
    return new GainScale(
        sheet.si(RigField.GAIN_LEAST),
        sheet.si(RigField.GAIN_GREATEST),
        sheet.si(RigField.GAIN_STEP));
  }

  /** The rig as moving masses, its brakes as rated. */
  public Train train() {
    return train.get();
  }

  public GainAdvice advice() {
    return advice.get();
  }

  /** The newest settled gain, for whatever load it was found with. */
  public Optional<Setting> setting() {
    return record.setting();
  }

  /** The newest settled gain, if it was found with the load of now. */
  public Optional<Setting> settled() {
    return setting().filter(setting -> sameLoad(setting.trailerMass()));
  }

  StationState state() {
    if (!record.rig().hasElectricBrakes()) {
      return StationState.COMPUTED;
    }
    if (settled().isPresent()) {
      return StationState.of(Verdict.HOLDS, !record.stops().isEmpty());
    } else if (setting().isPresent()) {
      return StationState.WATCH;
    }
    if (record.stops().isEmpty()) {
      return StationState.NOT_YET;
    }
    return advice().act() == GainAdvice.Act.LOOK_FOR_FAULT
        ? StationState.FAILS
        : StationState.UNDER_WAY;
  }
}
