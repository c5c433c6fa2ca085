package org.jexel.core.rig;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.jexel.core.Rigs;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.quantity.Verdict;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

/** Where one answer about a rig ends and the next begins. */
class RigLimitsTest {
  private static List<String> slots(Object... sheet) {
    return Rigs.rig(Rigs.sheet(sheet)).lamps().stream().map(Lamp::slot).sorted().toList();
  }

  @ParameterizedTest
  @CsvSource({"1.8, 0", "1.81, 4", "9.1, 4", "9.11, 6"})
  void sideMarkersGoByLength(double length, int markers) {
    List<String> slots =
        slots(
            RigField.OVERALL_LENGTH, length,
            RigField.DRAWBAR_LENGTH, 0.6,
            RigField.AXLE_CENTRE, 1.2);
    assertThat(slots.stream().filter(s -> s.startsWith("marker-"))).hasSize(markers);
  }

  @ParameterizedTest
  @CsvSource({"1.59, 0, 0", "1.6, 2, 0", "2.02, 2, 0", "2.03, 2, 2"})
  void frontMarkersAndClearanceGoByWidth(double width, int fronts, int clearances) {
    List<String> slots = slots(RigField.OVERALL_WIDTH, width);
    assertThat(slots.stream().filter(s -> s.startsWith("front"))).hasSize(fronts);
    assertThat(slots.stream().filter(s -> s.startsWith("clearance"))).hasSize(clearances);
  }

  @Test
  void lampsHangOnTheOutlineEightCentimetresInside() {
    Rig rig =
        Rigs.rig(
            Rigs.sheet(
                RigField.OVERALL_LENGTH,
                10,
                RigField.OVERALL_WIDTH,
                2.2,
                RigField.DRAWBAR_LENGTH,
                1.3,
                RigField.AXLE_COUNT,
                3));
    assertPlace(rig, "rear-left", 9.92, 1.02);
    assertPlace(rig, "rear-right", 9.92, -1.02);
    assertPlace(rig, "marker-front-left", 1.38, 1.02);
    assertPlace(rig, "marker-middle-right", 5.65, -1.02);
    assertPlace(rig, "marker-rear-left", 9.62, 1.02);
    assertPlace(rig, "front-left", 1.38, 0.92);
    assertPlace(rig, "front-right", 1.38, -0.92);
    assertPlace(rig, "clearance-left", 9.92, 0.77);
    assertPlace(rig, "clearance-right", 9.92, -0.77);
  }

  private static void assertPlace(Rig rig, String slot, double x, double y) {
    Lamp lamp = lamp(rig, slot);
    assertThat(lamp.x()).as(slot).isCloseTo(x, within(1e-9));
    assertThat(lamp.y()).as(slot).isCloseTo(y, within(1e-9));
  }

  private static Lamp lamp(Rig rig, String slot) {
    return rig.lamps().stream().filter(l -> l.slot().equals(slot)).findFirst().orElseThrow();
  }

  @Test
  void aReverseLampIsOfferedOnPlantWhoseConnectorHasItsPin() {
    assertThat(slots(RigField.TRAILER_KIND, "PLANT", RigField.TRAILER_CONNECTOR, "blade-7"))
        .contains("reverse");
    assertThat(slots(RigField.TRAILER_KIND, "PLANT")).doesNotContain("reverse");
    assertThat(slots(RigField.TRAILER_KIND, "BOX", RigField.TRAILER_CONNECTOR, "blade-7"))
        .doesNotContain("reverse");
  }

