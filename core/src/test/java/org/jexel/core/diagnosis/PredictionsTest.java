package org.jexel.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.OptionalDouble;
import org.jexel.core.Rigs;
import org.jexel.core.check.Check;
import org.jexel.core.check.CheckSheet;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.HarnessPlanner;
import org.jexel.core.harness.WireSize;
import org.jexel.core.network.Fault;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.NoFigure;
import org.jexel.core.rig.Rig;
import org.junit.jupiter.api.Test;

/** On a rig with lamps alone, which is small. */
class PredictionsTest {
  private static final Rig RIG = Rigs.unbraked();
  private static final Harness HARNESS = HarnessPlanner.plan(RIG, WireSize.GAUGES);
  private static final List<Check> CHECKS = CheckSheet.of(RIG, HARNESS, OptionalDouble.of(12.6));
  private static final Predictions PREDICTIONS = Predictions.of(RIG, HARNESS, CHECKS);

  private static Row single(Fault.Kind kind, String part) {
    return PREDICTIONS.predicted().singles().stream()
        .filter(row -> row.hypothesis().known().size() == 1)
        .filter(row -> row.hypothesis().faults().get(0).kind() == kind)
        .filter(row -> row.hypothesis().faults().get(0).part().equals(part))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void everyCheckHasItsPlaceAndEveryHypothesisItsRow() {
    Predicted predicted = PREDICTIONS.predicted();
    assertThat(predicted.checks()).isEqualTo(CHECKS).isEqualTo(PREDICTIONS.checks());
    for (int c = 0; c < CHECKS.size(); c++) {
      assertThat(predicted.place(CHECKS.get(c).id())).isEqualTo(c);
    }
    assertThat(predicted.place("nowhere")).isEqualTo(-1);
    assertThat(predicted.healthy().hypothesis().healthy()).isTrue();
    assertThat(PREDICTIONS.hypotheses())
        .hasSameSizeAs(predicted.singles())
        .first()
        .isEqualTo(predicted.healthy().hypothesis());
  }

  @Test
  void whatIsMendedIsReadAgainWhereItChangedSomething() {
    Row earth = single(Fault.Kind.OPEN, "wire_cord_tail");
    List<String> again = PREDICTIONS.affectedBy(List.of(earth.hypothesis()));
    assertThat(again).isNotEmpty().doesNotContain(CheckSheet.SUPPLY);
    for (int c = 0; c < CHECKS.size(); c++) {
      double moved = Math.abs(earth.means()[c] - PREDICTIONS.predicted().healthy().means()[c]);
      assertThat(again.contains(CHECKS.get(c).id()))
          .as(CHECKS.get(c).id())
          .isEqualTo(moved > 0.05 * spread(PREDICTIONS.predicted().healthy().deviations()[c]));
    }
    assertThat(PREDICTIONS.affectedBy(List.of())).isEmpty();
    assertThat(PREDICTIONS.affectedBy(List.of(PREDICTIONS.hypotheses().get(0)))).isEmpty();
  }

  private static double spread(double deviation) {
    return deviation == 0 ? 1 : deviation;
  }

  /**
   * A word that stands for a figure leans nowhere, as contacts that grow worse make figures lean.
   */
  @Test
  void aFuseThatMustBlowIsPredictedToBlow() {
    int bench = PREDICTIONS.predicted().place("bench.left");
    Reading blown = Reading.first(CHECKS.get(bench), NoFigure.BLOWN.si());
    assertThat(PREDICTIONS.predicted().singles())
        .filteredOn(row -> row.means()[bench] > 100)
        .isNotEmpty()
        .allSatisfy(
            row ->
                assertThat(row.log(CHECKS.get(bench), bench, blown))
                    .as(row.hypothesis().toString())
                    .isGreaterThan(Math.log(0.99)));
  }

  /** Of a pair, each of its two alone is mended with it. */
  @Test
  void aPairThatIsMendedTakesBothWithIt() {
    Hypothesis tail = single(Fault.Kind.OPEN, "wire_cord_tail").hypothesis();
    Hypothesis left = single(Fault.Kind.OPEN, "wire_cord_left").hypothesis();
    assertThat(PREDICTIONS.affectedBy(List.of(tail.and(left, 1))))
        .containsAll(PREDICTIONS.affectedBy(List.of(tail)))
        .containsAll(PREDICTIONS.affectedBy(List.of(left)));
  }

  @Test
  void aPairIsSolvedOnceAndReadsAsBothDo() {
    Row tail = single(Fault.Kind.OPEN, "wire_cord_tail");
    Row left = single(Fault.Kind.OPEN, "wire_cord_left");
    Hypothesis both = tail.hypothesis().and(left.hypothesis(), 1);
    Row solved = PREDICTIONS.predicted().pair(both).orElseThrow();
    assertThat(PREDICTIONS.predicted().pair(both).orElseThrow()).isSameAs(solved);
    int looks = 0;
    for (int c = 0; c < CHECKS.size(); c++) {
      if (CHECKS.get(c).measure() == Measure.GLOW) {
        double darker = Math.min(tail.means()[c], left.means()[c]);
        assertThat(solved.means()[c]).as(CHECKS.get(c).id()).isLessThan(darker + 0.5);
        looks++;
      }
    }
    assertThat(looks).isPositive();
  }

  /** 3 times the ohms from one to the next: half way are √3 times, solved and not interpolated. */
  @Test
  void aSeverityBetweenTwoIsSolvedOnceAndMendedLikeThem() {
    List<Row> pins =
        PREDICTIONS.predicted().singles().stream()
            .filter(row -> !row.hypothesis().healthy())
            .filter(row -> row.hypothesis().faults().get(0).kind() == Fault.Kind.OHMS)
            .filter(row -> row.hypothesis().faults().get(0).part().equals("pin_tail"))
            .toList();
    Row middle = PREDICTIONS.predicted().halfWay(pins.get(1), pins.get(2)).orElseThrow();
    assertThat(PREDICTIONS.predicted().halfWay(pins.get(1), pins.get(2)).orElseThrow())
        .isSameAs(middle);
    double ohms = pins.get(1).hypothesis().faults().get(0).amount();
    assertThat(middle.hypothesis().faults().get(0).amount())
        .isCloseTo(Math.sqrt(3) * ohms, within(1e-9));
    int place = PREDICTIONS.predicted().place("box.tail");
    double least = pins.get(2).means()[place];
    double most = pins.get(1).means()[place];
    assertThat(middle.means()[place]).isStrictlyBetween(least, most);
    assertThat(middle.deviations()[place])
        .isBetween(Math.min(most - middle.means()[place], middle.means()[place] - least) / 2, 1.0);
    assertThat(PREDICTIONS.affectedBy(List.of(middle.hypothesis())))
        .contains("box.tail")
        .isSubsetOf(PREDICTIONS.affectedBy(List.of(pins.get(2).hypothesis())));
  }

  /** Off, it reads as the open one does, but for the hand that moves it. */
  @Test
  void whatMakesAndBreaksReadsWholeOrOff() {
    Row loose = single(Fault.Kind.LOOSE, "pin_tail");
    Row open = single(Fault.Kind.OPEN, "pin_tail");
    Row healthy = PREDICTIONS.predicted().healthy();
    assertThat(healthy.broken()).isNull();
    assertThat(open.broken()).isNull();
    assertThat(loose.broken()).isNotNull();
    int moved = 0;
    int told = 0;
    for (int c = 0; c < CHECKS.size(); c++) {
      Measure measure = CHECKS.get(c).measure();
      boolean byHand = measure == Measure.MOVING || measure == Measure.COMING;
      double off = loose.broken().means()[c];
      assertThat(off).as(CHECKS.get(c).id()).isEqualTo((byHand ? loose : open).means()[c]);
      assertThat(byHand || loose.means()[c] == healthy.means()[c]).isTrue();
      moved += byHand && off == 1 ? 1 : 0;
      told += byHand && off == 2 ? 1 : 0;
    }
    assertThat(told).isEqualTo(1);
    assertThat(moved).isPositive();
  }

  /** A touch of two conductors stands in one severity for all: 0.8 of what it moves, partly. */
  @Test
  void whatHasNoNeighboursMayBeSlighterOrWorse() {
    Row touch =
        PREDICTIONS.predicted().singles().stream()
            .filter(row -> !row.hypothesis().healthy())
            .filter(row -> row.hypothesis().faults().get(0).kind() == Fault.Kind.BRIDGE)
            .findFirst()
            .orElseThrow();
    Row healthy = PREDICTIONS.predicted().healthy();
    int moved = 0;
    for (int c = 0; c < CHECKS.size(); c++) {
      double was = healthy.means()[c];
      double is = touch.means()[c];
      if (CHECKS.get(c).measure() == Measure.VOLTS && Math.abs(is - was) > 1) {
        double partly = Math.abs(was) < 0.3 ? 0.5 : Math.min(1, Math.abs(is / was));
        double graded = 0.8 * (is - was) * partly;
        assertThat(touch.deviations()[c])
            .isCloseTo(Deviation.of(CHECKS.get(c), is, was, graded), within(1e-9));
        moved++;
      }
    }
    assertThat(moved).isPositive();
  }
}
