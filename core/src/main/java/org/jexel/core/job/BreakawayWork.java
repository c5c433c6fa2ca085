package org.jexel.core.job;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jexel.core.breakaway.BreakawayLoad;
import org.jexel.core.breakaway.CableFit;
import org.jexel.core.breakaway.SharedCharge;
import org.jexel.core.breakaway.WhatItHolds;
import org.jexel.core.harness.Harness;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.BreakawayKit;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.RigSheet;
import org.jexel.core.rig.YesNo;

/** Station 5: the breakaway's battery, its cable, and the proof of both by the pin pulled. */
public final class BreakawayWork {
  private final Rig rig;
  private final Once<BreakawayLoad> load;
  private final Once<CableFit> cable;
  private final Once<Optional<WhatItHolds>> held;
  private final Once<Harness> plan;
  private final PullTest pull;
  private final JobRecord record;
  private final UnitSystem units;

  BreakawayWork(
      JobRecord record, Once<Harness> plan, RigWork rigWork, BenchWork bench, UnitSystem units) {
    this.rig = record.rig();
    this.record = record;
    this.units = units;
    this.plan = plan;
    this.pull = new PullTest(rig, plan, bench);
    this.cable = new Once<>(() -> CableFit.of(rig.sheet(), units));
    this.load = new Once<>(() -> BreakawayLoad.of(rig, plan.get(), record.day()));
    this.held =
        new Once<>(
            () ->
                planned() && rig.hasMagnets()
                    ? Optional.of(WhatItHolds.of(rig, plan.get(), rigWork.load()))
                    : Optional.empty());
  }

  public BreakawayLoad load() {
    return load.get();
  }

  private boolean planned() {
    return rig.sheet().choice(RigField.PLANNED_BREAKAWAY, BreakawayKit.class) != BreakawayKit.NONE;
  }

  /** What it is worth on a slope and on the move; empty where no magnet hangs on a kit. */
  public Optional<WhatItHolds> held() {
    return held.get();
  }

  /** What its battery loses to what it is joined to; empty where no vehicle charges it. */
  public Optional<SharedCharge> shared() {
    return SharedCharge.of(rig, plan.get(), load());
  }

  /** Whether its battery lies indoors, out of the frost. */
  public boolean isIndoors() {
    return rig.hasElectricBrakes()
        && !isMissing()
        && rig.sheet().choice(RigField.BATTERY_INDOORS, YesNo.class) == YesNo.YES;
  }

  /** Its cable, against the tightest turn and against the chains. */
  public CableFit cable() {
    return cable.get();
  }

  /** Its proof by the pin. */
  public PullTest pull() {
    return pull;
  }

  /** As a report tells it; empty where nothing electric brakes. */
  public List<String> told() {
    return rig.hasElectricBrakes() ? BreakawayTold.of(rig, this, units) : List.of();
  }

  /** When pull test and battery are due again. */
  public Due due() {
    return Due.of(pull, load().battery(), record);
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

  /** What is wrong with it, or to be watched, in words. */
  List<String> worries() {
    List<String> worries = new ArrayList<>();
    if (isIndoors()) {
      worries.add("its battery is indoors");
    }
    if (isMissing()) {
      return worries;
    }
    if (pull.worst().isWorry()) {
      worries.add(
          pull.worst() == Verdict.FAILS
              ? "the pull of its pin fails"
              : pull.isPractised()
                  ? "the pull of its pin was only practised"
                  : "what the pull of its pin showed");
    }
    Verdict held = load().verdict().orElse(Verdict.WATCH);
    if (held != Verdict.HOLDS) {
      worries.add(
          held == Verdict.FAILS
              ? "its battery does not hold all brakes as long as it has to"
              : "how long its battery holds all brakes");
    }
    if (cable().verdict() != Verdict.HOLDS) {
      worries.add("cable: " + cable().worst().words());
    }
    if (due().verdict() != Verdict.HOLDS) {
      worries.add("pull test or battery due");
    }
    return worries;
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
    if (isIndoors()) {
      return StationState.FAILS;
    }
    boolean known = !sheet.figure(RigField.BREAKAWAY_CAPACITY).assumed() && cable().known();
    Verdict worst =
        Verdict.HOLDS
            .and(pull.worst())
            .and(load().verdict().orElse(Verdict.WATCH))
            .and(cable().verdict())
            .and(due().verdict());
    return known || worst == Verdict.FAILS
        ? StationState.of(worst, pull.isRead())
        : StationState.UNDER_WAY;
  }
}
