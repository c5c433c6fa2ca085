package org.jexel.core.rig;

import java.util.stream.IntStream;
import org.jexel.core.connector.ConnectorCatalog;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.quantity.Unit;

/**
 * The stated default of every field, each with its reason. Defaults lean on other figures of the
 * same rig where they can, so that three entries already give a sensible whole.
 */
final class Defaults {
  /** Deceleration of a laden car or light truck alone on dry asphalt, m/s²: about 0.8 g. */
  private static final double SOLO_MPS2 = 8.0;

  private static final double HUNDRED_KMH_IN_MPS = Unit.KILOMETRE_PER_HOUR.toSi(100);

  private Defaults() {}

  static Assumption of(FieldKey key, RigSheet sheet, ConnectorCatalog catalog) {
    if (key.index() > 0
        && key.field() != RigField.AXLE_BRAKED
        && !(key.field() == RigField.MAGNET_OHMS && ownDrum(key.index(), sheet))) {
      return asOnTheFirstAxle(FieldKey.of(key.field()), sheet);
    }
    return switch (key.field()) {
      case KERB_MASS -> Assumption.of(1900, "a mid-sized tow vehicle");
      case TOW_PERMITTED_MASS ->
          Assumption.of(round(1.35 * sheet.si(RigField.KERB_MASS), 10), "1.35 × kerb mass");
      case TRAIN_MASS ->
          Assumption.of(
              sheet.si(RigField.TOW_PERMITTED_MASS) + sheet.si(RigField.TOW_RATING),
              "permitted mass + tow rating");
      case TOW_RATING -> Assumption.of(2500, "common for a vehicle of this size");
      case TONGUE_RATING ->
          Assumption.of(0.1 * sheet.si(RigField.TOW_RATING), "a tenth of the tow rating");
      case TOW_LENGTH -> Assumption.of(4.9, "a mid-sized tow vehicle");
      case TOW_WIDTH -> Assumption.of(1.9, "a mid-sized tow vehicle");
      case WHEELBASE -> Assumption.of(2.85, "a mid-sized tow vehicle");
      case REAR_OVERHANG -> Assumption.of(1.2, "a mid-sized tow vehicle");
      case BATTERY_PLACE -> Assumption.of(BatteryPlace.FRONT_LEFT, "the commonest place");
      case TOW_CONNECTOR -> Assumption.of("flat-4", "the least that a vehicle is prepared with");
      case SECOND_TOW_CONNECTOR -> Assumption.of(Rig.NO_CONNECTOR, "one socket is usual");
      case TOW_CONVENTION ->
          Assumption.of(
              catalog.connector(sheet.choice(RigField.TOW_CONNECTOR).value()).convention(),
              "usual with this connector; makers differ, so measure");
      case TOW_PREP -> towPrep(sheet, catalog);
      case LAMPS_MONITORED -> Assumption.of(YesNo.NO, "older or simple vehicle");
      case LAMP_FEED ->
          sheet.choice(RigField.LAMPS_MONITORED, YesNo.class) == YesNo.YES
              ? Assumption.of(LampFeed.BUS, "its lamps are monitored")
              : Assumption.of(LampFeed.DIRECT, "older or simple vehicle");
      case ENGINE_OFF_VOLTS -> Assumption.of(12.6, "a rested, charged lead battery");
      case RUNNING_VOLTS -> Assumption.of(14.2, "a usual charging voltage");
      case SOLO_STOP ->
          Assumption.of(
              HUNDRED_KMH_IN_MPS * HUNDRED_KMH_IN_MPS / (2 * SOLO_MPS2),
              "about 0.8 g on dry asphalt");
      case FEED_RUN ->
          Assumption.of(
              round(sheet.si(RigField.TOW_LENGTH) + 1.1, 0.1),
              "vehicle length + 1.1 m (3 ft 7 in) of detours");
      case TRAILER_KIND -> Assumption.of(TrailerKind.FLATBED, "the commonest outline");
      case EMPTY_MASS -> emptyMass(sheet);
      case TRAILER_PERMITTED_MASS ->
          Assumption.of(axleRatings(sheet), "the sum of the axle ratings");
      case BODY_MATERIAL -> body(sheet);
      case FRAME_MATERIAL -> Assumption.of(Material.STEEL, "the commonest frame");
      case OVERALL_LENGTH ->
          Assumption.of(
              new double[] {4.2, 5.6, 7.0}[axles(sheet) - 1], "usual with this many axles");
      case OVERALL_WIDTH -> Assumption.of(2.0, "a usual width");
      case DRAWBAR_LENGTH -> Assumption.of(1.3, "a usual A-frame");
      case AXLE_COUNT -> Assumption.of(1, "the least that a trailer has");
      case AXLE_CENTRE -> {
        double bed = sheet.si(RigField.OVERALL_LENGTH) - sheet.si(RigField.DRAWBAR_LENGTH);
        yield Assumption.of(
            round(sheet.si(RigField.DRAWBAR_LENGTH) + 0.58 * bed, 0.01), "58 % along the bed");
      }
      case AXLE_SPACING -> Assumption.of(0.85, "a usual equalised pair");
      case AXLE_RATING -> Assumption.of(1400, "a usual axle");
      case AXLE_BRAKED ->
          Assumption.of(
              sheet.choice(new FieldKey(RigField.BRAKE_TYPE, key.index()), BrakeType.class)
                      == BrakeType.NONE
                  ? YesNo.NO
                  : YesNo.YES,
              "as its brakes say");
      case BRAKE_TYPE -> Assumption.of(BrakeType.NONE, "none seen yet");
      case DRUM_DIAMETER ->
          sheet.si(new FieldKey(RigField.AXLE_RATING, 0)) >= 1200
              ? Assumption.of(0.254, "10 in (254 mm) goes with axles of 1200 kg (2650 lb) and more")
              : Assumption.of(0.178, "7 in (178 mm) goes with axles under 1200 kg (2650 lb)");
      case MAGNET_OHMS ->
          sheet.si(new FieldKey(RigField.DRUM_DIAMETER, key.index())) >= 0.25
              ? Assumption.of(3.2, "usual for drums of 254 mm (10 in) and larger")
              : Assumption.of(3.9, "usual for 178 mm (7 in) drums");
      case TYRE_RADIUS -> Assumption.of(0.33, "a usual trailer tyre");
      case TYRE_WALL -> Assumption.of(Double.NaN, "not known until it is read off the wall");
      case TYRE_TABLE -> Assumption.of(Double.NaN, "filled to what stands on the wall");
      case STUD_COUNT -> Assumption.of(5, "usual on light axles");
      case STUD_SIZE -> Assumption.of(StudSize.M12, "usual on light axles");
      case TRAILER_CONNECTOR ->
          Assumption.of(sheet.choice(RigField.TOW_CONNECTOR).value(), "taken to fit the vehicle");
      case PLANNED_CONNECTOR -> plannedConnector(sheet, catalog);
      case TRAILER_CONVENTION ->
          Assumption.of(
              catalog.connector(sheet.choice(RigField.TRAILER_CONNECTOR).value()).convention(),
              "usual with the plug that is on it now; measure before you trust a colour");
      case LAMPS_SUBMERGED -> Assumption.of(YesNo.NO, "only boats are launched from a trailer");
      case LAMP_TECHNOLOGY -> Assumption.of(LampTechnology.FILAMENT, "none seen yet");
      case REAR_TAIL_WATTS -> sheet.choice(RigField.LAMP_TECHNOLOGY, LampTechnology.class).tail();
      case REAR_STOP_WATTS -> sheet.choice(RigField.LAMP_TECHNOLOGY, LampTechnology.class).stop();
      case JUNCTION_BOX -> Assumption.of(YesNo.NO, "none seen yet");
      case BREAKAWAY_KIT -> Assumption.of(BreakawayKit.NONE, "none seen yet");
      case BREAKAWAY_CAPACITY ->
          sheet.choice(RigField.BREAKAWAY_KIT, BreakawayKit.class) == BreakawayKit.HOUSE_BATTERY
              ? Assumption.of(Unit.AMPERE_HOUR.toSi(60), "a small house battery")
              : Assumption.of(Unit.AMPERE_HOUR.toSi(5), "a usual breakaway box");
      case BREAKAWAY_CHEMISTRY -> Assumption.of(BatteryChemistry.LEAD_ACID, "usual in such boxes");
      case BREAKAWAY_MADE -> Assumption.of(Double.NaN, "not known until its date code is read");
      case BATTERY_INDOORS -> Assumption.of(YesNo.NO, "in its box, where it is needed");
      case BREAKAWAY_COLD ->
          Assumption.of(Unit.CELSIUS.toSi(25), "the temperature at which batteries are rated");
      case CHARGE_AMPS ->
          sheet.choice(RigField.BRAKE_TYPE, BrakeType.class) == BrakeType.ELECTRIC_HYDRAULIC
              ? Assumption.of(30, "what an actuator's pump takes")
              : Assumption.of(10, "the design figure of a charge feed");
      case HOUSE_BATTERY -> Assumption.of(YesNo.NO, "none seen yet");
      case EMPTY_BALANCE ->
          Assumption.of(
              round(0.9 * sheet.si(RigField.AXLE_CENTRE), 0.01),
              "a tenth on the tongue when empty");
      case WEIGHED_TONGUE, WEIGHED_AXLES ->
          Assumption.of(Double.NaN, "computed until it is weighed");
      case BREAKER_FITTED -> Assumption.of(Double.NaN, "none seen yet");
      case LAMP_RETURN ->
          Assumption.of(LampReturn.OWN_CONDUCTOR, "a frame is a poor and rusting conductor");
      case BRAKE_FEED -> Assumption.of(BrakeFeed.TRUNK, "one run, across each axle");
      case JOINT_METHOD -> Assumption.of(JointMethod.CRIMP, "sealed sleeves stand the wet");
      case ROUTE_STYLE -> Assumption.of(RouteStyle.ALONG, "in reach for the next person");
      case PLANNED_BREAKAWAY -> plannedBreakaway(sheet);
      case MIDDLE_PIN -> Assumption.of(MiddlePin.CHARGE, "look at the letter stamped beside it");
      case PLANNED_BOX -> Assumption.of(YesNo.YES, "joints that can be reached and kept dry");
      case CORD_SLACK -> Assumption.of(0.6, "enough for a tight turn");
      case BOX_X ->
          Assumption.of(
              Math.max(0.1, sheet.si(RigField.DRAWBAR_LENGTH) - 0.22),
              "on the drawbar, before the bed");
      case BOX_Y -> Assumption.of(0, "in the middle");
      case ENTRY_X ->
          Assumption.of(sheet.si(RigField.DRAWBAR_LENGTH), "where the drawbar meets the bed");
      case ENTRY_Y ->
          Assumption.of(
              Plan.DRAWBAR_SHARE * sheet.si(RigField.OVERALL_WIDTH) / 2, "at the left rail");
      case BREAKAWAY_X ->
          Assumption.of(0.3 * sheet.si(RigField.DRAWBAR_LENGTH), "near the coupler");
      case BREAKAWAY_Y -> Assumption.of(0, "in line with the pull");
      case KIT_WORK -> Assumption.of(KitWork.NOTHING, "nothing is renewed until it is chosen");
      case LEAD_CHARGE, LEAD_PLUS, LEAD_MINUS, LEAD_SWITCH_IN, LEAD_SWITCH_OUT ->
          Assumption.of(LeadColour.UNSEEN, "a kit’s colours follow no convention: look");
      case COUPLING ->
          sheet.choice(RigField.TRAILER_KIND, TrailerKind.class) == TrailerKind.GOOSENECK
              ? Assumption.of(CouplingKind.GOOSENECK, "usual for this kind")
              : Assumption.of(CouplingKind.BALL, "usual for this kind");
      case CHAINS ->
          coupling(sheet) == CouplingKind.FIFTH_WHEEL
              ? Assumption.of(YesNo.NO, "a fifth wheel has usually none")
              : Assumption.of(YesNo.YES, "usual with a ball");
      case CABLE_LENGTH -> Assumption.of(Double.NaN, "not known until it is measured");
      case CABLE_FIXING -> Assumption.of(CableFixing.OWN_EYE, "where it belongs; look");
      case FIXING_X ->
          coupling(sheet).inTheBed()
              ? Assumption.of(-0.3, "an eye in the bed behind the coupling")
              : Assumption.of(0.15, "on the hitch's cross member");
      case FIXING_Y ->
          coupling(sheet).inTheBed()
              ? Assumption.of(0.2, "beside the coupling")
              : Assumption.of(0.1, "beside the receiver");
      case FIXING_Z ->
          coupling(sheet).inTheBed()
              ? Assumption.of(-0.1, "on the floor of the bed")
              : Assumption.of(-0.1, "at the height of the cross member");
      case SWITCH_Z ->
          coupling(sheet).inTheBed()
              ? Assumption.of(0.5, "on the neck, above the bed's sides")
              : Assumption.of(0.05, "on the drawbar's upper flange");
      case SWITCH_TURNED -> Assumption.of(0, "pointing straight ahead");
      case JACK_X -> Assumption.of(0.35, "behind the coupler");
      case JACK_Y -> Assumption.of(0, "on the middle");
      case GREATEST_TURN -> Assumption.of(Math.toRadians(90), "square across, as in a yard");
      case CHAINS_CROSSED -> Assumption.of(YesNo.YES, "usual, so that they catch the drawbar");
      case CHAIN_LENGTH -> Assumption.of(0.9, "a usual pair");
      case CHAIN_EYE_X -> Assumption.of(0.15, "on the hitch's cross member");
      case CHAIN_EYE_Y -> Assumption.of(0.12, "either side of the receiver");
      case CHAIN_EYE_Z -> Assumption.of(-0.1, "at the height of the cross member");
      case CHAIN_END_X -> Assumption.of(0.25, "behind the coupler");
      case CHAIN_END_Y -> Assumption.of(0.06, "on the drawbar's flanks");
      case CHAIN_END_Z -> Assumption.of(-0.1, "under the drawbar");
      case CONTROLLER_KIND -> controllerKind(sheet);
      case GAIN_LEAST -> Assumption.of(0, "a scale from 0 to 10");
      case GAIN_GREATEST -> Assumption.of(10, "a scale from 0 to 10");
      case GAIN_STEP -> Assumption.of(0.5, "half steps");
      case CONTROLLER_DROP -> Assumption.of(0.3, "a pulsed output stage");
    };
  }

