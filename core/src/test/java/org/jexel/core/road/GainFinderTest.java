package org.jexel.core.road;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.jexel.core.Rigs;
import org.jexel.core.braking.Surface;
import org.jexel.core.harness.HarnessPlanner;
import org.jexel.core.harness.WireSize;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.LoadItem;
import org.jexel.core.rig.LoadSheet;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.junit.jupiter.api.Test;

class GainFinderTest {
  private static final GainScale HALVES = new GainScale(0, 10, 0.5);
  private static final BrakeCurve LIGHT = curve(600);
  private static final BrakeCurve HEAVY = curve(2600);

  private static BrakeCurve curve(double load) {
    Rig rig =
        Rigs.rig(
            Rigs.sheet(
                RigField.AXLE_COUNT, 2,
                RigField.BRAKE_TYPE, "ELECTRIC",
                RigField.TOW_CONNECTOR, "blade-7",
                RigField.TRAILER_CONNECTOR, "blade-7",
                RigField.CONTROLLER_KIND, "UNDER_DASH",
                RigField.AXLE_RATING, 1600,
                RigField.EMPTY_MASS, 700),
            new LoadItem("goods", load, 3.0));
    return BrakeCurve.of(
        RigTrain.of(rig, HarnessPlanner.plan(rig, WireSize.GAUGES), LoadSheet.of(rig)), HALVES);
  }

  private static GainStop stop(double gain, Outcome outcome) {
    return new GainStop(gain, outcome);
  }

  private static GainAdvice advise(BrakeCurve curve, GainStop... stops) {
    return GainFinder.advise(HALVES, curve, Surface.DRY_ASPHALT, List.of(stops));
  }

  private static boolean asks(GainAdvice advice) {
    return advice.act() != GainAdvice.Act.SETTLE && advice.act() != GainAdvice.Act.LOOK_FOR_FAULT;
  }

  /** Follows the advice on a rig that locks from one gain on; outcomes are wrong one time in n. */
  private static List<GainStop> drive(double locksFrom, Random wrong, int oneIn) {
    List<GainStop> stops = new ArrayList<>();
    GainAdvice advice = GainFinder.advise(HALVES, LIGHT, Surface.DRY_ASPHALT, stops);
    while (asks(advice) && stops.size() < 40) {
      boolean locks = advice.gain() >= locksFrom - 1e-9;
      if (oneIn > 0 && wrong.nextInt(oneIn) == 0) {
        locks = !locks;
      }
      stops.add(stop(advice.gain(), locks ? Outcome.LOCKED : Outcome.FIRM));
      advice = GainFinder.advise(HALVES, LIGHT, Surface.DRY_ASPHALT, stops);
    }
    return stops;
  }

  /** At the middle, or below it where the rig by itself says that it locks sooner. */
  @Test
  void theFirstStopIsNeverAboveTheMiddle() {
    assertThat(advise(HEAVY).gain()).isEqualTo(5);
    GainAdvice light = advise(LIGHT);
    assertThat(light.gain()).isLessThan(5);
    assertThat(light.reason()).contains("may lock from");
    assertThat(light.act()).isEqualTo(GainAdvice.Act.TRY);
  }

  /** Straight outcomes, wherever the lock lies within what brakes of this kind can be. */
  @Property(tries = 60)
  void theHighestGainThatDoesNotLockIsFoundWithinAStep(
      @ForAll @IntRange(min = 4, max = 19) int mark) {
    List<GainStop> stops = drive(mark * 0.5, new Random(0), 0);
    GainAdvice end = GainFinder.advise(HALVES, LIGHT, Surface.DRY_ASPHALT, stops);
    assertThat(end.act()).isEqualTo(GainAdvice.Act.SETTLE);
    assertThat(end.gain()).isCloseTo(mark * 0.5 - 0.5, within(0.51));
    assertThat(end.gain()).as("it never settles on one that locks").isLessThan(mark * 0.5);
    assertThat(stops).hasSizeLessThanOrEqualTo(GainFinder.MOST_STOPS);
    assertThat(stops).anyMatch(s -> s.gain() == end.gain() && !s.outcome().locked());
  }

  @Property(tries = 60)
  void wrongOutcomesNeverMakeItLoopAndNeverLeaveTheScale(
      @ForAll long seed, @ForAll @IntRange(min = 1, max = 21) int mark) {
    List<GainStop> stops = drive(mark * 0.5, new Random(seed), 5);
    assertThat(stops).hasSizeLessThanOrEqualTo(GainFinder.MOST_STOPS);
    assertThat(stops).allSatisfy(s -> assertThat(HALVES.isMark(s.gain())).isTrue());
  }