  @Test
  void whatIsSaidOfALampStandsAndItsPlaceFollowsTheOutlineUntilItIsMoved() {
    RigSheet sheet = Rigs.sheet(RigField.OVERALL_WIDTH, 2.1);
    Lamp offered = LampOffer.of(sheet, false).get(0);
    Lamp elsewhere =
        new Lamp(
            offered.slot(),
            offered.role(),
            offered.side(),
            1,
            0.1,
            LampTechnology.LED,
            Lamp.State.LEFT_OUT,
            "",
            false);
    List<Lamp> kept = LampOffer.with(sheet, List.of(elsewhere));
    assertThat(kept.get(0).x()).isEqualTo(offered.x());
    assertThat(kept.get(0).technology()).isEqualTo(LampTechnology.LED);
    assertThat(kept.get(0).counts()).isFalse();
    List<Lamp> moved = LampOffer.with(sheet, List.of(elsewhere.at(1, 0.1)));
    assertThat(moved.get(0).x()).isEqualTo(1);
    Rig rig = new Rig(sheet, kept, List.of());
    assertThat(rig.fittedLamps()).hasSize(rig.lamps().size() - 1);
  }

  @Test
  void lampsOfOneKindOnOneSideAreCountedFromTheFront() {
    Rig rig = Rigs.rig(Rigs.sheet(RigField.OVERALL_LENGTH, 10, RigField.AXLE_COUNT, 3));
    assertThat(rig.name(lamp(rig, "marker-front-left"))).isEqualTo("Side marker 1, left");
    assertThat(rig.name(lamp(rig, "marker-middle-left"))).isEqualTo("Side marker 2, left");
    assertThat(rig.name(lamp(rig, "marker-rear-right"))).isEqualTo("Side marker 3, right");
    assertThat(rig.name(lamp(rig, "rear-left"))).isEqualTo("Rear lamp, left");
  }

  private static List<RigField> problems(Object... sheet) {
    return RigConsistency.of(Rigs.sheet(sheet)).stream()
        .map(RigConsistency.Problem::field)
        .toList();
  }

  @Test
  void figuresThatTouchCannotStandTogether() {
    assertThat(problems(RigField.AXLE_COUNT, 1.5)).contains(RigField.AXLE_COUNT);
    assertThat(problems(RigField.AXLE_COUNT, 2)).isEmpty();
    Object[] short4 = {RigField.OVERALL_LENGTH, 4, RigField.AXLE_CENTRE, 3};
    assertThat(problems(with(short4, RigField.DRAWBAR_LENGTH, 3.99, RigField.AXLE_CENTRE, 3.995)))
        .isEmpty();
    assertThat(problems(with(short4, RigField.DRAWBAR_LENGTH, 4)))
        .startsWith(RigField.DRAWBAR_LENGTH, RigField.OVERALL_LENGTH);
    // Two axles 1 m apart reach half a metre to either side of their middle.
    Object[] pair = {RigField.AXLE_COUNT, 2, RigField.AXLE_SPACING, 1};
    Object[] bed = {RigField.OVERALL_LENGTH, 6, RigField.DRAWBAR_LENGTH, 1.5};
    assertThat(problems(with(pair, with(bed, RigField.AXLE_CENTRE, 2)))).hasSize(4);
    assertThat(problems(with(pair, with(bed, RigField.AXLE_CENTRE, 2.01)))).isEmpty();
    assertThat(problems(with(pair, with(bed, RigField.AXLE_CENTRE, 5.5)))).hasSize(4);
    assertThat(problems(with(pair, with(bed, RigField.AXLE_CENTRE, 5.49)))).isEmpty();
    assertThat(problems(RigField.OVERALL_LENGTH, 4, RigField.EMPTY_BALANCE, 4))
        .containsExactly(RigField.EMPTY_BALANCE);
    assertThat(problems(RigField.OVERALL_LENGTH, 4, RigField.EMPTY_BALANCE, 3.99)).isEmpty();
    Object[] vehicle = {RigField.TOW_LENGTH, 5, RigField.REAR_OVERHANG, 1.5};
    assertThat(problems(with(vehicle, RigField.WHEELBASE, 3.5))).hasSize(3);
    assertThat(problems(with(vehicle, RigField.WHEELBASE, 3.49))).isEmpty();
    assertThat(problems(RigField.GAIN_LEAST, 2, RigField.GAIN_GREATEST, 3, RigField.GAIN_STEP, 1))
        .isEmpty();
    assertThat(problems(RigField.GAIN_LEAST, 2, RigField.GAIN_GREATEST, 3, RigField.GAIN_STEP, 1.1))
        .containsExactly(RigField.GAIN_STEP);
    assertThat(problems(RigField.GAIN_LEAST, 3, RigField.GAIN_GREATEST, 3)).hasSize(2);
  }

