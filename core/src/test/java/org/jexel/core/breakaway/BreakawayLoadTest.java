package org.jexel.core.breakaway;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.stream.Stream;
import org.jexel.core.Rigs;
import org.jexel.core.harness.HarnessPlanner;
import org.jexel.core.harness.WireSize;
import org.jexel.core.quantity.CalendarDay;
import org.jexel.core.quantity.Unit;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.junit.jupiter.api.Test;

class BreakawayLoadTest {
  private static final LocalDate DAY = LocalDate.of(2026, 1, 15);

  private static double made(int yearsAgo) {
    return CalendarDay.si(DAY.minusYears(yearsAgo));
  }

  private static BreakawayLoad of(Object... more) {
    return with("OWN_BATTERY", more);
  }

  private static BreakawayLoad with(String kit, Object... more) {
    Object[] own = {RigField.BREAKAWAY_KIT, kit};
    Rig rig = Rigs.twoAxles(Stream.of(own, more).flatMap(Stream::of).toArray());
    return BreakawayLoad.of(rig, HarnessPlanner.plan(rig, WireSize.GAUGES), DAY);
  }

  /** A pump of 25 A that runs a quarter of the time: 20 h · (12/(6.25 · 20))^1.25 = 64 min. */
  @Test
  void anActuatorsPumpIsHeldByTheBatteryToo() {
    BreakawayLoad pump =
        of(
            RigField.BRAKE_TYPE,
            "ELECTRIC_HYDRAULIC",
            RigField.CHARGE_AMPS,
            25.0,
            RigField.BREAKAWAY_CAPACITY,
            Unit.AMPERE_HOUR.toSi(12),
            RigField.BREAKAWAY_MADE,
            made(0));
    assertThat(pump.pump()).isTrue();
    assertThat(pump.amps()).isEqualTo(6.25);
    assertThat(pump.holding().orElseThrow().seconds() / 60).isCloseTo(64.1, within(0.2));
    assertThat(pump.verdict()).as("nobody timed the pump").contains(Verdict.WATCH);
    assertThat(of().pump()).isFalse();
  }

  /** 12 Ah on four magnets of 3.2 Ω: 20 h · (12/(15 · 20))^1.25 = 21.5 min when new. */
  @Test
  void ageAndColdTakeTheirShareOfTheBattery() {
    double ah = Unit.AMPERE_HOUR.toSi(12);
    BreakawayLoad fresh = of(RigField.BREAKAWAY_CAPACITY, ah, RigField.BREAKAWAY_MADE, made(0));
    assertThat(fresh.holding().orElseThrow().seconds() / 60).isCloseTo(21.47, within(0.01));
    assertThat(fresh.verdict()).contains(Verdict.HOLDS);
    BreakawayLoad old =
        of(
            RigField.BREAKAWAY_CAPACITY, ah,
            RigField.BREAKAWAY_MADE, made(4),
            RigField.BREAKAWAY_COLD, Unit.CELSIUS.toSi(5));
    assertThat(old.battery().share()).isCloseTo(0.8 * 0.8, within(1e-3));
    assertThat(old.verdict()).contains(Verdict.FAILS);
    assertThat(of(RigField.BREAKAWAY_MADE, made(30)).holding().orElseThrow().seconds()).isZero();
  }

  /** 20 h · (60/(15 · 20))^1.25 = 160 min: a house battery is no box of 5 Ah. */
  @Test
  void aTrailerWithoutAKitHoldsForNoTimeAndAHouseBatteryForLong() {
    assertThat(with("NONE").holding()).isEmpty();
    assertThat(with("NONE").verdict()).isEmpty();
    assertThat(with("NONE").amps()).isCloseTo(15, within(1e-9));
    assertThat(with("HOUSE_BATTERY").holding().orElseThrow().seconds() / 60)
        .isCloseTo(160.5, within(0.5));
    assertThat(with("OWN_BATTERY").holding().orElseThrow().seconds() / 60)
        .isCloseTo(7.2, within(0.05));
  }

  @Test
  void oneWhoseAgeNobodyKnowsNeverHolds() {
    BreakawayLoad unknown = of(RigField.BREAKAWAY_CAPACITY, Unit.AMPERE_HOUR.toSi(50));
    assertThat(unknown.battery().ageKnown()).isFalse();
    assertThat(unknown.verdict()).contains(Verdict.WATCH);
  }
}
