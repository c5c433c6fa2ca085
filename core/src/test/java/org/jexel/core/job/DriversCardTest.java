package org.jexel.core.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jexel.core.Rigs;
import org.jexel.core.braking.Surface;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.LoadItem;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.Wish;
import org.jexel.core.road.Setting;
import org.junit.jupiter.api.Test;

class DriversCardTest {
  private static final Instant MORNING = Instant.parse("2026-01-15T07:00:00Z");

  private final List<Setting> settings = new ArrayList<>();
  private final List<Mended> repairs = new ArrayList<>();
  private LocalDate today = LocalDate.of(2026, 1, 20);

  /** 1 300 kg behind 2 000 kg. */
  private Work work(String brakes, String kit) {
    Object[] sheet = {
      RigField.BRAKE_TYPE, brakes,
      RigField.AXLE_COUNT, 2,
      RigField.EMPTY_MASS, 700,
      RigField.KERB_MASS, 2000,
      RigField.BREAKAWAY_KIT, kit
    };
    Rig rig = Rigs.rig(Rigs.sheet(sheet), new LoadItem("goods", 600, 3.0));
    Shop shop = NextActsTest.SHOP;
    return new Work(
        JobRecord.of(Wish.ANNUAL, false, shop, today)
            .rig(rig)
            .read(List.of(), repairs)
            .driven(List.of(), List.of(), settings)
            .build(),
        Planner.ANEW,
        UnitSystem.METRIC);
  }

  private String card() {
    return words(work("ELECTRIC", "OWN_BATTERY"));
  }

  private static String words(Work work) {
    DriversCard card = work.driversCard();
    return Stream.concat(
            card.set().stream(), card.parts().stream().flatMap(part -> part.lines().stream()))
        .collect(Collectors.joining("\n"));
  }

  private void settled(double gain, Surface surface, double vehicle, double trailer, int day) {
    settings.add(
        new Setting(
            gain,
            Setting.School.BELOW_LOCK,
            surface,
            vehicle,
            trailer,
            MORNING.plusSeconds(86_400L * day),
            "Somebody"));
  }

  @Test
  void eachLoadAndSurfaceHasItsNewestGainAndTheLoadOfNowComesFirst() {
    assertThat(card()).contains("No gain holds for it");
    settled(6, Surface.DRY_ASPHALT, 2000, 1300, 0);
    settled(6.5, Surface.DRY_ASPHALT, 2000, 1310, 1);
    settled(3, Surface.GRAVEL, 2000, 1300, 2);
    settled(4, Surface.DRY_ASPHALT, 2000, 700, 3);
    String card = card();
    assertThat(card)
        .doesNotContain("No gain holds", "Gain 6 on")
        .contains("Gain 6.5 on dry asphalt with 1310 kg behind", "until 16 Jul 2026")
        .contains("Gain 3 on gravel")
        .contains("Gain 4 on dry asphalt with 700 kg behind")
        .contains("Any other load or ground: not set.");
    assertThat(card.indexOf("700 kg")).isGreaterThan(card.indexOf("1300 kg"));
  }

  /** A card is taken along: what it says cannot be taken back on the road. */
  @Test
  void noSettingIsToldThatDoesNotHoldForItsLoad() {
    settled(6, Surface.DRY_ASPHALT, 2000, 1300, 0);
    assertThat(card()).contains("Gain 6 on");
    settled(5, Surface.DRY_ASPHALT, 2600, 1300, 1);
    assertThat(card()).contains("Gain 6 on").as("another vehicle").doesNotContain("Gain 5");
    today = LocalDate.of(2026, 7, 15);
    assertThat(card()).contains("Gain 6 on");
    today = LocalDate.of(2026, 7, 16);
    assertThat(card()).contains("No gain holds for it").doesNotContain("Gain 6 on");
    today = LocalDate.of(2026, 1, 20);
    String check =
        work("ELECTRIC", "OWN_BATTERY").bench().checks().stream()
            .filter(c -> c.ofTheBrakes())
            .findFirst()
            .orElseThrow()
            .id();
    repairs.add(new Mended("", List.of(check), MORNING.plusSeconds(90_000), ""));
    assertThat(card()).contains("No gain holds for it").doesNotContain("Gain 6 on");
  }

  @Test
  void whatATrailerDoesNotHaveIsNotSpokenOf() {
    assertThat(words(work("ELECTRIC", "NONE"))).contains("nothing brakes it if it comes off");
    String plain = words(work("NONE", "NONE"));
    assertThat(plain)
        .contains("Never brake hard")
        .doesNotContain("lever", "Gain", "breakaway", "controller", "comes off");
    assertThat(card()).contains("computed to hold for");
  }
}
