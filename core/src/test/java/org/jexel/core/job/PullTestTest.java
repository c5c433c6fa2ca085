package org.jexel.core.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.jexel.core.Rigs;
import org.jexel.core.breakaway.BreakawayRule;
import org.jexel.core.breakaway.WorkingBrakes;
import org.jexel.core.check.Check;
import org.jexel.core.check.CheckSheet;
import org.jexel.core.check.Round;
import org.jexel.core.harness.WireSize;
import org.jexel.core.quantity.CalendarDay;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.TongueBand;
import org.jexel.core.rig.Wish;
import org.junit.jupiter.api.Test;

/** The proof by the pin: what counts only after the pull, what the battery lost, when it is due. */
class PullTestTest {
  private static final Instant MORNING = Instant.parse("2026-01-15T07:00:00Z");
  private static final LocalDate DAY = LocalDate.of(2026, 1, 15);

  private final List<Taken> readings = new ArrayList<>();
  private LocalDate today = DAY;
  private BreakawayRule rule = BreakawayRule.USUAL;

  private BreakawayWork work(Object... more) {
    Object[] kit = {
      RigField.BREAKAWAY_KIT,
      "OWN_BATTERY",
      RigField.BREAKAWAY_CAPACITY,
      90_000,
      RigField.BREAKAWAY_MADE,
      CalendarDay.si(LocalDate.of(2025, 1, 1)),
      RigField.MAGNET_OHMS,
      3.2
    };
    List<Object> all = new ArrayList<>(List.of(kit));
    all.addAll(List.of(more));
    Rig rig = Rigs.twoAxles(all.toArray());
    Shop shop = new Shop(WireSize.GAUGES, TongueBand.NORTH_AMERICA, rule);
    return new Work(
            JobRecord.of(Wish.ANNUAL, false, shop, today)
                .rig(rig)
                .read(readings, List.of())
                .build(),
            Planner.ANEW,
            UnitSystem.METRIC)
        .breakaway();
  }

  private void read(String check, double value) {
    long n = readings.size() + 1;
    readings.add(new Taken(n, check, value, MORNING.plusSeconds(60 * n), "Somebody"));
  }

  /** Every check of a round as a sound rig shows it. */
  private void read(String round) {
    Round asked =
        work().pull().rounds().stream().filter(r -> r.id().equals(round)).findFirst().orElseThrow();
    for (Check check : asked.checks()) {
      read(check.id(), check.band().expected());
    }
  }

  private Verdict verdict(String round) {
    PullTest pull = work().pull();
    return pull.rounds().stream()
        .filter(r -> r.id().equals(round))
        .map(pull::verdict)
        .findFirst()
        .orElseThrow();
  }

  private void prove() {
    work().pull().rounds().forEach(round -> read(round.id()));
  }

  @Test
  void theProofGoesFromTheBatteryBeforeToTheBatteryAfter() {
    assertThat(work().pull().rounds())
        .extracting(Round::id)
        .containsExactly(
            "box.breakaway",
            "breakaway.rest",
            "breakaway.pulled",
            "breakaway.amps",
            "held",
            "turns",
            "breakaway.after");
  }

  @Test
  void wheelsThatWereFreeBeforeThePullAreTurnedOnceMore() {
    read("turns");
    assertThat(verdict("turns")).isEqualTo(Verdict.HOLDS);
    assertThat(work().pull().owed()).isEmpty();
    read("held");
    assertThat(verdict("turns")).isEqualTo(Verdict.NOT_YET);
    assertThat(work().pull().owed()).map(Round::id).contains("turns");
    read("turns");
    assertThat(verdict("turns")).isEqualTo(Verdict.HOLDS);
  }

  /** That a wheel dragged is known whenever it was. */
  @Test
  void aWheelThatDraggedBeforeThePullStillFails() {
    read("turns.magnet_axle1_left", 1);
    read("breakaway.pulled");
    PullTest pull = work().pull();
    assertThat(pull.worst()).isEqualTo(Verdict.FAILS);
  }

