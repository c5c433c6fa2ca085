package org.jexel.core.harness;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jexel.core.Rigs;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.connector.WireColour;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.Wish;
import org.junit.jupiter.api.Test;

/** The leads of a breakaway kit, and the work on one that stays. */
class KitWiringTest {
  private static KitWiring of(Map<Crosswalk.Seen, WireColour> built, Object... more) {
    Rig rig = Rigs.twoAxles(more);
    Harness harness = HarnessPlanner.plan(rig, WireSize.GAUGES);
    return KitWiring.of(rig, harness, Crosswalk.of(rig, harness, built));
  }

  private static List<KitLead> leads(Object... more) {
    return of(Map.of(), more).leads().stream().map(KitWiring.Lead::lead).toList();
  }

  @Test
  void aBoxChargedByHandHasNoChargeLeadAndNoKitHasNone() {
    assertThat(leads(RigField.BREAKAWAY_KIT, "OWN_BATTERY")).containsExactly(KitLead.values());
    assertThat(leads(RigField.BREAKAWAY_KIT, "CHARGED_BY_HAND"))
        .hasSize(4)
        .doesNotContain(KitLead.CHARGE);
    assertThat(leads(RigField.BREAKAWAY_KIT, "CHARGED_BY_HAND", RigField.HOUSE_BATTERY, "YES"))
        .as("the charge feed is another battery's")
        .doesNotContain(KitLead.CHARGE);
    assertThat(leads(RigField.PLANNED_BREAKAWAY, "NONE")).isEmpty();
  }

  /** Blade cords: black charge, blue brake, white earth. */
  @Test
  void aColourThatDoesAnotherJobInTheCordIsNamedAndOneThatDoesTheSameIsNot() {
    KitWiring kit =
        of(
            Map.of(),
            RigField.BREAKAWAY_KIT,
            "OWN_BATTERY",
            RigField.LEAD_MINUS,
            "WHITE",
            RigField.LEAD_SWITCH_OUT,
            "BLUE",
            RigField.LEAD_SWITCH_IN,
            "BLACK");
    assertThat(kit.clashes())
        .extracting(KitWiring.Clash::words)
        .containsExactly(
            "The kit’s black is its switch, the battery’s side; in the cord black is charge.");
  }

  /** What somebody saw in the trailer counts more than what a convention says. */
  @Test
  void theTrailersOwnColoursAreSetAgainstTheKitsAsTheyWereFound() {
    Map<Crosswalk.Seen, WireColour> built =
        Map.of(new Crosswalk.Seen(Segment.TRAILER, PinFunction.TAIL), WireColour.ORANGE);
    KitWiring kit = of(built, RigField.BREAKAWAY_KIT, "OWN_BATTERY", RigField.LEAD_PLUS, "ORANGE");
    assertThat(kit.clashes())
        .extracting(KitWiring.Clash::words)
        .containsExactly(
            "The kit’s orange is its battery plus, to the switch; in the trailer orange is tail.");
  }

  @Test
  void whatLandsInTheBoxIsToldByItsStud() {
    assertThat(of(Map.of(), RigField.BREAKAWAY_KIT, "OWN_BATTERY").leads())
        .extracting(KitWiring.Lead::end)
        .containsExactly(
            "stud 4, charge",
            "switch, the battery’s side",
            "stud 1, earth",
            "battery plus, to the switch",
            "stud 2, brake");
  }

  private static List<String> steps(Object... more) {
    Rig rig = Rigs.twoAxles(more);
    Harness harness = HarnessPlanner.plan(rig, WireSize.GAUGES);
    Scope scope = new Scope(rig, Wish.ANNUAL, harness, Set.of());
    return StepPlan.of(scope, UnitSystem.METRIC).stream().map(Step::id).toList();
  }

  @Test
  void aNewSwitchOrBatteryIsWorkWithTheBatteriesOffAndWithoutAnythingElse() {
    assertThat(steps(RigField.BREAKAWAY_KIT, "OWN_BATTERY")).isEmpty();
    assertThat(steps(RigField.BREAKAWAY_KIT, "NONE", RigField.KIT_WORK, "BOTH")).isEmpty();
    assertThat(steps(RigField.BREAKAWAY_KIT, "OWN_BATTERY", RigField.KIT_WORK, "BATTERY"))
        .containsSubsequence("prepare.off-breakaway", "kit.battery", "power.on", "test.bench")
        .doesNotContain("kit.switch", "test.continuity");
    assertThat(steps(RigField.BREAKAWAY_KIT, "OWN_BATTERY", RigField.KIT_WORK, "BOTH"))
        .contains("kit.switch", "kit.battery");
  }
}