  private static Object[] with(Object[] some, Object... more) {
    return Stream.of(some, more).flatMap(Stream::of).toArray();
  }

  /** Each limit, met to the kilogram, and passed by one. */
  @ParameterizedTest
  @CsvSource({
    "Axle 1, 1000, 1900, HOLDS",
    "Axle 1, 1000, 1902, WATCH",
    "Axle 2, 1000, 2000, WATCH",
    "Axle 2, 1000, 2002, FAILS",
    "'Trailer, loaded', 2100, 2100, FAILS",
    "Tow rating, 2210, 2000, WATCH",
    "Tongue rating, 210, 2000, WATCH",
    "Tongue rating, 209, 2000, FAILS",
    "Vehicle with tongue load, 2210, 2000, WATCH",
    "Vehicle with tongue load, 2209, 2000, FAILS",
    "Whole train, 4210, 2000, WATCH",
    "Whole train, 4209, 2000, FAILS"
  })
  void aRatingIsWatchedUpToItselfAndFailsBeyond(
      String title, double limit, double axles, Verdict verdict) {
    double tongue = 210;
    RigSheet sheet =
        Rigs.sheet(
            RigField.AXLE_COUNT, 2,
            RigField.KERB_MASS, 2000,
            RigField.WEIGHED_TONGUE, tongue,
            RigField.WEIGHED_AXLES, axles,
            RigField.AXLE_RATING, limit < 1500 && title.startsWith("Axle") ? limit : 1500,
            RigField.TRAILER_PERMITTED_MASS, title.startsWith("Trailer") ? limit : 3000,
            RigField.TOW_RATING, title.startsWith("Tow r") ? limit : 3000,
            RigField.TONGUE_RATING, title.startsWith("Tongue") ? limit : 300,
            RigField.TOW_PERMITTED_MASS, title.startsWith("Vehicle") ? limit : 3000,
            RigField.TRAIN_MASS, title.startsWith("Whole") ? limit : 9000);
    Rig rig = Rigs.rig(sheet);
    List<RatingCheck> checks = RatingCheck.of(rig, LoadSheet.of(rig), TongueBand.NORTH_AMERICA);
    RatingCheck one =
        checks.stream().filter(c -> c.title().equals(title)).findFirst().orElseThrow();
    assertThat(one.verdict()).isEqualTo(verdict);
    assertThat(one.limit()).isEqualTo(limit);
  }

  @Test
  void theOnlyAxleHasNoNumber() {
    Rig rig = Rigs.oneAxle();
    assertThat(RatingCheck.of(rig, LoadSheet.of(rig), TongueBand.NORTH_AMERICA))
        .extracting(RatingCheck::title)
        .contains("Axle")
        .doesNotContain("Axle 1");
  }

  /** Of 1 000 kg on the band from 10 to 15 %. */
  @ParameterizedTest
  @CsvSource({
    "49, FAILS, 0.10",
    "50, WATCH, 0.10",
    "99, WATCH, 0.10",
    "100, HOLDS, 0.15",
    "150, HOLDS, 0.15",
    "151, WATCH, 0.15"
  })
  void theTongueShareHoldsInsideItsBand(double tongue, Verdict verdict, double limit) {
    Rig rig =
        Rigs.rig(
            Rigs.sheet(RigField.WEIGHED_TONGUE, tongue, RigField.WEIGHED_AXLES, 1000 - tongue));
    RatingCheck share =
        RatingCheck.of(rig, LoadSheet.of(rig), TongueBand.NORTH_AMERICA).stream()
            .filter(c -> c.title().equals("Tongue share"))
            .findFirst()
            .orElseThrow();
    assertThat(share.verdict()).isEqualTo(verdict);
    assertThat(share.limit()).isEqualTo(limit);
  }

