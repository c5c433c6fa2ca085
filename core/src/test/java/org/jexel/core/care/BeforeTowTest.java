package org.jexel.core.care;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.OptionalDouble;
import org.jexel.core.Rigs;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.LoadItem;
import org.jexel.core.rig.LoadSheet;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.TongueBand;
import org.junit.jupiter.api.Test;

class BeforeTowTest {
  private static BeforeTow list(OptionalDouble gain, UnitSystem units, Object... more) {
    Rig rig = Rigs.rig(Rigs.sheet(more), new LoadItem("goods", 600, 3.0));
    return BeforeTow.of(rig, LoadSheet.of(rig), TongueBand.NORTH_AMERICA, gain, units);
  }

  private static List<BeforeTow.Part> parts(BeforeTow list) {
    return list.items().stream().map(BeforeTow.Item::part).toList();
  }

  private static String look(BeforeTow list, BeforeTow.Part part) {
    return list.items().stream().filter(i -> i.part() == part).findFirst().orElseThrow().look();
  }

  @Test
  void whatATrailerDoesNotHaveIsNotLookedAt() {
    BeforeTow plain =
        list(
            OptionalDouble.empty(),
            UnitSystem.METRIC,
            RigField.BRAKE_TYPE,
            "NONE",
            RigField.CHAINS,
            "NO");
    assertThat(parts(plain))
        .doesNotContain(
            BeforeTow.Part.BRAKES, BeforeTow.Part.PULL, BeforeTow.Part.CABLE, BeforeTow.Part.CHAINS)
        .contains(BeforeTow.Part.COUPLER, BeforeTow.Part.LAMPS, BeforeTow.Part.NUTS);
  }

  /** 12 of 12 where everything is fitted, each once, in the order of one walk. */
  @Test
  void everythingFittedIsLookedAtOnceAndInItsOwnFigures() {
    Object[] braked = {
      RigField.BRAKE_TYPE, "ELECTRIC",
      RigField.AXLE_COUNT, 2,
      RigField.EMPTY_MASS, 700,
      RigField.CHAINS, "YES",
      RigField.COUPLING, "FIFTH_WHEEL",
      RigField.BREAKAWAY_KIT, "OWN_BATTERY"
    };
    BeforeTow list = list(OptionalDouble.of(6.5), UnitSystem.METRIC, braked);
    assertThat(parts(list)).containsExactly(BeforeTow.Part.values());
    assertThat(look(list, BeforeTow.Part.BRAKES)).contains("each of the 4 hums", "gain 6.5");
    assertThat(look(list, BeforeTow.Part.COUPLER)).contains("Jaws");
    assertThat(look(list, BeforeTow.Part.TONGUE))
        .as("10 to 15 % of 1 300 kg")
        .contains("130 to 195 kg");
    assertThat(list.seconds()).isBetween(10 * 60, 25 * 60);
    assertThat(look(list, BeforeTow.Part.TYRES)).contains("cold what its wall says;");
    assertThat(look(list(OptionalDouble.empty(), UnitSystem.US, braked), BeforeTow.Part.BRAKES))
        .contains("set it first");
    assertThat(look(list(OptionalDouble.empty(), UnitSystem.US, braked), BeforeTow.Part.TONGUE))
        .contains("lb");
  }

  /** To the wall's figure, on an axle with a table of its own to that; never in the other units. */
  @Test
  void tyresAreFilledToWhatIsKnownOfEachAxle() {
    Object[] known = {RigField.AXLE_COUNT, 2, "TYRE_WALL.0", 450_000, "TYRE_TABLE.1", 400_000};
    assertThat(look(list(OptionalDouble.empty(), UnitSystem.METRIC, known), BeforeTow.Part.TYRES))
        .contains("cold 4.50 bar, as its wall says; 4.00 bar, as its maker’s table says;");
    assertThat(look(list(OptionalDouble.empty(), UnitSystem.US, known), BeforeTow.Part.TYRES))
        .contains("cold 65 psi, as its wall says; 58 psi, as its maker’s table says;");
    assertThat(look(list(OptionalDouble.empty(), UnitSystem.US, known), BeforeTow.Part.NUTS))
        .endsWith("again after 50 mi.");
  }
}
