package org.jexel.core.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.OptionalDouble;
import org.jexel.core.Rigs;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.HarnessPlanner;
import org.jexel.core.harness.WireSize;
import org.jexel.core.network.Fault;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.junit.jupiter.api.Test;

/** The proof of a breakaway: pin out, current, each wheel held. */
class BreakawayChecksTest {
  private static final Rig RIG = Rigs.twoAxles(RigField.BREAKAWAY_KIT, "OWN_BATTERY");
  private static final Harness HARNESS = HarnessPlanner.plan(RIG, WireSize.GAUGES);
  private static final List<Check> SHEET = CheckSheet.of(RIG, HARNESS, OptionalDouble.empty());

  private static Check check(String id) {
    return SHEET.stream().filter(c -> c.id().equals(id)).findFirst().orElseThrow();
  }

  private static double read(String check, Fault... faults) {
    return FaultyRig.of(RIG, HARNESS, List.of(faults)).read(check(check));
  }

  private static Verdict verdict(String check, Fault... faults) {
    return check(check).band().judge(read(check, faults));
  }

  /**
   * Four magnets of 3.2 Ω are 0.8 Ω. The volts at the plug's pin with the pin out over 0.8 Ω and
   * the copper behind it are the current: by Ohm's law within a tenth.
   */
  @Test
  void theCurrentIsWhatTheVoltsDriveThroughTheMagnets() {
    double volts = check("breakaway.pulled").band().expected();
    double amps = check("breakaway.amps").band().expected();
    assertThat(amps).isCloseTo(volts / 0.85, within(0.1 * amps));
    assertThat(check("breakaway.amps").why()).contains("Each of the 4 brakes");
    assertThat(check("breakaway.amps").face()).isEmpty();
  }

  @Test
  void aQuarterOfItMissingIsOneBrakeThatIsOff() {
    Fault off = Fault.of(Fault.Kind.OPEN, "magnet_axle2_right");
    double share = read("breakaway.amps", off) / check("breakaway.amps").band().expected();
    assertThat(share).isBetween(0.74, 0.82);
    assertThat(verdict("breakaway.amps", off)).isEqualTo(Verdict.FAILS);
    assertThat(verdict("breakaway.pulled", off)).isNotEqualTo(Verdict.FAILS);
    assertThat(check("breakaway.amps").meaning(Verdict.FAILS, 10)).contains("a brake is off");
    assertThat(read("held.magnet_axle2_right", off)).isZero();
    assertThat(read("held.magnet_axle2_left", off)).isEqualTo(1);
  }

  /** Bridged it drops nothing; the wrong way round it holds off what the vehicle gives. */
  @Test
  void aMissingDiodeIsReadAcrossItAndOneThatIsTurnedAsWell() {
    assertThat(verdict("charge.diode")).isEqualTo(Verdict.HOLDS);
    assertThat(read("charge.diode")).isBetween(0.2, 0.7);
    assertThat(read("charge.diode", Fault.of(Fault.Kind.BYPASSED, "diode_breakaway")))
        .isLessThan(0.05);
    for (Fault.Kind kind : List.of(Fault.Kind.BYPASSED, Fault.Kind.REVERSED)) {
      assertThat(verdict("charge.diode", Fault.of(kind, "diode_breakaway")))
          .isEqualTo(Verdict.FAILS);
    }
    assertThat(check("charge.diode").meaning(Verdict.FAILS, 0)).contains("missing or bridged");
    assertThat(check("charge.diode").meaning(Verdict.FAILS, 1.4)).contains("wrong way round");
  }

  /** Part-way out it closes through some ohms: volts with the pin in, and fewer with it pulled. */
  @Test
  void aPinThatIsPartWayOutIsReadWithThePinIn() {
    Fault half = Fault.of(Fault.Kind.PULLED, "", 0.5);
    assertThat(verdict("breakaway.rest")).isEqualTo(Verdict.HOLDS);
    assertThat(verdict("breakaway.rest", half)).isEqualTo(Verdict.FAILS);
    assertThat(check("breakaway.rest").meaning(Verdict.FAILS, 8)).contains("part-way out");
  }

  /** What the lever proves says nothing of the breakaway. */
  @Test
  void aDeadSwitchLetsEveryWheelTurnThatHumsByTheLever() {
    Fault dead = Fault.of(Fault.Kind.OPEN, "switch_breakaway");
    assertThat(read("breakaway.amps", dead)).isCloseTo(0, within(1e-6));
    for (Check check : SHEET) {
      if (check.round().equals("held")) {
        assertThat(read(check.id(), dead)).as(check.id()).isZero();
        assertThat(read(check.id())).as(check.id()).isEqualTo(1);
      }
      if (check.measure() == Measure.HUMMING) {
        assertThat(read(check.id(), dead)).as(check.id()).isEqualTo(1);
      }
    }
    assertThat(check("breakaway.amps").meaning(Verdict.FAILS, 0)).startsWith("No brake would hold");
  }

  @Test
  void theProofAsksForEachWheelWhereAKitIsAndNowhereElse() {
    assertThat(Round.of(SHEET.stream().filter(Check::proves).toList()))
        .extracting(Round::title)
        .contains(
            "Pull the breakaway pin: each wheel must stand", "Turn each braked wheel by hand");
    Rig without = Rigs.twoAxles(RigField.BREAKAWAY_KIT, "NONE", RigField.PLANNED_BREAKAWAY, "NONE");
    Harness bare = HarnessPlanner.plan(without, WireSize.GAUGES);
    assertThat(CheckSheet.of(without, bare, OptionalDouble.empty()))
        .extracting(Check::id)
        .noneMatch(id -> id.startsWith("held.") || id.startsWith("breakaway."));
  }
}