  @Test
  void aBandOfTheTongueRisesAndStaysUnderTheWholeTrailer() {
    assertThat(new TongueBand(0, 0.99).least()).isZero();
    assertThatThrownBy(() -> new TongueBand(-0.01, 0.1)).hasMessageContaining("tongue band");
    assertThatThrownBy(() -> new TongueBand(0.1, 0.1)).hasMessageContaining("tongue band");
    assertThatThrownBy(() -> new TongueBand(0.1, 1)).hasMessageContaining("tongue band");
  }

  @Test
  void anAssumptionIsMovedBothWaysByItsSpreadAndNoFurtherThanIsPlausible() {
    Rig rig = Rigs.rig(Rigs.sheet(RigField.KERB_MASS, 2000));
    double tow = rig.sheet().si(RigField.TOW_RATING);
    List<Influence> ranked =
        Influence.rank(
            rig,
            r -> 3 * r.sheet().si(RigField.TOW_RATING) + r.sheet().si(RigField.TOW_WIDTH),
            RigField.TOW_WIDTH,
            RigField.TOW_RATING,
            RigField.WHEELBASE,
            RigField.KERB_MASS,
            RigField.WEIGHED_TONGUE);
    assertThat(ranked)
        .extracting(i -> i.key().field())
        .containsExactly(RigField.TOW_RATING, RigField.TOW_WIDTH);
    assertThat(ranked.get(0).shift()).isCloseTo(3 * 0.25 * tow, within(1e-6));
    // Only what grows counts here, so the greater of the two ways is up.
    assertThat(
            Influence.rank(
                rig, r -> Math.max(tow, r.sheet().si(RigField.TOW_RATING)), RigField.TOW_RATING))
        .singleElement()
        .satisfies(i -> assertThat(i.shift()).isCloseTo(0.25 * tow, within(1e-6)));
    assertThat(
            Influence.rank(
                rig, r -> Math.min(tow, r.sheet().si(RigField.TOW_RATING)), RigField.TOW_RATING))
        .singleElement()
        .satisfies(i -> assertThat(i.shift()).isCloseTo(0.25 * tow, within(1e-6)));
  }

  @Test
  void defaultsLeanOnWhatIsKnown() {
    RigSheet sheet =
        Rigs.sheet(
            RigField.OVERALL_LENGTH, 6,
            RigField.OVERALL_WIDTH, 2,
            RigField.DRAWBAR_LENGTH, 1,
            RigField.AXLE_COUNT, 2,
            RigField.TRAILER_KIND, "BOX");
    assertThat(sheet.si(RigField.AXLE_CENTRE)).isCloseTo(1 + 0.58 * 5, within(0.006));
    assertThat(sheet.si(RigField.EMPTY_BALANCE)).isCloseTo(0.9 * 3.9, within(0.006));
    assertThat(sheet.si(RigField.EMPTY_MASS)).isEqualTo(900);
    assertThat(sheet.si(RigField.BOX_X)).isCloseTo(0.78, within(1e-9));
    assertThat(sheet.si(RigField.ENTRY_Y)).isCloseTo(0.62, within(1e-9));
    assertThat(sheet.si(RigField.BREAKAWAY_X)).isCloseTo(0.3, within(1e-9));
    assertThat(sheet.si(RigField.SOLO_STOP)).isCloseTo(48.2, within(0.1));
    assertThat(Rigs.sheet(RigField.AXLE_RATING, 1200).si(RigField.DRUM_DIAMETER)).isEqualTo(0.254);
    assertThat(Rigs.sheet(RigField.AXLE_RATING, 1199).si(RigField.DRUM_DIAMETER)).isEqualTo(0.178);
    assertThat(Rigs.sheet(RigField.DRUM_DIAMETER, 0.25).si(RigField.MAGNET_OHMS)).isEqualTo(3.2);
    assertThat(Rigs.sheet(RigField.DRUM_DIAMETER, 0.249).si(RigField.MAGNET_OHMS)).isEqualTo(3.9);
  }