  /** Outcomes of no rig at all: whatever they say, no tyre is flattened to find out. */
  @Property(tries = 60)
  void nothingIsDrivenAboveAMarkThatLockedOftenerThanItHeld(
      @ForAll @Size(min = 1, max = 6) List<@IntRange(min = 1, max = 20) Integer> marks,
      @ForAll long seed) {
    Random any = new Random(seed);
    GainStop[] stops =
        marks.stream()
            .map(m -> stop(0.5 * m, any.nextBoolean() ? Outcome.LOCKED : Outcome.FIRM))
            .toArray(GainStop[]::new);
    GainAdvice advice = advise(LIGHT, stops);
    for (GainStop at : stops) {
      long locked =
          Stream.of(stops).filter(s -> s.gain() == at.gain() && s.outcome().locked()).count();
      long all = Stream.of(stops).filter(s -> s.gain() == at.gain()).count();
      if (2 * locked > all && advice.act() != GainAdvice.Act.LOOK_FOR_FAULT) {
        assertThat(advice.gain()).as(advice.reason()).isLessThanOrEqualTo(at.gain());
      }
    }
  }

  @Test
  void whatLockedOnceIsNotDrivenAgainAboveWhatLockedTwice() {
    GainAdvice advice =
        advise(
            LIGHT,
            stop(1, Outcome.LOCKED),
            stop(1, Outcome.LOCKED),
            stop(1.5, Outcome.LOCKED),
            stop(2.5, Outcome.FIRM));
    assertThat(advice.act() == GainAdvice.Act.LOOK_FOR_FAULT || advice.gain() <= 1)
        .as(advice.reason())
        .isTrue();
  }

  @Test
  void stopsThatContradictAskForTheLowerOneAgain() {
    GainAdvice advice = advise(LIGHT, stop(5, Outcome.FIRM), stop(2, Outcome.LOCKED));
    assertThat(advice.act()).isEqualTo(GainAdvice.Act.REPEAT);
    assertThat(advice.gain()).isEqualTo(2);
    assertThat(advice.reason()).startsWith("2 locked, and 5 held");
    GainAdvice after =
        advise(LIGHT, stop(5, Outcome.FIRM), stop(2, Outcome.LOCKED), stop(2, Outcome.FIRM));
    assertThat(after.gain()).isGreaterThan(2);
  }

  @Property(tries = 30)
  void whileNothingLocksAStepUpTakesAtMostHalfOfWhatRemains(
      @ForAll @IntRange(min = 1, max = 18) int mark) {
    double gain = mark * 0.5;
    GainAdvice advice = advise(HEAVY, stop(gain, Outcome.FIRM));
    assertThat(advice.gain() - gain).isLessThanOrEqualTo(Math.max(0.5, (10 - gain) / 2));
  }

  /** A stop that was measured says how strong the brakes are: stronger ones lock sooner. */
  @Test
  void whatTheTrailerBrakedWithMovesTheBelief() {
    double rated = LIGHT.shares()[5];
    GainStop weak = new GainStop(3, Outcome.FIRM, OptionalDouble.of(0.7 * rated), false);
    GainStop strong = new GainStop(3, Outcome.FIRM, OptionalDouble.of(1.3 * rated), false);
    double fiveAfterWeak = advise(LIGHT, weak).chances().get(9).locks();
    double fiveAfterStrong = advise(LIGHT, strong).chances().get(9).locks();
    assertThat(fiveAfterWeak).isLessThan(fiveAfterStrong - 0.3);
  }

  /** A sliding wheel brakes less than it would: who slows as a rolling one does hardly locked. */
  @Test
  void aLockThatIsNotSeenInTheDistanceIsBelievedLess() {
    int at = 5;
    GainStop told = stop(3, Outcome.LOCKED);
    GainStop rolled = new GainStop(3, Outcome.LOCKED, OptionalDouble.of(LIGHT.shares()[at]), false);
    double afterTold = advise(LIGHT, told).chances().get(at).locks();
    double afterRolled = advise(LIGHT, rolled).chances().get(at).locks();
    assertThat(afterRolled).isLessThan(0.8 * afterTold);
  }

  /** What a sliding wheel loses is no weakness of the brakes. */
  @Test
  void aLockThatSlowedLittleIsNoWeakBrake() {
    int at = 9;
    GainStop slid =
        new GainStop(6, Outcome.LOCKED, OptionalDouble.of(0.7 * LIGHT.shares()[11]), false);
    double afterSlid = advise(LIGHT, slid).chances().get(at).locks();
    assertThat(afterSlid)
        .isCloseTo(advise(LIGHT, stop(6, Outcome.LOCKED)).chances().get(at).locks(), within(0.05));
  }

