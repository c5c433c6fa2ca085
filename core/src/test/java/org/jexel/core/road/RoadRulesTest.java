package org.jexel.core.road;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jexel.core.braking.Surface;
import org.jexel.core.quantity.Verdict;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

/** When stops count less, when they end the search, and what outlives them. */
class RoadRulesTest {
  private static final LocalDate DAY = LocalDate.of(2026, 5, 4);
  private static final Instant NOON = DAY.atTime(12, 0).toInstant(ZoneOffset.UTC);
  private static final GainScale HALVES = new GainScale(0, 10, 0.5);

  private static TestStop stop(
      double gain, TestStop.Way way, Outcome outcome, @Nullable Double metres, Observed seen) {
    return new TestStop(
        gain,
        way,
        40 / 3.6,
        Surface.DRY_ASPHALT,
        outcome,
        metres,
        null,
        null,
        2400,
        2600,
        "",
        seen,
        false,
        NOON);
  }

  private static Observed wheels(Outcome... each) {
    List<Observed.Wheel> wheels = new ArrayList<>();
    for (int i = 0; i < each.length; i++) {
      wheels.add(new Observed.Wheel(i / 2, i % 2 == 0, each[i]));
    }
    return new Observed(
        Observed.How.OUTSIDE, Observed.Pull.STRAIGHT, Observed.Feel.UNSAID, wheels, "");
  }

  private static Observed pulled(Observed.Pull side) {
    return new Observed(Observed.How.FELT, side, Observed.Feel.UNSAID, List.of(), "");
  }

  private static Observed felt(Observed.Feel feel) {
    return new Observed(Observed.How.FELT, Observed.Pull.UNSAID, feel, List.of(), "");
  }

  private static TestStop lever(double gain, Outcome outcome, Observed seen) {
    return stop(gain, TestStop.Way.LEVER, outcome, null, seen);
  }

  private static TestStop pedal(double gain, Observed.Feel feel) {
    return stop(gain, TestStop.Way.PEDAL, Outcome.FIRM, null, felt(feel));
  }

  private static Said warmed(int times, LocalDate day) {
    return new Said(Said.What.WARMED, "", Verdict.HOLDS, "", times, day, NOON, "Somebody");
  }

  @Test
  void oneWheelThatLocksOrIdlesAloneStopsTheSearch() {
    Outcome firm = Outcome.FIRM;
    TestStop alone = lever(6, Outcome.LOCKED, wheels(firm, Outcome.LOCKED, firm, firm));
    assertThat(StopAndLook.of(List.of(alone))).as("some wheel is the first").isEmpty();
    assertThat(StopAndLook.of(List.of(alone, alone)).orElseThrow().reason())
        .contains("axle 1 right locked alone");
    TestStop near = lever(6, Outcome.LOCKED, wheels(Outcome.VERGE, Outcome.LOCKED, firm, firm));
    assertThat(StopAndLook.of(List.of(near, near, alone))).as("another was near").isEmpty();
    Outcome light = Outcome.LIGHT;
    TestStop weak = lever(6, Outcome.LOCKED, wheels(light, Outcome.LOCKED, light, light));
    assertThat(StopAndLook.of(List.of(weak)).orElseThrow().reason()).contains("locked alone");
    TestStop idle = lever(6, firm, wheels(firm, firm, Outcome.NOTHING, firm));
    assertThat(StopAndLook.of(List.of(idle)).orElseThrow().reason())
        .contains("axle 2 left did nothing");
    Outcome locked = Outcome.LOCKED;
    assertThat(StopAndLook.of(List.of(lever(7, locked, wheels(locked, locked, firm, firm)))))
        .as("an axle locks together")
        .isEmpty();
    assertThat(
            StopAndLook.of(
                List.of(lever(1, Outcome.LIGHT, wheels(Outcome.NOTHING, Outcome.LIGHT)))))
        .as("nothing brakes much yet")
        .isEmpty();
    assertThat(StopAndLook.of(List.of(lever(6, locked, wheels(locked)))))
        .as("only one was seen")
        .isEmpty();
  }

  @Test
  void twiceToOneSideStopsTheSearch() {
    TestStop left = lever(5, Outcome.FIRM, pulled(Observed.Pull.LEFT));
    TestStop right = lever(5, Outcome.FIRM, pulled(Observed.Pull.RIGHT));
    assertThat(StopAndLook.of(List.of(left, right))).isEmpty();
    StopAndLook look = StopAndLook.of(List.of(left, right, left)).orElseThrow();
    assertThat(look.pulls()).isTrue();
    assertThat(look.reason()).contains("to the left");
  }

  /** From 30 m to 40 m at one gain z falls from 0.40 to 0.29; to 33 m only to 0.36. */
  @Test
  void aTrailerThatBrakesLessAtTheSameGainStopsTheSearch() {
    List<TestStop> fading = new ArrayList<>();
    for (double metres : new double[] {30, 33}) {
      fading.add(stop(6, TestStop.Way.LEVER, Outcome.FIRM, metres, Observed.NOTHING));
    }
    assertThat(StopAndLook.of(fading)).isEmpty();
    fading.add(stop(5, TestStop.Way.LEVER, Outcome.FIRM, 40.0, Observed.NOTHING));
    assertThat(StopAndLook.of(fading)).as("another gain").isEmpty();
    fading.add(stop(6, TestStop.Way.LEVER, Outcome.FIRM, 40.0, Observed.NOTHING));
    assertThat(StopAndLook.of(fading).orElseThrow().reason()).contains("cool");
  }

