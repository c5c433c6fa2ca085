package org.jexel.core.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.jexel.core.Rigs;
import org.jexel.core.bench.Stand;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.HarnessPlanner;
import org.jexel.core.harness.WireSize;
import org.jexel.core.network.Element;
import org.jexel.core.network.Fault;
import org.jexel.core.network.Lit;
import org.jexel.core.network.Network;
import org.jexel.core.network.RigNetwork;
import org.jexel.core.network.RigState;
import org.jexel.core.network.StateWord;
import org.jexel.core.network.Tolerance;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.NoFigure;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.junit.jupiter.api.Test;

class CheckSheetTest {
  private static final double PULLS = 0.8;

  private static List<Check> sheet(Rig rig, OptionalDouble supply) {
    return CheckSheet.of(rig, HarnessPlanner.plan(rig, WireSize.GAUGES), supply);
  }

  private static Check check(Rig rig, String id, double supply) {
    return sheet(rig, OptionalDouble.of(supply)).stream()
        .filter(c -> c.id().equals(id))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void anUnbrakedTrailerHasNoBrakeChecks() {
    List<Check> checks = sheet(Rigs.unbraked(), OptionalDouble.empty());
    assertThat(checks)
        .noneMatch(c -> c.function() == PinFunction.BRAKE)
        .noneMatch(c -> c.measure() == Measure.TURNING || c.measure() == Measure.HUMMING);
    assertThat(proving(checks))
        .containsExactly(
            "supply.battery",
            "socket.tail",
            "socket.left",
            "socket.right",
            "loaded.tail",
            "clamp.tail",
            "loaded.left",
            "loaded.right",
            "loaded.return",
            "look.tail",
            "look.left",
            "look.right",
            "look.tail+left",
            "look.tail+right",
            "look.tail+stop",
            "kind",
            "rear.rear_left",
            "rear.rear_right");
  }

  private static List<String> proving(List<Check> checks) {
    return Round.of(checks.stream().filter(Check::proves).toList()).stream()
        .map(Round::id)
        .toList();
  }

  @Test
  void aBrakedTrailerIsCheckedFromTheSupplyToTheBrakes() {
    List<Check> checks = sheet(Rigs.twoAxles(), OptionalDouble.empty());
    assertThat(checks.get(0).id()).isEqualTo("supply.battery");
    assertThat(proving(checks))
        .containsSubsequence(
            "socket.tail",
            "loaded.tail",
            "brake.resistance",
            "brake.unasked",
            "wakes",
            "brake.volts",
            "brake.amps",
            "charge.box",
            "charge.battery",
            "look.tail",
            "hums",
            "rear.rear_left",
            "rear.rear_right",
            "box.breakaway",
            "breakaway.rest",
            "breakaway.pulled",
            "breakaway.amps",
            "held",
            "turns",
            "breakaway.after");
    assertThat(checks).extracting(Check::group).isSortedAccordingTo((a, b) -> a.compareTo(b));
    Set<String> ids = new HashSet<>();
    assertThat(checks).allSatisfy(c -> assertThat(ids.add(c.id())).isTrue());
  }

  @Test
  void aPinWithoutLoadShowsTheBattery() {
    for (Check check : sheet(Rigs.twoAxles(), OptionalDouble.of(12.45))) {
      if (check.group() == Check.Group.SOCKET) {
        // Less what the vehicle's own lamps take on the way.
        boolean own = check.function() != PinFunction.CHARGE;
        assertThat(check.band().expected())
            .as(check.id())
            .isCloseTo(12.45, within(own ? 0.1 : 1e-3));
      }
    }
  }

  @Test
  void aBatteryThatWasReadMovesAndNarrowsWhatFollows() {
    Rig rig = Rigs.twoAxles();
    Band assumed = sheet(rig, OptionalDouble.empty()).get(1).band();
    Band read = sheet(rig, OptionalDouble.of(12.31)).get(1).band();
    assertThat(read.expected()).isLessThan(assumed.expected());
    assertThat(read.high() - read.low()).isLessThan((assumed.high() - assumed.low()) / 3);
  }

  /** 12.22 V is a battery half empty, be it read, entered or neither. */
  @Test
  void aBatteryHoldsByWhatAChargedOneShowsAndNotByWhatWasEntered() {
    for (Rig rig : List.of(Rigs.twoAxles(), Rigs.twoAxles(RigField.ENGINE_OFF_VOLTS, 12.22))) {
      Band band = sheet(rig, OptionalDouble.empty()).get(0).band();
      assertThat(band.expected()).isCloseTo(12.6, within(1e-6));
      assertThat(band.judge(12.22)).isEqualTo(Verdict.WATCH);
      assertThat(band.judge(12.39)).isEqualTo(Verdict.WATCH);
      assertThat(band.judge(12.45)).isEqualTo(Verdict.HOLDS);
      assertThat(band.judge(12.9)).isEqualTo(Verdict.HOLDS);
      assertThat(band.judge(11.9)).isEqualTo(Verdict.FAILS);
    }
  }

  @Test
  void theBrakeCircuitIsTheMagnetsSideBySideAndItsCopper() {
    Band two = check(Rigs.oneAxle(), "brake.resistance", 12.6).band();
    Band four = check(Rigs.twoAxles(), "brake.resistance", 12.6).band();
    assertThat(two.expected()).isBetween(3.2 / 2, 3.2 / 2 + 0.12);
    assertThat(four.expected()).isBetween(3.2 / 4, 3.2 / 4 + 0.12);
  }

  @Test
  void oneMagnetOffIsOutsideTheBandAndOneShortedToo() {
    Band two = check(Rigs.oneAxle(), "brake.resistance", 12.6).band();
    assertThat(two.judge(3.3)).isEqualTo(Verdict.FAILS);
    assertThat(two.judge(0.9)).isEqualTo(Verdict.FAILS);
    Band four = check(Rigs.twoAxles(), "brake.amps", 12.6).band();
    assertThat(four.judge(four.expected() * 0.75)).isEqualTo(Verdict.FAILS);
  }

  @Test
  void anActuatorIsProvedByItsPumpsCurrentAndNotByOhmsOnItsInput() {
    Rig rig =
        Rigs.rig(
            Rigs.sheet(
                RigField.BRAKE_TYPE, "ELECTRIC_HYDRAULIC",
                RigField.TOW_CONNECTOR, "blade-7",
                RigField.TRAILER_CONNECTOR, "blade-7"));
    assertThat(sheet(rig, OptionalDouble.of(12.6)))
        .extracting(Check::id)
        .contains("brake.pump", "brake.supply", "charge.box")
        .doesNotContain("brake.resistance", "brake.amps");
    assertThat(check(rig, "brake.pump", 12.6).band().expected()).isBetween(15.0, 30.0);
  }

  /** Healthy rigs drawn from the stated tolerances read inside the band about 95 times in 100. */
  @Test
  void theBandHoldsAboutNineteenHealthyRigsOfTwenty() {
    Rig rig = Rigs.twoAxles();
    Harness harness = HarnessPlanner.plan(rig, WireSize.GAUGES);
    RigNetwork nominal = RigNetwork.of(rig, harness, RigState.of(StateWord.LEVER));
    Band volts =
        CheckSheet.of(rig, harness, OptionalDouble.empty()).stream()
            .filter(c -> c.id().equals("brake.volts"))
            .findFirst()
            .orElseThrow()
            .band();
    Random random = new Random(20);
    int tries = 2000;
    int inside = 0;
    for (int i = 0; i < tries; i++) {
      Network drawn = drawn(nominal, random);
      double reading = drawn.solve().volts("sock_brake", "sock_earth");
      reading += random.nextGaussian() * (0.005 * reading + 0.02) / 2;
      if (volts.judge(reading) == Verdict.HOLDS) {
        inside++;
      }
    }
    assertThat((double) inside / tries).isBetween(0.93, 0.995);
  }

  /** The same network with every parameter drawn inside its tolerance, taken as two deviations. */
  private static Network drawn(RigNetwork nominal, Random random) {
    Map<String, Double> drawn = new HashMap<>();
    for (Tolerance t : nominal.tolerances()) {
      double z = random.nextGaussian() / 2;
      drawn.put(t.element(), t.nominal() + (z < 0 ? z * t.below() : z * t.above()));
    }
    Network network = new Network(Harness.BATTERY_MINUS);
    for (Element e : nominal.network().elements()) {
      double value = drawn.getOrDefault(e.name(), Double.NaN);
      network.add(
          e instanceof Element.Resistor r && drawn.containsKey(e.name())
              ? new Element.Resistor(r.name(), r.a(), r.b(), Math.max(1e-6, value))
              : e instanceof Element.Source s
                  ? new Element.Source(s.name(), s.plus(), s.minus(), value, s.ohms())
                  : e instanceof Element.Converter c
                      ? new Element.Converter(
                          c.name(), c.in(), c.out(), c.share(), Math.max(0, value))
                      : e);
    }
    return network;
  }

  @Property
  void aVerdictNeverImprovesFurtherFromTheBand(
      @ForAll @DoubleRange(min = 0, max = 3) double near,
      @ForAll @DoubleRange(min = 0, max = 3) double more) {
    Band band = new Band(12, 11.8, 12.3);
    assertThat(band.judge(12.3 + near + more)).isGreaterThanOrEqualTo(band.judge(12.3 + near));
    assertThat(band.judge(11.8 - near - more)).isGreaterThanOrEqualTo(band.judge(11.8 - near));
  }

  @Test
  void insideHoldsJustOutsideIsWatchedFurtherFails() {
    Band band = new Band(12, 11.8, 12.2);
    assertThat(band.judge(12.2)).isEqualTo(Verdict.HOLDS);
    assertThat(band.judge(12.35)).isEqualTo(Verdict.WATCH);
    assertThat(band.judge(12.41)).isEqualTo(Verdict.FAILS);
    assertThatThrownBy(() -> new Band(1, 2, 3)).hasMessageContaining("does not hold");
  }

  /** Of magnets that nobody has read, a tenth less current is no proof of a fault; a quarter is. */
  @Test
  void whatOtherMagnetsCanExplainIsWatchedUntilOneIsRead() {
    Check assumed = check(Rigs.twoAxles(), "brake.amps", 12.6);
    assertThat(assumed.band().expected()).isBetween(13.0, 14.0);
    assertThat(assumed.band().judge(12)).isEqualTo(Verdict.WATCH);
    assertThat(assumed.meaning(Verdict.WATCH, 12)).contains("read one off its leads");
    assertThat(assumed.meaning(Verdict.WATCH, assumed.band().low() - 0.05)).contains("Clean");
    Check known = check(Rigs.twoAxles(RigField.MAGNET_OHMS, 3.2), "brake.amps", 12.6);
    assertThat(known.band().judge(12)).isEqualTo(Verdict.FAILS);
    Harness harness = Stand.harness(Rigs.twoAxles());
    Fault off = Fault.of(Fault.Kind.OPEN, "magnet_axle2_left");
    double three = FaultyRig.of(Rigs.twoAxles(), harness, List.of(off)).read(assumed);
    assertThat(assumed.band().judge(three)).isEqualTo(Verdict.FAILS);
  }

  /** No ohms are asked of a diode lamp, and a chafe beside it fails all the same. */
  @Test
  void aCircuitOfNoResistorsShowsAnyManyOhmsOrNone() {
    Check dead = check(Rigs.twoAxles(RigField.LAMP_TECHNOLOGY, "LED"), "dead.left", 12.6);
    assertThat(dead.band().judge(NoFigure.OPEN.si())).isEqualTo(Verdict.HOLDS);
    assertThat(dead.band().judge(4700)).isEqualTo(Verdict.HOLDS);
    assertThat(dead.band().judge(0.2)).isEqualTo(Verdict.FAILS);
  }

  /** What the sum comes to; of a lamp's light the word for it. */
  private static Object summed(Check check) {
    double sum = check.sum().si();
    return switch (check.measure()) {
      case GLOW -> Lit.word(sum);
      // What hums, drags or grips draws its current, and nothing else does.
      case TURNING, HUMMING, GRIPPING -> sum > PULLS ? 1.0 : 0.0;
      default -> sum;
    };
  }

  private static Object expected(Check check) {
    double expected = check.band().expected();
    return check.measure() == Measure.GLOW
        ? Measure.GLOW.words().get((int) Math.round(expected))
        : expected;
  }

  @Test
  void everyCheckTellsWhereToStandWhatToHoldAndWhy() {
    for (Check check : sheet(Rigs.twoAxles(), OptionalDouble.empty())) {
      assertThat(check.state()).isNotBlank();
      assertThat(check.place()).isNotBlank();
      assertThat(check.red()).isNotEqualTo(check.black());
      assertThat(check.why()).isNotBlank();
      assertThat(summed(check)).as(check.id()).isEqualTo(expected(check));
      for (Verdict verdict : Verdict.values()) {
        assertThat(check.meaning(verdict, 0)).endsWith(".");
        assertThat(check.meaning(verdict, 1e4)).isNotBlank();
      }
    }
  }

  @Test
  void ohmsAreToldInOhmsAndTheMagnetsWidenThemMost() {
    Check check = check(Rigs.oneAxle(), "brake.resistance", 12.6);
    assertThat(check.measure()).isEqualTo(Measure.OHMS);
    assertThat(check.function()).isEqualTo(PinFunction.BRAKE);
    assertThat(check.influences().get(0).element()).startsWith("magnet_");
  }

  @Test
  void returnsThatAreSharedLowerWhatALampSeesButNotWhatTheSocketSays() {
    Rig rig = Rigs.twoAxles();
    Harness harness = HarnessPlanner.plan(rig, WireSize.GAUGES);
    var one = RigNetwork.of(rig, harness, RigState.of(StateWord.LEFT)).network().solve();
    var both =
        RigNetwork.of(rig, harness, RigState.of(StateWord.LEFT, StateWord.TAIL)).network().solve();
    assertThat(both.volts("left_rear_left", "earth_rear_left"))
        .isLessThan(one.volts("left_rear_left", "earth_rear_left"));
  }

  /** Thicker copper may turn a word into its neighbour. */
  private static double wordApart(Check check) {
    return check.measure().words().isEmpty() ? 0.6 : 1;
  }

  @Property
  void aWordHoldsIfItIsNearAndTheNextButOneNever(
      @ForAll @DoubleRange(min = 0, max = 3) double place) {
    Band band = Band.ofWords(place, 4);
    for (int word = 0; word < 4; word++) {
      Verdict verdict = band.judge(word);
      double apart = Math.abs(word - place);
      if (Math.abs(apart - Band.SAYABLE) > 1e-9) {
        assertThat(verdict).isEqualTo(apart < Band.SAYABLE ? Verdict.HOLDS : Verdict.FAILS);
      }
    }
  }

  @Test
  void aMetricShelfGivesTheSameChecksWithOtherCopper() {
    Rig rig = Rigs.oneAxle();
    List<Check> metric =
        CheckSheet.of(rig, HarnessPlanner.plan(rig, WireSize.METRIC), OptionalDouble.of(12.6));
    List<Check> gauges = sheet(rig, OptionalDouble.of(12.6));
    assertThat(metric).extracting(Check::id).isEqualTo(gauges.stream().map(Check::id).toList());
    for (int i = 0; i < metric.size(); i++) {
      assertThat(metric.get(i).band().expected())
          .as(metric.get(i).id())
          .isCloseTo(gauges.get(i).band().expected(), within(wordApart(metric.get(i))));
    }
  }
}
