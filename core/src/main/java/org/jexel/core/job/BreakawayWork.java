package org.jexel.core.job;

import org.jexel.core.breakaway.BreakawayLoad;
import org.jexel.core.breakaway.CableFit;
import org.jexel.core.harness.Harness;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.BreakawayKit;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.RigSheet;

/** Station 5: the breakaway, and how long its battery holds the brakes. */
public final class BreakawayWork {
  private final Rig rig;
  private final Once<BreakawayLoad> load;
  private final Once<CableFit> cable;

  BreakawayWork(JobRecord record, Once<Harness> plan, UnitSystem units) {
    this.rig = record.rig();
    this.cable = new Once<>(() -> CableFit.of(rig.sheet(), units));
    this.load = new Once<>(() -> BreakawayLoad.of(rig, plan.get()));
  }

  public BreakawayLoad load() {
    return load.get();
  }

  /** Its cable, against the tightest turn and against the chains. */
  public CableFit cable() {
    return cable.get();
  }

  /**
   * Whether the cable does not fit, or is still to be measured.
   *
   * @param wanted whether this job asks for its measure
   */
  boolean cableAsks(boolean wanted) {
    return rig.hasElectricBrakes()
        && !isMissing()
        && (cable().verdict() == Verdict.FAILS || wanted && !cable().known());
  }

  /** Whether electric brakes stand without a kit. */
  boolean isMissing() {
    return rig.hasElectricBrakes()
        && rig.sheet().choice(RigField.BREAKAWAY_KIT, BreakawayKit.class) == BreakawayKit.NONE;
  }

  StationState state() {
    RigSheet sheet = rig.sheet();
    if (!rig.hasElectricBrakes()) {
      return StationState.COMPUTED;
    }
    if (isMissing()) {
      return sheet.choice(RigField.BREAKAWAY_KIT).assumed()
          ? StationState.NOT_YET
          : StationState.FAILS;
    }
    boolean known = !sheet.figure(RigField.BREAKAWAY_CAPACITY).assumed() && cable().known();
    Verdict worst = load().verdict().orElse(Verdict.WATCH).and(cable().verdict());
    return known || worst == Verdict.FAILS ? StationState.computed(worst) : StationState.UNDER_WAY;
  }
}
