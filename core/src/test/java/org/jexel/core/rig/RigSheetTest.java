package org.jexel.core.rig;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.jexel.core.Rigs;
import org.jexel.core.quantity.Provenance;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class RigSheetTest {
  @ParameterizedTest
  @EnumSource(RigField.class)
  void everyFieldHasAPlausibleDefaultWithItsReason(RigField field) {
    RigSheet sheet = Rigs.sheet();
    if (field.isNumber()) {
      var figure = sheet.figure(field);
      assertThat(figure.assumed()).isTrue();
      assertThat(figure.reason()).isNotBlank();
      if (!field.optional()) {
        assertThat(figure.si()).isBetween(field.least(), field.greatest());
      }
    } else {
      assertThat(sheet.choice(field).assumed()).isTrue();
      assertThat(sheet.choice(field).reason()).isNotBlank();
    }
  }

  @ParameterizedTest
  @EnumSource(TrailerKind.class)
  void defaultsOfEveryKindStandTogether(TrailerKind kind) {
    for (int axles = 1; axles <= 3; axles++) {
      RigSheet sheet = Rigs.sheet(RigField.TRAILER_KIND, kind.name(), RigField.AXLE_COUNT, axles);
      assertThat(RigConsistency.of(sheet)).as(kind + " " + axles).isEmpty();
    }
  }

  /** Of any axle, and only where both are known: what stands on the wall is the most. */
  @Test
  void aTableDoesNotSayMoreThanTheWall() {
    assertThat(tyres(450_000, 450_000)).isEmpty();
    assertThat(tyres(450_000, 450_001))
        .extracting(RigConsistency.Problem::field)
        .containsExactly(RigField.TYRE_TABLE, RigField.TYRE_WALL);
    assertThat(RigConsistency.of(Rigs.sheet("TYRE_TABLE.0", 900_000))).isEmpty();
  }

  private static List<RigConsistency.Problem> tyres(double wall, double table) {
    return RigConsistency.of(
        Rigs.sheet(RigField.AXLE_COUNT, 2, "TYRE_WALL.1", wall, "TYRE_TABLE.1", table));
  }

  @Test
  void anEntryReplacesTheDefaultAndTellsWhereItComesFrom() {
    RigSheet sheet =
        new RigSheet(
            Map.of(FieldKey.of(RigField.KERB_MASS), Entry.number(2100, Provenance.PLATE)),
            Rigs.CATALOG);
    assertThat(sheet.figure(RigField.KERB_MASS).provenance()).isEqualTo(Provenance.PLATE);
    assertThat(sheet.si(RigField.KERB_MASS)).isEqualTo(2100);
  }

  @Test
  void defaultsFollowTheFiguresTheyLeanOn() {
    assertThat(Rigs.sheet(RigField.KERB_MASS, 2000).si(RigField.TOW_PERMITTED_MASS))
        .isCloseTo(2700, within(1.0));
    assertThat(Rigs.sheet("AXLE_RATING.0", 700).si(RigField.MAGNET_OHMS)).isEqualTo(3.9);
    assertThat(Rigs.sheet("AXLE_RATING.0", 1500).si(RigField.MAGNET_OHMS)).isEqualTo(3.2);
    assertThat(
            Rigs.sheet(RigField.AXLE_COUNT, 2, "AXLE_RATING.0", 1300, "AXLE_RATING.1", 1200)
                .si(RigField.TRAILER_PERMITTED_MASS))
        .isEqualTo(2500);
  }

  @Test
  void electricBrakesOnAFourWayPlanForAConnectorWithABrakePin() {
    assertThat(
            Rigs.sheet(RigField.BRAKE_TYPE, "ELECTRIC").choice(RigField.PLANNED_CONNECTOR).value())
        .isEqualTo("blade-7");
    assertThat(Rigs.sheet().choice(RigField.PLANNED_CONNECTOR).value()).isEqualTo("flat-4");
  }

  @Test
  void whatCannotBeIsRefusedWithItsField() {
    assertThatThrownBy(() -> Rigs.sheet(RigField.KERB_MASS, -5)).hasMessageContaining("KERB_MASS");
    assertThatThrownBy(() -> Rigs.sheet(RigField.BRAKE_TYPE, "STEAM"))
        .hasMessageContaining("STEAM");
    assertThatThrownBy(() -> new FieldKey(RigField.KERB_MASS, 1)).hasMessageContaining("KERB_MASS");
    assertThatThrownBy(() -> FieldKey.of("KERB_MASS")).hasMessageContaining("no such field");
    assertThatThrownBy(() -> Rigs.sheet().si(RigField.BRAKE_TYPE))
        .hasMessageContaining("not a number");
  }

  @Property
  void aFieldsStoredNameReadsBack(@ForAll RigField field, @ForAll @IntRange(max = 2) int index) {
    FieldKey key = new FieldKey(field, field.perAxle() ? index : 0);
    assertThat(FieldKey.of(key.code())).isEqualTo(key);
  }

  @Test
  void figuresThatCannotStandTogetherAreToldBesideTheirFields() {
    assertThat(problems(RigField.DRAWBAR_LENGTH, 3.9, RigField.OVERALL_LENGTH, 3.5))
        .contains(RigField.DRAWBAR_LENGTH, RigField.OVERALL_LENGTH);
    assertThat(problems(RigField.AXLE_CENTRE, 12.0)).contains(RigField.AXLE_CENTRE);
    assertThat(problems(RigField.AXLE_COUNT, 1.5)).contains(RigField.AXLE_COUNT);
    assertThat(problems(RigField.GAIN_LEAST, 10, RigField.GAIN_GREATEST, 10))
        .contains(RigField.GAIN_GREATEST);
    assertThat(problems(RigField.GAIN_GREATEST, 5, RigField.GAIN_STEP, 6))
        .contains(RigField.GAIN_STEP);
    assertThat(problems(RigField.WHEELBASE, 4.5)).contains(RigField.WHEELBASE);
  }

  private static Iterable<RigField> problems(Object... pairs) {
    return RigConsistency.of(Rigs.sheet(pairs)).stream()
        .map(RigConsistency.Problem::field)
        .toList();
  }

  @Test
  void lampsAreOfferedByTheSizeOfTheTrailer() {
    assertThat(roles(3.0, 1.5)).doesNotContain(LampRole.FRONT_MARKER, LampRole.REAR_CLEARANCE);
    assertThat(roles(5.0, 1.8))
        .contains(LampRole.FRONT_MARKER)
        .doesNotContain(LampRole.REAR_CLEARANCE);
    assertThat(roles(5.0, 2.1)).contains(LampRole.REAR_CLEARANCE);
    assertThat(roles(10.0, 2.1)).filteredOn(r -> r == LampRole.SIDE_MARKER).hasSize(6);
    assertThat(roles(5.0, 2.1)).filteredOn(r -> r == LampRole.COMBINED).hasSize(2);
    assertThat(roles(5.0, 2.1)).filteredOn(r -> r == LampRole.PLATE).hasSize(1);
  }

  private static List<LampRole> roles(double length, double width) {
    return Rigs.rig(Rigs.sheet(RigField.OVERALL_LENGTH, length, RigField.OVERALL_WIDTH, width))
        .lamps()
        .stream()
        .map(Lamp::role)
        .toList();
  }

  @Test
  void axlesLieEvenlyAboutTheirMiddle() {
    Rig rig =
        Rigs.rig(
            Rigs.sheet(
                RigField.AXLE_COUNT, 3, RigField.AXLE_CENTRE, 4.5, RigField.AXLE_SPACING, 0.9));
    assertThat(rig.axlePlaces()).containsExactly(new double[] {3.6, 4.5, 5.4}, within(1e-12));
  }

  @Test
  void theAssumptionThatMovesTheAnswerMostComesFirst() {
    var ranked =
        Influence.rank(
            Rigs.twoAxles(),
            rig -> LoadSheet.of(rig).tongueShare(),
            RigField.EMPTY_MASS,
            RigField.EMPTY_BALANCE,
            RigField.AXLE_CENTRE);
    assertThat(ranked).isNotEmpty();
    assertThat(ranked)
        .extracting(Influence::shift)
        .isSortedAccordingTo((a, b) -> Double.compare(b, a));
    RigSheet measured =
        Rigs.twoAxles().sheet().with(ranked.get(0).key(), ranked.get(0).figure().si());
    assertThat(
            Influence.rank(
                Rigs.rig(measured),
                rig -> LoadSheet.of(rig).tongueShare(),
                ranked.get(0).key().field()))
        .isEmpty();
  }
}