  /** Cold linings pull less: that nothing locked says less, that something did says all. */
  @Test
  void aStopBeforeTheLiningsAreWarmCountsLess() {
    double before = advise(LIGHT).chances().get(7).locks();
    double warm = advise(LIGHT, stop(4, Outcome.FIRM)).chances().get(7).locks();
    GainStop early = new GainStop(4, Outcome.FIRM, OptionalDouble.of(0.2), true);
    double cold = advise(LIGHT, early).chances().get(7).locks();
    assertThat(cold).isGreaterThan(warm).isLessThan(before);
    GainStop locked = new GainStop(4, Outcome.LOCKED, OptionalDouble.empty(), true);
    assertThat(advise(LIGHT, locked).chances())
        .isEqualTo(advise(LIGHT, stop(4, Outcome.LOCKED)).chances());
  }

  @Test
  void theChanceOfALockNeverFallsAsTheGainRises() {
    List<GainAdvice.Chance> chances = advise(LIGHT, stop(4, Outcome.LOCKED)).chances();
    assertThat(chances).hasSize(20);
    for (int i = 1; i < chances.size(); i++) {
      assertThat(chances.get(i).locks()).isGreaterThanOrEqualTo(chances.get(i - 1).locks() - 1e-12);
    }
  }

  /** Where the load is heavy for its brakes the top holds, and that is an answer. */
  @Test
  void noLockAtTheTopIsAnAnswerWhereNoneIsInReachAndElseAFault() {
    GainStop top = stop(10, Outcome.FIRM);
    GainAdvice heavy = advise(curve(3400), top, top);
    assertThat(heavy.act()).isEqualTo(GainAdvice.Act.SETTLE);
    assertThat(heavy.gain()).isEqualTo(10);
    GainAdvice light = advise(LIGHT, top, top);
    assertThat(light.act()).isEqualTo(GainAdvice.Act.LOOK_FOR_FAULT);
    assertThat(light.reason()).contains("top of the scale");
  }

  /** What no brake of this rig locks on dry asphalt locks on snow: there the top is a fault. */
  @Test
  void whetherALockIsInReachDependsOnTheRoad() {
    GainStop top = stop(10, Outcome.FIRM);
    BrakeCurve laden = curve(3400);
    assertThat(advise(laden, top, top).act()).isEqualTo(GainAdvice.Act.SETTLE);
    assertThat(GainFinder.advise(HALVES, laden, Surface.PACKED_SNOW, List.of(top, top)).act())
        .isEqualTo(GainAdvice.Act.LOOK_FOR_FAULT);
  }

  @Test
  void lockAtTheLowestMarkTwiceIsAFault() {
    GainStop low = stop(0.5, Outcome.LOCKED);
    assertThat(advise(LIGHT, low, low).act()).isEqualTo(GainAdvice.Act.LOOK_FOR_FAULT);
  }

  @Test
  void onlyAMarkThatHeldItselfIsSettledOn() {
    GainAdvice advice =
        advise(LIGHT, stop(4.5, Outcome.FIRM), stop(5, Outcome.LOCKED), stop(4.5, Outcome.FIRM));
    assertThat(advice.act()).isEqualTo(GainAdvice.Act.SETTLE);
    assertThat(advice.gain()).isEqualTo(4.5);
    assertThat(advice.reason()).isEqualTo("4.5 held twice, and 5 locked.");
    assertThat(advice.lower()).isEqualTo(4.5);
    assertThat(advice.upper()).isEqualTo(5);
  }