  @Test
  void aBatteryThatDoesNotComeBackIsWatchedAndThenReplaced() {
    read(CheckSheet.BATTERY_BEFORE, 12.7);
    read(CheckSheet.BATTERY_AFTER, 12.55);
    assertThat(work().pull().sag()).map(PullTest.Sag::verdict).contains(Verdict.HOLDS);
    read(CheckSheet.BATTERY_AFTER, 12.45);
    assertThat(work().pull().sag()).map(PullTest.Sag::verdict).contains(Verdict.WATCH);
    assertThat(verdict(CheckSheet.BATTERY_AFTER)).isEqualTo(Verdict.WATCH);
    read(CheckSheet.BATTERY_AFTER, 12.0);
    assertThat(work().pull().sag().orElseThrow().words()).contains("replace the battery");
  }

  @Test
  void theClampCountsTheBrakes() {
    assertThat(work().pull().working()).isEmpty();
    read("breakaway.amps");
    assertThat(work().pull().working()).map(WorkingBrakes::working).contains(4);
  }

  @Test
  void aProofRunsOutByTheWorkshopsInterval() {
    assertThat(work().due().proof()).isEmpty();
    prove();
    assertThat(work().pull().isRead()).isTrue();
    assertThat(work().due().proof()).contains(LocalDate.of(2027, 1, 15));
    assertThat(work().due().battery()).contains(LocalDate.of(2030, 1, 1));
    assertThat(work().due().first()).contains(LocalDate.of(2027, 1, 15));
    rule = new BreakawayRule(OptionalDouble.empty(), 6, 1);
    assertThat(work().due().first()).contains(LocalDate.of(2026, 1, 1));
    assertThat(work().due().verdict()).as("its battery").isEqualTo(Verdict.WATCH);
    rule = BreakawayRule.USUAL;
    today = LocalDate.of(2027, 1, 15);
    assertThat(work().due().verdict()).isEqualTo(Verdict.HOLDS);
    today = LocalDate.of(2027, 1, 16);
    assertThat(work().due().verdict()).isEqualTo(Verdict.WATCH);
  }

  /** One practised reading is enough: it says so, and no day is counted from it. */
  @Test
  void aPractisedPullProvesNothing() {
    prove();
    Rig rig = Rigs.twoAxles();
    for (Taken read : List.copyOf(readings)) {
      int place = readings.indexOf(read);
      readings.set(place, NextActsTest.practised(read));
      assertThat(work().pull().isRead()).isTrue();
      assertThat(work().due().proof()).as(read.check()).isEmpty();
      assertThat(work().told())
          .as(read.check())
          .anyMatch(line -> line.contains("only practised"))
          .noneMatch(line -> line.contains("draw their current"));
      readings.set(place, read);
    }
  }

  @Test
  void aBatteryThatLiesIndoorsFailsWhateverWasRead() {
    prove();
    assertThat(work(RigField.BATTERY_INDOORS, "YES").state()).isEqualTo(StationState.FAILS);
    assertThat(work(RigField.BATTERY_INDOORS, "YES", RigField.BREAKAWAY_KIT, "NONE").isIndoors())
        .isFalse();
  }

  /** A vehicle at 9 V behind an unisolated 12.6 V: amperes flow; with the diode next to none. */
  @Test
  void withoutItsDiodeTheStarterDrainsTheBattery() {
    assertThat(work().shared().orElseThrow().back()).isGreaterThan(5);
    assertThat(work().shared().orElseThrow().kept()).isLessThan(0.001);
    assertThat(work(RigField.BREAKAWAY_KIT, "CHARGED_BY_HAND").shared()).isEmpty();
    assertThat(work(RigField.BREAKAWAY_KIT, "HOUSE_BATTERY").shared().orElseThrow().night())
        .isPresent();
  }

  /** Four magnets at about 3.5 A: nearly full torque, so brakes of 0.6 of the ratings hold it. */
  @Test
  void whatItHoldsFollowsFromTheCurrentAndTheBrakes() {
    assertThat(work().held().orElseThrow().amps()).hasSize(4).allMatch(a -> a > 3 && a < 4);
    assertThat(work().held().orElseThrow().grade(work().held().orElseThrow().weak()))
        .isBetween(0.2, 0.8);
    assertThat(work(RigField.BRAKE_TYPE, "ELECTRIC_HYDRAULIC").held()).isEmpty();
  }
}
