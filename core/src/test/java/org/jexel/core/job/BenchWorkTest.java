package org.jexel.core.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.jexel.core.Rigs;
import org.jexel.core.check.Check;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.Wish;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Which readings are looks, and which of them fail, on a rig whose proof is read and sound. */
class BenchWorkTest {
  private static final Instant MORNING = Instant.parse("2026-01-15T07:00:00Z");
  private static final String DARK = "look.tail.lamp_left_rear_left";
  private static final Planner PLANNER = Planner.ANEW;

  private final List<Taken> readings = new ArrayList<>();
  private final List<Mended> repairs = new ArrayList<>();

  private BenchWork bench(Rig rig) {
    return new Work(
            JobRecord.of(Wish.ANNUAL, false, NextActsTest.SHOP, LocalDate.of(2026, 1, 15))
                .rig(rig)
                .read(readings, repairs)
                .build(),
            PLANNER,
            UnitSystem.METRIC)
        .bench();
  }

  private BenchWork bench() {
    return bench(Rigs.unbraked());
  }

  private void say(String check, double value, boolean atOnce, boolean simulated) {
    int minute = readings.size();
    readings.add(
        new Taken(
            minute + 1,
            check,
            value,
            MORNING.plusSeconds(60L * minute),
            "Ana",
            atOnce,
            simulated,
            OptionalDouble.empty()));
  }

  @BeforeEach
  void prove() {
    bench().proof().forEach(check -> say(check.id(), check.band().expected(), false, false));
  }

  private boolean isAskedAgain() {
    return bench().diagnosis().next().stream()
        .flatMap(next -> next.checks().stream())
        .anyMatch(check -> check.id().equals(DARK));
  }

  /** A lamp that is dark on a sound rig, and glimmers. */
  @Test
  void twoLooksAreTwo() {
    assertThat(isAskedAgain()).isFalse();
    say(DARK, 1, false, false);
    assertThat(isAskedAgain()).isTrue();
    say(DARK, 1, false, false);
    assertThat(isAskedAgain()).isFalse();
  }

  @Test
  void whatWasPractisedIsNotTheFirstOfTwoLooks() {
    say(DARK, 1, false, true);
    say(DARK, 1, false, false);
    assertThat(isAskedAgain()).isTrue();
  }

  @Test
  void whatWasSaidOfAWholeRoundIsNoSecondLook() {
    say(DARK, 1, true, false);
    say(DARK, 1, true, false);
    assertThat(isAskedAgain()).isTrue();
  }

  @Test
  void aLookBeforeARepairIsNone() {
    say(DARK, 1, false, false);
    Instant now = MORNING.plusSeconds(60L * readings.size());
    repairs.add(new Mended("", List.of(DARK), now, "Bo"));
    readings.add(new Taken(999, DARK, 1, now.plusSeconds(60), "Bo"));
    assertThat(isAskedAgain()).isTrue();
  }

  /** 2.95 and 3.50 Ω lie in the band of 3.2 Ω ± 10 %, and are half an ohm apart. */
  @Test
  void whatFailsAgainstTheOtherSideFails() {
    readings.clear();
    Rig rig = Rigs.oneAxle();
    for (String side : List.of("left", "right")) {
      Check magnet = bench(rig).check("magnet.ohms.magnet_axle1_" + side).orElseThrow();
      double ohms = side.equals("left") ? 2.95 : 3.50;
      assertThat(magnet.band().judge(ohms)).isEqualTo(Verdict.HOLDS);
      say(magnet.id(), ohms, false, false);
    }
    assertThat(bench(rig).failing()).hasSize(2);
  }

  /** A repair unsays the driver's word, and nobody has driven it since. */
  @Test
  void aDriversWordIsNotAskedAgainInTheYard() {
    say("told.coming", 2, false, false);
    Instant now = readings.get(readings.size() - 1).at();
    repairs.add(new Mended("", List.of("told.coming", DARK), now, "Bo"));
    assertThat(bench().newest()).doesNotContainKey("told.coming");
    assertThat(bench().askedAgain()).extracting(Check::id).containsExactly(DARK);
  }
}
