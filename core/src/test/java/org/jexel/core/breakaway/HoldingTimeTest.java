package org.jexel.core.breakaway;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.jexel.core.quantity.Verdict;
import org.junit.jupiter.api.Test;

class HoldingTimeTest {
  private static final double FIVE_AH = 5 * 3600;

  @Test
  void fiveAmpereHoursHoldTwoMagnetsSeventeenMinutesAndFourOnlySeven() {
    HoldingTime two = HoldingTime.of(FIVE_AH, 7.5, HoldingTime.LEAD_ACID);
    assertThat(two.seconds() / 60).isCloseTo(17.1, within(0.1));
    assertThat(two.verdict()).isEqualTo(Verdict.WATCH);
    HoldingTime four = HoldingTime.of(FIVE_AH, 15, HoldingTime.LEAD_ACID);
    assertThat(four.seconds() / 60).isCloseTo(7.2, within(0.05));
    assertThat(four.verdict()).isEqualTo(Verdict.FAILS);
  }

  @Property
  void atTheTwentyHourRateTheBatteryGivesItsRatedCapacity(
      @ForAll @DoubleRange(min = 1, max = 200) double ampereHours) {
    double rate = ampereHours / 20;
    assertThat(HoldingTime.of(ampereHours * 3600, rate, HoldingTime.LEAD_ACID).seconds() / 3600)
        .isCloseTo(20, within(1e-6));
  }

  @Property
  void moreCurrentNeverHoldsLonger(
      @ForAll @DoubleRange(min = 1, max = 40) double amps,
      @ForAll @DoubleRange(min = 0, max = 10) double more) {
    assertThat(HoldingTime.of(FIVE_AH, amps + more, 1.25).seconds())
        .isLessThanOrEqualTo(HoldingTime.of(FIVE_AH, amps, 1.25).seconds());
  }

  @Test
  void noBatteryOrNoLoadIsRefused() {
    assertThatThrownBy(() -> HoldingTime.of(-1, 7.5, 1.25))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> HoldingTime.of(FIVE_AH, 0, 1.25))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