  @Test
  void whatTheVehicleCameWithDecidesWhatIsAssumedOfIt() {
    RigSheet braked = Rigs.twoAxles().sheet();
    assertThat(braked.choice(RigField.TOW_PREP, TowPrep.class)).isEqualTo(TowPrep.SEVEN_WAY);
    assertThat(Rigs.unbraked().sheet().choice(RigField.TOW_PREP, TowPrep.class))
        .isEqualTo(TowPrep.FOUR_WAY);
    assertThat(controller("NONE", "BUILT_IN")).isEqualTo(ControllerKind.NONE);
    assertThat(controller("ELECTRIC", "BUILT_IN")).isEqualTo(ControllerKind.BUILT_IN);
    assertThat(controller("ELECTRIC", "SEVEN_WAY")).isEqualTo(ControllerKind.UNDER_DASH);
    assertThat(breakaway("ELECTRIC", "NONE")).isEqualTo(BreakawayKit.OWN_BATTERY);
    assertThat(breakaway("NONE", "NONE")).isEqualTo(BreakawayKit.NONE);
    assertThat(breakaway("ELECTRIC", "HOUSE_BATTERY")).isEqualTo(BreakawayKit.HOUSE_BATTERY);
    assertThat(
            Rigs.sheet(RigField.BRAKE_TYPE, "ELECTRIC_HYDRAULIC").si(RigField.CHARGE_AMPS)
                / Rigs.sheet(RigField.BRAKE_TYPE, "ELECTRIC").si(RigField.CHARGE_AMPS))
        .isEqualTo(3);
  }

  private static ControllerKind controller(String brakes, String prep) {
    return Rigs.sheet(RigField.BRAKE_TYPE, brakes, RigField.TOW_PREP, prep)
        .choice(RigField.CONTROLLER_KIND, ControllerKind.class);
  }

  private static BreakawayKit breakaway(String brakes, String there) {
    return Rigs.sheet(RigField.BRAKE_TYPE, brakes, RigField.BREAKAWAY_KIT, there)
        .choice(RigField.PLANNED_BREAKAWAY, BreakawayKit.class);
  }

  @Test
  void whatIsMissingBetweenTwoConnectorsIsNamedAndAWirelessUnitBringsItsOwn() {
    Rig converted =
        Rigs.rig(
            Rigs.sheet(
                RigField.BRAKE_TYPE, "ELECTRIC",
                RigField.TOW_CONNECTOR, "flat-4",
                RigField.TRAILER_CONNECTOR, "flat-4"));
    assertThat(work(converted, "Socket on the vehicle")).contains("brake, charge, reverse");
    assertThat(work(converted, "Plug on the trailer")).contains("brake, charge, reverse");
    Rig wireless =
        Rigs.rig(
            Rigs.sheet(
                RigField.BRAKE_TYPE, "ELECTRIC",
                RigField.TOW_CONNECTOR, "flat-4",
                RigField.TRAILER_CONNECTOR, "blade-7",
                RigField.CONTROLLER_KIND, "WIRELESS"));
    assertThat(work(wireless, "A wireless unit between the halves"))
        .contains("charge, reverse")
        .doesNotContain("brake,");
    assertThat(GapList.of(wireless)).extracting(Gap::title).doesNotContain("Socket on the vehicle");
    Rig same = Rigs.twoAxles(RigField.CONTROLLER_KIND, "WIRELESS");
    assertThat(GapList.of(same))
        .extracting(Gap::title)
        .doesNotContain("A wireless unit between the halves", "Brakes of different kinds");
  }

  private static String work(Rig rig, String gap) {
    return GapList.of(rig).stream()
        .filter(g -> g.title().equals(gap))
        .map(Gap::work)
        .findFirst()
        .orElseThrow();
  }