  @Test
  void newLiningsWantMoreStopsAndKeepThoseOfOtherDays() {
    List<Said> said = List.of(warmed(4, DAY.minusDays(1)), warmed(3, DAY));
    assertThat(WarmUp.of(said, DAY, false).done()).isFalse();
    assertThat(WarmUp.of(said, DAY, false).made()).isEqualTo(3);
    assertThat(WarmUp.of(said, DAY, true).made()).isEqualTo(7);
    assertThat(WarmUp.of(List.of(warmed(5, DAY)), DAY, false).done()).isTrue();
    assertThat(WarmUp.of(List.of(warmed(19, DAY)), DAY, true).done()).isFalse();
    assertThat(WarmUp.of(List.of(warmed(20, DAY)), DAY, true).done()).isTrue();
  }

  private static Profile profile(
      double vehicle, double trailer, Optional<Instant> mended, LocalDate day) {
    Setting setting =
        new Setting(
            6, Setting.School.BELOW_LOCK, Surface.DRY_ASPHALT, 2000, 1500, NOON, "Somebody");
    return Profile.of(setting, vehicle, trailer, mended, false, day);
  }

  @Test
  void aSettingHoldsForItsLoadVehicleAndBrakesAndForHalfAYear() {
    assertThat(profile(2000, 1500, Optional.empty(), DAY).holds()).isTrue();
    assertThat(profile(2000, 1640, Optional.of(NOON.minusSeconds(1)), DAY.plusMonths(6)).holds())
        .isTrue();
    assertThat(profile(2000, 1660, Optional.empty(), DAY).stale()).containsExactly("another load");
    assertThat(profile(2000, 1340, Optional.empty(), DAY).stale()).containsExactly("another load");
    assertThat(profile(2120, 1500, Optional.empty(), DAY).stale())
        .containsExactly("another vehicle");
    assertThat(profile(2000, 1500, Optional.of(NOON.plusSeconds(1)), DAY).stale())
        .containsExactly("brakes or wiring worked on since");
    assertThat(profile(2000, 1500, Optional.empty(), DAY.plusMonths(6).plusDays(1)).stale())
        .containsExactly("older than six months");
  }

  /** What only a program drove proves nothing. */
  @Test
  void aSettingFromTheSimulatedRoadHoldsNothing() {
    Setting setting =
        new Setting(
            6, Setting.School.BELOW_LOCK, Surface.DRY_ASPHALT, 2000, 1500, NOON, "Somebody");
    assertThat(Profile.of(setting, 2000, 1500, Optional.empty(), true, DAY).stale())
        .containsExactly("found on the simulated road");
    Observed seen =
        new Observed(
            Observed.How.OUTSIDE,
            Observed.Pull.STRAIGHT,
            Observed.Feel.UNSAID,
            List.of(),
            SimulatedRoad.PLACE);
    assertThat(lever(5, Outcome.FIRM, seen).practised()).isTrue();
    assertThat(lever(5, Outcome.FIRM, Observed.NOTHING).practised()).isFalse();
  }

  @Test
  void evenPullLiesBetweenPushAndTug() {
    List<TestStop> stops = new ArrayList<>();
    assertThat(EvenSearch.of(HALVES, stops).words()).contains("No stop by the pedal");
    stops.add(lever(9, Outcome.FIRM, felt(Observed.Feel.TUG)));
    assertThat(EvenSearch.of(HALVES, stops).words()).as("by the lever").contains("No stop by");
    stops.add(pedal(4, Observed.Feel.PUSH));
    assertThat(EvenSearch.of(HALVES, stops).words()).contains("pushes at 4: more gain");
    stops.add(pedal(6, Observed.Feel.TUG));
    assertThat(EvenSearch.of(HALVES, stops).words()).contains("pushes at 4 and tugs at 6");
    stops.add(pedal(7, Observed.Feel.PUSH));
    assertThat(EvenSearch.of(HALVES, stops).words()).contains("not the same");
    stops.add(pedal(5, Observed.Feel.EVEN));
    assertThat(EvenSearch.of(HALVES, stops).even()).hasValue(5);
    assertThat(EvenSearch.of(HALVES, stops).found()).as("a push above it").isFalse();
    assertThat(EvenSearch.of(HALVES, stops).words()).contains("once");
    stops.add(pedal(5, Observed.Feel.EVEN));
    assertThat(EvenSearch.of(HALVES, stops).found()).as("twice").isTrue();
    List<TestStop> between =
        List.of(
            pedal(4, Observed.Feel.PUSH),
            pedal(5, Observed.Feel.EVEN),
            pedal(6, Observed.Feel.TUG));
    assertThat(EvenSearch.of(HALVES, between).found()).isTrue();
    assertThat(EvenSearch.of(HALVES, between.subList(0, 2)).found()).isFalse();
    assertThat(EvenSearch.of(HALVES, List.of(pedal(10, Observed.Feel.PUSH))).words())
        .contains("less than its share");
  }

  @Test
  void whatWasSeenIsToldInALine() {
    Observed seen =
        new Observed(
            Observed.How.OUTSIDE,
            Observed.Pull.LEFT,
            Observed.Feel.PUSH,
            List.of(new Observed.Wheel(1, false, Outcome.LOCKED)),
            "old airfield");
    assertThat(seen.words())
        .isEqualTo(
            "somebody outside, pulled to the left, it pushes, old airfield, axle 2 right locked");
    assertThat(Observed.NOTHING.words()).isEmpty();
  }
}