  /** Each advice says why: what held once, what is believed, and what a stop would tell. */
  @Test
  void everyAdviceGivesItsReason() {
    Set<String> kinds = new HashSet<>();
    for (int mark = 4; mark < 20; mark++) {
      List<GainStop> stops = drive(mark * 0.5, new Random(0), 0);
      for (int made = 1; made <= stops.size(); made++) {
        GainAdvice advice = advise(LIGHT, stops.subList(0, made).toArray(GainStop[]::new));
        String gain = Measure.GAIN.number(advice.gain(), UnitSystem.METRIC);
        double above = advice.gain() < 10 ? chance(advice, advice.gain() + 0.5) : 1;
        String beyond =
            advice.gain() < 10
                ? Measure.GAIN.number(advice.gain() + 0.5, UnitSystem.METRIC)
                : "more";
        List<String> reasons =
            List.of(
                gain + " held. A second stop there settles it.",
                "By all stops %s is the highest mark that locks in at most one of ten: try it."
                    .formatted(gain),
                "A stop here locks in %.0f of 100 by what is known, and tells most."
                    .formatted(100 * chance(advice, advice.gain())),
                "%s held twice, and %s locked.".formatted(gain, beyond),
                "%s held twice; by all stops %s locks in %.0f of 100."
                    .formatted(gain, beyond, 100 * above));
        assertThat(reasons).contains(advice.reason());
        kinds.add(advice.act() + " " + reasons.indexOf(advice.reason()));
      }
    }
    assertThat(kinds)
        .contains("CONFIRM 0", "TRY 1", "TRY 2", "SETTLE 3")
        .isSubsetOf("CONFIRM 0", "TRY 1", "TRY 2", "REPEAT 2", "SETTLE 3", "SETTLE 4");
  }

  private static double chance(GainAdvice advice, double gain) {
    return advice.chances().stream()
        .filter(chance -> chance.gain() == gain)
        .findFirst()
        .orElseThrow()
        .locks();
  }

  /** A hundred marks: weighed in strides first, and found as near as on a coarse scale. */
  @Test
  void aFineScaleIsSearchedAsWell() {
    GainScale fine = new GainScale(0, 10, 0.1);
    BrakeCurve curve = BrakeCurve.of(RigTrain.ofPlates(2300, 1900, 2, 2, 1600), fine);
    for (double locksFrom : new double[] {4.05, 5.55, 6.75}) {
      List<GainStop> stops = new ArrayList<>();
      GainAdvice advice = GainFinder.advise(fine, curve, Surface.DRY_ASPHALT, stops);
      while (asks(advice) && stops.size() < 40) {
        assertThat(fine.isMark(advice.gain())).isTrue();
        stops.add(stop(advice.gain(), advice.gain() > locksFrom ? Outcome.LOCKED : Outcome.FIRM));
        advice = GainFinder.advise(fine, curve, Surface.DRY_ASPHALT, stops);
      }
      assertThat(advice.act()).as("locks from %.2f", locksFrom).isEqualTo(GainAdvice.Act.SETTLE);
      assertThat(advice.gain()).isBetween(locksFrom - 0.8, locksFrom);
      assertThat(stops).hasSizeLessThanOrEqualTo(GainFinder.MOST_STOPS);
    }
  }

  /** 4 brakes of 0.6 · g · 800 kg each, full current: z = 4 · 0.6 · 800 / 3 300 kg by hand. */
  @Test
  void theCurveAtTheTopIsWhatRatedBrakesGive() {
    double amps = 12.0 / 3.2;
    double share = Math.min(1.15, (amps * 0.9 - 0.3) / 2.9);
    assertThat(HEAVY.shares()[19]).isCloseTo(4 * 0.6 * 800 * share / 3300, within(0.06));
    assertThat(HEAVY.shares()[0]).as("below the magnets' threshold").isLessThan(0.03);
  }

  @Test
  void aScaleThatCannotBeIsRefused() {
    assertThatThrownBy(() -> new GainScale(5, 5, 1)).hasMessageContaining("scale");
    assertThatThrownBy(() -> new GainScale(0, 10, 0)).hasMessageContaining("steps of 0");
    assertThatThrownBy(() -> new GainScale(0, 10, 11)).hasMessageContaining("11");
  }

  /** A scale whose steps do not end at its top: 10.05 in whole steps, and no further. */
  @Property
  void noMarkLiesBeyondTheScale(
      @ForAll @IntRange(min = 1, max = 80) int tenths, @ForAll @IntRange(max = 20) int least) {
    GainScale scale = new GainScale(least / 10.0, 10.05, tenths / 10.0);
    double[] marks = BrakeCurve.of(EvenPullTest.TRAIN, scale).marks();
    double last = marks[marks.length - 1];
    assertThat(last).isLessThanOrEqualTo(10.05 + 1e-9);
    assertThat(last + scale.step()).isGreaterThan(10.05);
    assertThat(scale.share(last)).isLessThanOrEqualTo(1);
  }

  @Property
  void downGivesTheMarkAtOrBelow(@ForAll @IntRange(max = 1000) int hundredths) {
    double value = hundredths / 100.0;
    double mark = HALVES.down(value);
    assertThat(HALVES.isMark(mark)).isTrue();
    assertThat(value - mark).isBetween(-1e-9, 0.5);
  }
}