  @Test
  void aPartIsPutBackOntoTheOutlineWhereAHandWantsItBesideIt() {
    Plan plan = new Plan(1, 5, 1);
    assertThat(plan.halfAt(1)).isEqualTo(1);
    assertThat(plan.halfAt(0.5)).isCloseTo(0.31, within(1e-12));
    assertThat(plan.nearest(6, -3)).containsExactly(5, -1);
    assertThat(plan.nearest(3, 0.4)).containsExactly(3, 0.4);
    assertThat(plan.carries(0, 0)).isTrue();
    assertThat(plan.carries(5, 1)).isTrue();
    assertThat(plan.carries(5.01, 0)).isFalse();
    assertThat(plan.carries(3, -1.01)).isFalse();
  }

  @Test
  void whoSensesMotionAndWhoWaitsForASignal() {
    assertThat(Arrays.stream(ControllerKind.values()).filter(ControllerKind::sensesMotion))
        .containsExactly(
            ControllerKind.UNDER_DASH, ControllerKind.REMOTE_KNOB, ControllerKind.WIRELESS);
    assertThat(Arrays.stream(ControllerKind.values()).filter(ControllerKind::takesStopSignal))
        .containsExactly(
            ControllerKind.UNDER_DASH, ControllerKind.REMOTE_KNOB, ControllerKind.TIMED);
    assertThat(Arrays.stream(JointMethod.values()).filter(JointMethod::weatherproof))
        .doesNotContain(JointMethod.TAP)
        .hasSize(3);
    assertThat(Side.LEFT.other()).isEqualTo(Side.RIGHT);
    assertThat(Side.RIGHT.other()).isEqualTo(Side.LEFT);
    assertThat(Side.RIGHT.sign()).isEqualTo(-1);
    assertThat(LoadItem.ofVolume("gravel", 0.5, 1600, 3).mass()).isEqualTo(800);
  }

  static Stream<Option> options() {
    return Arrays.stream(RigField.values()).flatMap(field -> field.options().stream());
  }

  @ParameterizedTest
  @MethodSource("options")
  void everyChoiceHasItsWord(Option option) {
    assertThat(option.label()).isNotBlank();
  }

  @ParameterizedTest
  @EnumSource(RigField.class)
  void everyFieldHasItsWordAndRefusesWhatItDoesNotKnow(RigField field) {
    assertThat(field.label()).isNotBlank();
    Entry strange =
        field.isNumber()
            ? Entry.number(Math.nextDown(field.least()), org.jexel.core.quantity.Provenance.PLATE)
            : Entry.choice("no-such-thing", org.jexel.core.quantity.Provenance.PLATE);
    FieldKey key = FieldKey.of(field);
    assertThatThrownBy(() -> RigSheet.check(key, strange, Rigs.CATALOG))
        .hasMessageContaining(key.code());
    assertThat(Rigs.sheet().entered(key)).isFalse();
  }

  @Test
  void entriesAreToldFromAssumptions() {
    RigSheet sheet = Rigs.sheet(RigField.KERB_MASS, 2000, RigField.TRAILER_KIND, "BOX");
    assertThat(sheet.entries()).hasSize(2);
    assertThat(sheet.entered(FieldKey.of(RigField.KERB_MASS))).isTrue();
    assertThat(sheet.enteredOf(RigField.KERB_MASS, RigField.TOW_WIDTH)).isEqualTo(1);
    assertThat(sheet.choice(RigField.TRAILER_KIND).assumed()).isFalse();
    assertThat(sheet.choice(RigField.BODY_MATERIAL).assumed()).isTrue();
    assertThat(Arrays.stream(RigField.values()).filter(RigField::optional))
        .contains(RigField.WEIGHED_TONGUE)
        .doesNotContain(RigField.KERB_MASS);
    assertThat(Rigs.twoAxles().carries(PinFunction.BRAKE)).isTrue();
    assertThat(Rigs.unbraked().carries(PinFunction.BRAKE)).isFalse();
  }
}