  private static CouplingKind coupling(RigSheet sheet) {
    return sheet.choice(RigField.COUPLING, CouplingKind.class);
  }

  private static Assumption asOnTheFirstAxle(FieldKey first, RigSheet sheet) {
    String reason = "as on the first axle";
    return first.field().isNumber()
        ? Assumption.of(sheet.si(first), reason)
        : Assumption.of(sheet.choice(first).value(), reason);
  }

  /** Its drum was read, so its magnet follows it and not the first axle's. */
  private static boolean ownDrum(int axle, RigSheet sheet) {
    return !sheet.figure(new FieldKey(RigField.DRUM_DIAMETER, axle)).assumed();
  }

  private static Assumption towPrep(RigSheet sheet, ConnectorCatalog catalog) {
    boolean brakePin =
        catalog.connector(sheet.choice(RigField.TOW_CONNECTOR).value()).has(PinFunction.BRAKE);
    return brakePin
        ? Assumption.of(TowPrep.SEVEN_WAY, "its socket has a brake pin")
        : Assumption.of(TowPrep.FOUR_WAY, "its socket has no brake pin");
  }

  private static Assumption emptyMass(RigSheet sheet) {
    double perAxle =
        switch (sheet.choice(RigField.TRAILER_KIND, TrailerKind.class)) {
          case FLATBED -> 340;
          case BOX -> 450;
          case LIVESTOCK -> 480;
          case PLANT -> 330;
          case STALL -> 560;
          case CABIN -> 650;
          case SKELETON -> 200;
          case GOOSENECK -> 900;
        };
    return Assumption.of(perAxle * axles(sheet), "usual for this kind and number of axles");
  }

