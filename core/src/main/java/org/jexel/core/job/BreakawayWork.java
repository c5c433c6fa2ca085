package org.jexel.core.job;

import org.jexel.core.breakaway.BreakawayLoad;
import org.jexel.core.harness.Harness;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.BreakawayKit;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.RigSheet;

/** Station 5: the breakaway, and how long its battery holds the brakes. */
public final class BreakawayWork {
  private final Rig rig;
  private final Once<BreakawayLoad> load;

  BreakawayWork(JobRecord record, Once<Harness> plan) {
    this.rig = record.rig();
    this.load = new Once<>(() -> BreakawayLoad.of(rig, plan.get()));
  }

  public BreakawayLoad load() {
    return load.get();
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
    return sheet.figure(RigField.BREAKAWAY_CAPACITY).assumed()
        ? StationState.UNDER_WAY
        : StationState.computed(load().verdict().orElse(Verdict.WATCH));
  }
}
