package org.jexel.core.road;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Optional;
import org.jexel.core.braking.Surface;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Marks of a scale, what one setting has in common with another, and words of the warming up. */
class MarksAndSettingsTest {
  private static final LocalDate DAY = LocalDate.of(2026, 5, 4);
  private static final Instant NOON = DAY.atTime(12, 0).toInstant(ZoneOffset.UTC);

  /** From 1 to 10.2 in halves: the last mark is 10. */
  @ParameterizedTest
  @CsvSource({
    "1, true",
    "1.5, true",
    "10, true",
    "1.0000000001, true",
    "0.5, false",
    "10.2, false",
    "10.5, false",
    "1.25, false",
    "9.9, false",
    "9.74, false"
  })
  void aMarkLiesOnTheScale(double value, boolean mark) {
    assertThat(new GainScale(1, 10.2, 0.5).isMark(value)).isEqualTo(mark);
  }

  @Test
  void aScaleRisesInStepsThatItHasRoomFor() {
    assertThat(new GainScale(0, 1, 1).steps()).isEqualTo(1);
    assertThatThrownBy(() -> new GainScale(0, 1, 1.1)).hasMessageContaining("in steps of 1.1");
    assertThatThrownBy(() -> new GainScale(2, 3, 1.5)).hasMessageContaining("2.0 to 3.0");
    assertThatThrownBy(() -> new GainScale(-1, 3, 1)).hasMessageContaining("-1.0");
    assertThatThrownBy(() -> new GainScale(3, 3, 1)).hasMessageContaining("a scale");
    assertThatThrownBy(() -> new GainScale(0, 3, 0)).hasMessageContaining("a scale");
  }

  @Test
  void oneMarkIsAtLeastAnother() {
    GainScale scale = new GainScale(0, 10, 0.1);
    assertThat(scale.atLeast(0.1 + 0.2, 0.3)).isTrue();
    assertThat(scale.atLeast(0.3, 0.1 + 0.2)).as("the same mark").isTrue();
    assertThat(scale.atLeast(0.2, 0.3)).isFalse();
    assertThat(scale.atLeast(0.4, 0.3)).isTrue();
  }

  private static Setting setting(Setting.School school, Surface surface, double trailerMass) {
    return new Setting(6, school, surface, 2000, trailerMass, NOON, "Somebody");
  }

  /** A tenth of the load is the same load. */
  @Test
  void settingsAnswerTheSameBySchoolSurfaceAndLoad() {
    Setting one = setting(Setting.School.BELOW_LOCK, Surface.DRY_ASPHALT, 1500);
    assertThat(one.isLike(setting(Setting.School.BELOW_LOCK, Surface.DRY_ASPHALT, 1370))).isTrue();
    assertThat(one.isLike(setting(Setting.School.BELOW_LOCK, Surface.DRY_ASPHALT, 1360))).isFalse();
    assertThat(one.isLike(setting(Setting.School.EVEN_PULL, Surface.DRY_ASPHALT, 1500))).isFalse();
    assertThat(one.isLike(setting(Setting.School.BELOW_LOCK, Surface.GRAVEL, 1500))).isFalse();
    assertThat(Setting.School.EVEN_PULL.label()).isEqualTo("Even pull");
  }

  /** One thing that changed is enough. */
  @ParameterizedTest
  @CsvSource({
    "2000, 1500, false, 0, true",
    "2110, 1500, false, 0, false",
    "2090, 1500, false, 0, true",
    "2000, 1700, false, 0, false",
    "2000, 1500, true, 0, false",
    "2000, 1500, false, 184, true",
    "2000, 1500, false, 185, false"
  })
  void aProfileHoldsUntilSomethingChanges(
      double vehicle, double trailer, boolean practised, int days, boolean holds) {
    Setting setting = setting(Setting.School.BELOW_LOCK, Surface.DRY_ASPHALT, 1500);
    Profile profile =
        Profile.of(setting, vehicle, trailer, Optional.empty(), practised, DAY.plusDays(days));
    assertThat(profile.holds()).isEqualTo(holds);
    assertThat(profile.stale().isEmpty()).isEqualTo(holds);
  }

  @Test
  void theWarmingUpIsSaidByWhatItIsFor() {
    assertThat(new WarmUp(5, 5, false).words())
        .isEqualTo("5 gentle stops were made: the linings are warm.");
    assertThat(new WarmUp(20, 20, true).words())
        .isEqualTo("20 gentle stops were made: the linings are bedded in.");
    assertThat(new WarmUp(2, 5, false).words()).startsWith("2 of 5 ").contains("Cold linings");
    assertThat(new WarmUp(2, 20, true).words()).startsWith("2 of 20 ").contains("New linings");
  }
}