  private static Assumption body(RigSheet sheet) {
    return switch (sheet.choice(RigField.TRAILER_KIND, TrailerKind.class)) {
      case BOX, LIVESTOCK, STALL -> Assumption.of(Material.ALUMINIUM, "usual skin of this kind");
      case CABIN -> Assumption.of(Material.WOOD, "usual for this kind");
      case FLATBED, PLANT, SKELETON, GOOSENECK ->
          Assumption.of(Material.STEEL, "usual for this kind");
    };
  }

  private static Assumption plannedConnector(RigSheet sheet, ConnectorCatalog catalog) {
    String present = sheet.choice(RigField.TRAILER_CONNECTOR).value();
    if (electricBrakes(sheet) && !catalog.connector(present).has(PinFunction.BRAKE)) {
      return Assumption.of(
          "blade-7", "these brakes need a brake pin, and " + present + " has none");
    }
    return Assumption.of(present, "stays as it is");
  }

  private static Assumption plannedBreakaway(RigSheet sheet) {
    BreakawayKit there = sheet.choice(RigField.BREAKAWAY_KIT, BreakawayKit.class);
    return there != BreakawayKit.NONE
        ? Assumption.of(there, "stays as it is")
        : electricBrakes(sheet)
            ? Assumption.of(
                BreakawayKit.OWN_BATTERY, "a braked trailer that comes off must stop itself")
            : Assumption.of(BreakawayKit.NONE, "no electric brakes");
  }

