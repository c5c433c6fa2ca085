package org.jexel.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.jexel.core.Rigs;
import org.jexel.core.bench.Stand;
import org.jexel.core.harness.Harness;
import org.jexel.core.network.Fault;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.junit.jupiter.api.Test;

/** Left and right of one rig held against each other. */
class SideBySideTest {
  private static final Rig RIG =
      Rigs.twoAxles(RigField.ENGINE_OFF_VOLTS, 12.6, RigField.FEED_RUN, 6);
  private static final Harness HARNESS = Stand.harness(RIG);
  private static final List<Check> CHECKS = Stand.checks(RIG, HARNESS);
  private static final String LEFT = "magnet.amps.magnet_axle1_left";
  private static final String RIGHT = "magnet.amps.magnet_axle1_right";

  private static Optional<Check> check(String id) {
    return CHECKS.stream().filter(c -> c.id().equals(id)).findFirst();
  }

  private static Optional<SideBySide> sides(String id, Map<String, Double> read) {
    return SideBySide.of(check(id).orElseThrow(), SideBySideTest::check, read);
  }

  private static Verdict verdict(String id, double left, double right) {
    return sides(id, Map.of(LEFT, left, RIGHT, right)).orElseThrow().verdict();
  }

  /** 15 % of the greater; half as much again is to be watched. */
  @Test
  void currentsLieWithinFifteenPercentOfTheGreater() {
    assertThat(verdict(LEFT, 3.0, 2.6)).isEqualTo(Verdict.HOLDS);
    assertThat(verdict(LEFT, 3.0, 2.4)).isEqualTo(Verdict.WATCH);
    assertThat(verdict(LEFT, 3.0, 2.2)).isEqualTo(Verdict.FAILS);
    double expected =
        check(RIGHT).orElseThrow().band().expected() / check(LEFT).orElseThrow().band().expected();
    double apart = 100 * (1 - 2.2 / 3.0 / expected);
    assertThat(sides(RIGHT, Map.of(LEFT, 3.0, RIGHT, 2.2)).orElseThrow().words())
        .contains("%.0f %% apart".formatted(apart), check(RIGHT).orElseThrow().title());
    assertThat(sides(LEFT, Map.of(LEFT, 3.0))).isEmpty();
    assertThat(sides(LEFT, Map.of(LEFT, 0.0, RIGHT, 0.0))).isEmpty();
    assertThat(sides("socket.left", Map.of("socket.left", 12.6, "socket.right", 3.0))).isEmpty();
  }

  /** From a bench supply the two indicator pins draw alike; the tail pin has no other side. */
  @Test
  void theIndicatorsPinsAreHeldAgainstEachOther() {
    Map<String, Double> read = Map.of("bench.left", 2.1, "bench.right", 1.2, "bench.tail", 3.0);
    assertThat(sides("bench.left", read).orElseThrow().verdict()).isEqualTo(Verdict.FAILS);
    assertThat(sides("bench.right", read).orElseThrow().verdict()).isEqualTo(Verdict.FAILS);
    assertThat(sides("bench.tail", read)).isEmpty();
  }

  @Test
  void magnetsOfAnAxleLieWithinATenthOrThreeTenthsOfAnOhm() {
    Map<String, Double> read = new HashMap<>(Map.of(LEFT, 3.2, RIGHT, 3.2));
    String volts = "magnet.volts.magnet_axle1_";
    read.put(volts + "left", 3.2 * 3.2);
    assertThat(sides(volts + "left", read)).isEmpty();
    read.put(volts + "right", 3.2 * 3.49);
    assertThat(sides(volts + "left", read).orElseThrow().verdict()).isEqualTo(Verdict.HOLDS);
    read.put(volts + "right", 3.2 * 3.6);
    assertThat(sides(volts + "left", read).orElseThrow().verdict()).isEqualTo(Verdict.WATCH);
    read.put(volts + "right", 3.2 * 4.0);
    assertThat(sides(LEFT, read).orElseThrow().verdict()).isEqualTo(Verdict.FAILS);
    assertThat(sides(LEFT, read).orElseThrow().words()).contains("3.20 Ω", "4.00 Ω", "0.40 Ω");
  }

  @Property
  void itIsTheSameFromEitherSideAndBlindToWhatBothShare(
      @ForAll @DoubleRange(min = 0.5, max = 4) double left,
      @ForAll @DoubleRange(min = 0.5, max = 4) double right,
      @ForAll @DoubleRange(min = 0.5, max = 2) double shared) {
    Verdict seen = verdict(LEFT, left, right);
    assertThat(verdict(RIGHT, left, right)).isEqualTo(seen);
    double apart = Math.abs(left - right) / Math.max(left, right);
    if (Math.abs(apart - 0.15) > 0.02 && Math.abs(apart - 0.225) > 0.02) {
      assertThat(verdict(LEFT, shared * left, shared * right)).isEqualTo(seen);
    }
  }

  /** A joint that halves one wheel's current shows; a sound rig's scatter does not. */
  @Test
  void aPoorJointShowsAndASoundRigsScatterDoesNot() {
    assertThat(onTheStand(List.of())).isNotEqualTo(Verdict.FAILS);
    assertThat(onTheStand(Fault.parse("open:magnet_axle1_right"))).isEqualTo(Verdict.FAILS);
  }

  private static Verdict onTheStand(List<Fault> faults) {
    Stand stand = new Stand(RIG, HARNESS, faults, new Random(5));
    return verdict(
        LEFT, stand.read(check(LEFT).orElseThrow()), stand.read(check(RIGHT).orElseThrow()));
  }
}
