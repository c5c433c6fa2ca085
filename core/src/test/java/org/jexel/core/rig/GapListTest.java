package org.jexel.core.rig;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.jexel.core.Rigs;
import org.junit.jupiter.api.Test;

class GapListTest {
  private static List<String> gaps(Object... pairs) {
    return GapList.of(Rigs.rig(Rigs.sheet(pairs))).stream().map(Gap::title).toList();
  }

  @Test
  void brakesOnAFourWayNeedSocketPlugAndBreakaway() {
    assertThat(gaps(RigField.BRAKE_TYPE, "ELECTRIC"))
        .contains(
            "Socket on the vehicle", "Plug on the trailer", "No breakaway", "No junction box");
  }

  @Test
  void brakesWithAConnectorThatKeepsNoBrakePinFail() {
    assertThat(gaps(RigField.BRAKE_TYPE, "ELECTRIC", RigField.PLANNED_CONNECTOR, "flat-4"))
        .contains("No brake pin in the planned connector");
  }

  @Test
  void aMatchedUnbrakedPairOfSteelLacksNothing() {
    assertThat(gaps()).isEmpty();
  }

  @Test
  void halvesThatDoNotMateAreNamed() {
    assertThat(
            gaps(
                RigField.TOW_CONNECTOR, "flat-4",
                RigField.TRAILER_CONNECTOR, "flat-7",
                RigField.PLANNED_CONNECTOR, "flat-7"))
        .contains("The halves do not mate");
  }

  @Test
  void twoConventionsThatMeetAreFlagged() {
    assertThat(gaps(RigField.TOW_CONVENTION, "blade")).contains("Two colour conventions meet");
    assertThat(gaps(RigField.TOW_CONVENTION, "utility"))
        .doesNotContain("Two colour conventions meet");
  }

  @Test
  void monitoredLampsAskForTheIsolatorsOutput() {
    assertThat(gaps(RigField.LAMPS_MONITORED, "YES", RigField.TOW_PREP, "NONE"))
        .contains("Monitored lamps without an isolator");
    assertThat(gaps(RigField.LAMPS_MONITORED, "YES", RigField.TOW_PREP, "SEVEN_WAY"))
        .contains("Monitored lamps");
  }

  @Test
  void anAluminiumSkinIsNoReturnForSingleWireLamps() {
    assertThat(gaps(RigField.BODY_MATERIAL, "ALUMINIUM"))
        .contains("Aluminium body under single-wire lamps");
    assertThat(gaps(RigField.BODY_MATERIAL, "ALUMINIUM", RigField.LAMP_TECHNOLOGY, "LED"))
        .isEmpty();
  }

  @Test
  void lampsThatGoUnderWaterAreSealedAndReturnByTheirOwnConductor() {
    Object[] boat = {RigField.LAMPS_SUBMERGED, "YES", RigField.LAMP_RETURN, "FRAME"};
    assertThat(GapList.of(Rigs.rig(Rigs.sheet(boat))))
        .extracting(Gap::title)
        .contains(
            "Filament lamps that go under water", "Returns through a frame that goes under water");
    Object[] sealed = {
      RigField.LAMPS_SUBMERGED, "YES",
      RigField.LAMP_RETURN, "OWN_CONDUCTOR",
      RigField.LAMP_TECHNOLOGY, "LED"
    };
    assertThat(GapList.of(Rigs.rig(Rigs.sheet(sealed))))
        .extracting(Gap::title)
        .noneMatch(title -> title.contains("under water"));
  }

  @Test
  void lampsToBeFittedAreCounted() {
    Rig rig = Rigs.unbraked();
    Rig wanting =
        new Rig(
            rig.sheet(),
            rig.lamps().stream().map(l -> l.with(Lamp.State.WANTED, l.technology())).toList(),
            List.of());
    assertThat(GapList.of(wanting))
        .extracting(Gap::title)
        .contains(rig.lamps().size() + " lamps to be fitted");
  }

  @Test
  void everyGapGivesItsReasonAndTheWorkItAdds() {
    Rig rig =
        Rigs.rig(
            Rigs.sheet(
                RigField.BRAKE_TYPE, "ELECTRIC",
                RigField.TOW_CONVENTION, "blade",
                RigField.BODY_MATERIAL, "ALUMINIUM",
                RigField.LAMPS_MONITORED, "YES"));
    assertThat(GapList.of(rig))
        .hasSizeGreaterThan(5)
        .allSatisfy(
            gap -> {
              assertThat(gap.reason()).endsWith(".");
              assertThat(gap.work()).endsWith(".");
            });
  }
}