  private static Assumption controllerKind(RigSheet sheet) {
    if (!electricBrakes(sheet)) {
      return Assumption.of(ControllerKind.NONE, "no electric brakes to control");
    }
    return sheet.choice(RigField.TOW_PREP, TowPrep.class) == TowPrep.BUILT_IN
        ? Assumption.of(ControllerKind.BUILT_IN, "the vehicle came with one")
        : Assumption.of(ControllerKind.UNDER_DASH, "the commonest kind");
  }

  private static boolean electricBrakes(RigSheet sheet) {
    return IntStream.range(0, axles(sheet))
        .mapToObj(i -> sheet.choice(new FieldKey(RigField.BRAKE_TYPE, i), BrakeType.class))
        .anyMatch(b -> b == BrakeType.ELECTRIC || b == BrakeType.ELECTRIC_HYDRAULIC);
  }

  private static int axles(RigSheet sheet) {
    return (int) sheet.si(RigField.AXLE_COUNT);
  }

  private static double axleRatings(RigSheet sheet) {
    double sum = 0;
    for (int i = 0; i < axles(sheet); i++) {
      sum += sheet.si(new FieldKey(RigField.AXLE_RATING, i));
    }
    return sum;
  }

  private static double round(double value, double to) {
    return Math.round(value / to) * to;
  }
}
