package org.jexel.core.job;

import java.util.List;
import org.jexel.core.breakaway.BreakawayLoad;
import org.jexel.core.breakaway.CableFit;
import org.jexel.core.check.Check;
import org.jexel.core.check.Round;
import org.jexel.core.harness.Harness;
import org.jexel.core.network.StateWord;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.BreakawayKit;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.RigSheet;

/** Station 5: the breakaway's battery, its cable, and the proof of both by the pin pulled. */
public final class BreakawayWork {
  private final Rig rig;
  private final Once<BreakawayLoad> load;
  private final Once<CableFit> cable;
  private final BenchWork bench;

  BreakawayWork(JobRecord record, Once<Harness> plan, BenchWork bench, UnitSystem units) {
    this.rig = record.rig();
    this.bench = bench;
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

  /** The bench's rounds that prove it: pin pulled, each wheel held, each free with the pin in. */
  public List<Round> proof() {
    return Round.of(bench.proof().stream().filter(BreakawayWork::proves).toList());
  }

  private static boolean proves(Check check) {
    return check.probing().setup().state().is(StateWord.BREAKAWAY)
        || check.measure() == Measure.TURNING;
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
    List<Verdict> pulled = proof().stream().map(bench::verdict).toList();
    boolean proved = !pulled.isEmpty() && !pulled.contains(Verdict.NOT_YET);
    Verdict worst =
        pulled.stream()
            .reduce(Verdict.HOLDS, Verdict::and)
            .and(load().verdict().orElse(Verdict.WATCH))
            .and(cable().verdict());
    return known || worst == Verdict.FAILS
        ? StationState.of(worst, proved)
        : StationState.UNDER_WAY;
  }
}
