package org.jexel.core.road;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class GainBracketTest {
  private static final GainScale HALVES = new GainScale(0, 10, 0.5);

  private static GainStop stop(double gain, Outcome outcome) {
    return new GainStop(gain, outcome);
  }

  /** Follows the advice on a rig that locks from one gain on; outcomes are wrong one time in n. */
  private static List<GainStop> drive(GainScale scale, double locksFrom, Random wrong, int oneIn) {
    List<GainStop> stops = new ArrayList<>();
    GainAdvice advice = GainBracket.advise(scale, stops);
    while (asksForAStop(advice) && stops.size() < 40) {
      boolean locks = advice.gain() >= locksFrom - 1e-9;
      if (wrong != null && wrong.nextInt(oneIn) == 0) {
        locks = !locks;
      }
      stops.add(stop(advice.gain(), locks ? Outcome.LOCKED : Outcome.FIRM));
      advice = GainBracket.advise(scale, stops);
    }
    return stops;
  }

  private static boolean asksForAStop(GainAdvice advice) {
    return advice.act() != GainAdvice.Act.SETTLE && advice.act() != GainAdvice.Act.LOOK_FOR_FAULT;
  }

  @Test
  void theFirstStopIsMadeAtTheMiddle() {
    GainAdvice first = GainBracket.advise(HALVES, List.of());
    assertThat(first.act()).isEqualTo(GainAdvice.Act.TRY);
    assertThat(first.gain()).isEqualTo(5);
    assertThat(GainBracket.advise(new GainScale(0, 9, 2), List.of()).gain()).isEqualTo(4);
  }

  @Property(tries = 300)
  void theHighestGainThatDoesNotLockIsFound(@ForAll @IntRange(min = 2, max = 20) int mark) {
    double locksFrom = mark * 0.5;
    List<GainStop> stops = drive(HALVES, locksFrom, null, 0);
    GainAdvice end = GainBracket.advise(HALVES, stops);
    assertThat(end.act()).isEqualTo(GainAdvice.Act.SETTLE);
    assertThat(end.gain()).isEqualTo(locksFrom - 0.5);
    assertThat(stops).hasSizeLessThanOrEqualTo(GainBracket.MOST_STOPS);
    assertThat(stops.stream().filter(s -> s.gain() == end.gain()).count())
        .isGreaterThanOrEqualTo(2);
  }

  @Property(tries = 300)
  void wrongOutcomesNeverMakeItLoopAndNeverLeaveTheScale(
      @ForAll long seed, @ForAll @IntRange(min = 1, max = 21) int mark) {
    List<GainStop> stops = drive(HALVES, mark * 0.5, new Random(seed), 5);
    assertThat(stops).hasSizeLessThanOrEqualTo(GainBracket.MOST_STOPS);
    assertThat(stops).allSatisfy(s -> assertThat(HALVES.isMark(s.gain())).isTrue());
  }

  @Property
  void whileNothingLocksAStepUpTakesAtMostHalfOfWhatRemains(
      @ForAll @IntRange(min = 1, max = 19) int mark) {
    double gain = mark * 0.5;
    GainAdvice advice = GainBracket.advise(HALVES, List.of(stop(gain, Outcome.FIRM)));
    assertThat(advice.gain()).isGreaterThan(gain);
    assertThat(advice.gain() - gain).isLessThanOrEqualTo(Math.max(0.5, (10 - gain) / 2));
  }

  /** Once may be a bump in the road; what was never tried above it is said to be so. */
  @Test
  void theVergeIsDrivenTwiceBeforeItBoundsTheAnswer() {
    GainStop verge = stop(6, Outcome.VERGE);
    GainAdvice once = GainBracket.advise(HALVES, List.of(verge));
    assertThat(once.act()).isEqualTo(GainAdvice.Act.CONFIRM);
    assertThat(once.gain()).isEqualTo(6);
    GainAdvice twice = GainBracket.advise(HALVES, List.of(verge, verge));
    assertThat(twice.act()).isEqualTo(GainAdvice.Act.SETTLE);
    assertThat(twice.reason()).isEqualTo("6 was twice on the verge. No mark above it was tried.");
    GainAdvice notAgain = GainBracket.advise(HALVES, List.of(verge, stop(6, Outcome.FIRM)));
    assertThat(notAgain.act()).isEqualTo(GainAdvice.Act.TRY);
    assertThat(notAgain.gain()).isGreaterThan(6);
  }

  @Test
  void aSettledGainNamesTheMarkThatLocked() {
    GainAdvice settled =
        GainBracket.advise(
            HALVES,
            List.of(stop(6.5, Outcome.LOCKED), stop(6, Outcome.FIRM), stop(6, Outcome.FIRM)));
    assertThat(settled.act()).isEqualTo(GainAdvice.Act.SETTLE);
    assertThat(settled.reason()).isEqualTo("6 held twice, and 6.5 locked.");
  }

  @Test
  void contradictingStopsAskForARepeat() {
    GainAdvice same =
        GainBracket.advise(HALVES, List.of(stop(5, Outcome.FIRM), stop(5, Outcome.LOCKED)));
    assertThat(same.act()).isEqualTo(GainAdvice.Act.REPEAT);
    assertThat(same.gain()).isEqualTo(5);
    GainAdvice crossed =
        GainBracket.advise(HALVES, List.of(stop(4, Outcome.LOCKED), stop(6, Outcome.FIRM)));
    assertThat(crossed.act()).isEqualTo(GainAdvice.Act.REPEAT);
  }

  @Test
  void noLockAtTheTopIsAFaultAndNotAGain() {
    GainAdvice advice = GainBracket.advise(HALVES, List.of(stop(10, Outcome.LIGHT)));
    assertThat(advice.act()).isEqualTo(GainAdvice.Act.LOOK_FOR_FAULT);
    assertThat(advice.reason()).contains("top of the scale");
  }

  @Test
  void lockAtTheBottomIsAFaultToo() {
    GainAdvice advice = GainBracket.advise(HALVES, List.of(stop(0.5, Outcome.LOCKED)));
    assertThat(advice.act()).isEqualTo(GainAdvice.Act.LOOK_FOR_FAULT);
  }

  @Test
  void aScaleThatCannotBeIsRefused() {
    assertThatThrownBy(() -> new GainScale(5, 5, 1)).hasMessageContaining("scale");
    assertThatThrownBy(() -> new GainScale(0, 10, 0)).hasMessageContaining("steps of 0");
    assertThatThrownBy(() -> new GainScale(0, 10, 11)).hasMessageContaining("11");
  }

  @Property
  void downGivesTheMarkAtOrBelow(@ForAll @IntRange(max = 1000) int hundredths) {
    double value = hundredths / 100.0;
    double mark = HALVES.down(value);
    assertThat(HALVES.isMark(mark)).isTrue();
    assertThat(value - mark).isBetween(-1e-9, 0.5);
  }
}
