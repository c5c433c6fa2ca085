package org.jexel.core.breakaway;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.jexel.core.rig.BatteryChemistry;
import org.junit.jupiter.api.Test;

class BreakawayBatteryTest {
  private static BreakawayBattery of(double ampereHours, double years, double coldest) {
    return new BreakawayBattery(
        3600 * ampereHours,
        BatteryChemistry.LEAD_ACID,
        Optional.of(LocalDate.of(2020, 1, 1)),
        years,
        coldest,
        true);
  }

  @Test
  void ageAndColdTakeTheirShare() {
    assertThat(BreakawayBattery.share(0, 25)).isEqualTo(1);
    assertThat(BreakawayBattery.share(2, 30)).isEqualTo(1);
    assertThat(BreakawayBattery.share(4, 25)).isCloseTo(0.8, within(1e-12));
    assertThat(BreakawayBattery.share(2, 5)).isCloseTo(0.8, within(1e-12));
    assertThat(BreakawayBattery.share(0, -100)).isCloseTo(0.4, within(1e-12));
    assertThat(BreakawayBattery.share(30, 25)).isZero();
  }

  /** What is told of cold and age is just where the quarter of an hour ends. */
  @Property
  void atTheToldColdAndAtTheToldAgeItHoldsForJustAQuarterOfAnHour(
      @ForAll @DoubleRange(min = 8, max = 18) double ampereHours,
      @ForAll @DoubleRange(min = 0, max = 6) double years,
      @ForAll @DoubleRange(min = -20, max = 25) double coldest) {
    BreakawayBattery battery = of(ampereHours, years, coldest);
    battery
        .tooCold(7.5)
        .ifPresent(
            cold -> {
              if (cold <= 25) {
                assertThat(battery.holding(7.5, years, cold).seconds() / 60)
                    .isCloseTo(15, within(1e-6));
              }
            });
    double old = battery.tooOld(7.5);
    if (old > 0) {
      assertThat(battery.holding(7.5, old, coldest).seconds() / 60).isCloseTo(15, within(1e-6));
    } else {
      assertThat(battery.holding(7.5, 0, coldest).seconds() / 60).isLessThan(15);
    }
  }

  /** 20 Ah hold 7.5 A for over an hour when new, and in no frost for less than a quarter. */
  @Test
  void oneThatHoldsInAnyFrostHasNoColdToTell() {
    assertThat(of(20, 0, 25).tooCold(7.5)).isEmpty();
    assertThat(of(5, 0, 25).tooCold(7.5)).isPresent();
  }

  @Test
  void theYearIsWarmAtItsEndsAndColdestInItsMiddle() {
    BreakawayBattery battery = of(12, 4, -15);
    assertThat(battery.celsius(0)).isEqualTo(25);
    assertThat(battery.celsius(0.5)).isCloseTo(-15, within(1e-9));
    assertThat(battery.celsius(0.25)).isCloseTo(5, within(1e-9));
    assertThat(new BreakawayBattery(1, BatteryChemistry.LEAD_ACID, Optional.empty(), 0, 25, false))
        .extracting(BreakawayBattery::midwinter)
        .as("nobody said how cold it gets")
        .isEqualTo(-10.0);
  }

  /** 5 Ah of lithium iron on 7.5 A: 20 h · (5/(7.5 · 20))^1.05 = 33.7 min; of lead 17.1 min. */
  @Test
  void itsCellsDecideHowItStandsAHighCurrent() {
    assertThat(
            new BreakawayBattery(
                        18_000, BatteryChemistry.LITHIUM_IRON, Optional.empty(), 0, 25, true)
                    .holding(7.5)
                    .seconds()
                / 60)
        .isCloseTo(33.7, within(0.1));
  }
}
