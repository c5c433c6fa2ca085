package org.jexel.core.rig;

import static org.jexel.core.quantity.Provenance.CHOSEN;
import static org.jexel.core.quantity.Provenance.MEASURED;
import static org.jexel.core.quantity.Provenance.PLATE;
import static org.jexel.core.rig.Subject.CONTROLLER;
import static org.jexel.core.rig.Subject.TOW;
import static org.jexel.core.rig.Subject.TRAILER;

import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import org.jexel.core.quantity.CalendarDay;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Provenance;
import org.jexel.core.quantity.Unit;
import org.jspecify.annotations.Nullable;

/**
 * Every figure that a rig has: its name, its measure, what is plausible, how far an assumption may
 * be off, and where an entry usually comes from. The default of each stands in {@link Defaults}.
 */
public enum RigField {
  KERB_MASS(TOW, "Kerb mass", Measure.MASS, 400, 20_000, 0.15, PLATE),
  TOW_PERMITTED_MASS(TOW, "Permitted mass", Measure.MASS, 500, 40_000, 0.10, PLATE),
  TRAIN_MASS(TOW, "Permitted train mass", Measure.MASS, 800, 60_000, 0.10, PLATE),
  TOW_RATING(TOW, "Tow rating", Measure.MASS, 100, 40_000, 0.25, PLATE),
  TONGUE_RATING(TOW, "Tongue rating", Measure.MASS, 20, 4_000, 0.25, PLATE),
  TOW_LENGTH(TOW, "Length to the ball", Measure.LENGTH, 2, 14, 0.08, MEASURED),
  TOW_WIDTH(TOW, "Width", Measure.LENGTH, 1.2, 2.7, 0.05, MEASURED),
  WHEELBASE(TOW, "Wheelbase", Measure.LENGTH, 1.5, 8, 0.08, PLATE),
  REAR_OVERHANG(TOW, "Rear axle to ball", Measure.LENGTH, 0.3, 4, 0.15, MEASURED),
  BATTERY_PLACE(TOW, "Battery", BatteryPlace.class, MEASURED),
  TOW_CONNECTOR(TOW, "Socket on the vehicle", Catalog.CONNECTOR, MEASURED),
  SECOND_TOW_CONNECTOR(TOW, "Second socket, if any", Catalog.CONNECTOR_OR_NONE, MEASURED),
  TOW_CONVENTION(TOW, "Colours behind the socket", Catalog.CONVENTION, MEASURED),
  TOW_PREP(TOW, "Factory preparation", TowPrep.class, PLATE),
  LAMPS_MONITORED(TOW, "Lamps monitored by the bus", YesNo.class, MEASURED),
  LAMP_FEED(TOW, "What feeds the lamp pins", LampFeed.class, MEASURED),
  ENGINE_OFF_VOLTS(TOW, "Battery volts, engine off", Measure.VOLTS, 9, 15, 0.03, MEASURED),
  RUNNING_VOLTS(TOW, "Battery volts, running", Measure.VOLTS, 11, 16, 0.03, MEASURED),
  SOLO_STOP(TOW, "Solo stop from 100 km/h (62 mph)", Measure.DISTANCE, 30, 120, 0.15, MEASURED),
  FEED_RUN(TOW, "Wire run, battery to socket", Measure.LENGTH, 0.5, 20, 0.20, MEASURED),

  TRAILER_KIND(TRAILER, "Kind", TrailerKind.class, MEASURED),
  EMPTY_MASS(TRAILER, "Empty mass", Measure.MASS, 50, 20_000, 0.15, PLATE),
  TRAILER_PERMITTED_MASS(TRAILER, "Permitted mass", Measure.MASS, 100, 40_000, 0.10, PLATE),
  BODY_MATERIAL(TRAILER, "Body", Material.class, MEASURED),
  FRAME_MATERIAL(TRAILER, "Frame", Material.class, MEASURED),
  OVERALL_LENGTH(TRAILER, "Overall length with drawbar", Measure.LENGTH, 1.5, 18, 0.10, MEASURED),
  OVERALL_WIDTH(TRAILER, "Overall width", Measure.LENGTH, 0.8, 3.2, 0.08, MEASURED),
  DRAWBAR_LENGTH(TRAILER, "Drawbar, ball to bed", Measure.LENGTH, 0.4, 4, 0.15, MEASURED),
  AXLE_COUNT(TRAILER, "Axles", Measure.COUNT, 1, 3, 0, MEASURED),
  AXLE_CENTRE(TRAILER, "Ball to middle of the axles", Measure.LENGTH, 0.8, 14, 0.05, MEASURED),
  AXLE_SPACING(TRAILER, "Axle spacing", Measure.LENGTH, 0.5, 2.5, 0.10, MEASURED),
  AXLE_RATING(TRAILER, "Rating", Measure.MASS, 100, 10_000, 0.10, PLATE),
  AXLE_BRAKED(TRAILER, "Braked", YesNo.class, MEASURED),
  BRAKE_TYPE(TRAILER, "Brakes", BrakeType.class, MEASURED),
  DRUM_DIAMETER(TRAILER, "Drum", Measure.SMALL_LENGTH, 0.1, 0.5, 0.05, PLATE),
  MAGNET_OHMS(TRAILER, "One magnet, cold", Measure.OHMS, 0.5, 20, 0.10, MEASURED),
  TYRE_RADIUS(TRAILER, "Tyre radius under load", Measure.LENGTH, 0.15, 0.6, 0.06, MEASURED),
  TYRE_WALL(TRAILER, "Tyre, pressure on its wall", Measure.PRESSURE, 1e5, 1.2e6, 0, PLATE),
  TYRE_TABLE(TRAILER, "Tyre, pressure by its table", Measure.PRESSURE, 1e5, 1.2e6, 0, PLATE),
  STUD_COUNT(TRAILER, "Studs on a wheel", Measure.COUNT, 3, 10, 0, MEASURED),
  STUD_SIZE(TRAILER, "Stud size", StudSize.class, MEASURED),
  TRAILER_CONNECTOR(TRAILER, "Plug on the cord now", Catalog.CONNECTOR, MEASURED),
  PLANNED_CONNECTOR(TRAILER, "Connector pair after this job", Catalog.CONNECTOR, MEASURED),
  TRAILER_CONVENTION(TRAILER, "Colours on the trailer", Catalog.CONVENTION, MEASURED),
  LAMP_TECHNOLOGY(TRAILER, "Lamps", LampTechnology.class, MEASURED),
  REAR_TAIL_WATTS(TRAILER, "Rear lamp stamp, tail", Measure.POWER, 0.1, 15, 0.4, PLATE),
  REAR_STOP_WATTS(TRAILER, "Rear lamp stamp, stop and turn", Measure.POWER, 0.5, 40, 0.3, PLATE),
  LAMPS_SUBMERGED(TRAILER, "Lamps go under water", YesNo.class, MEASURED),
  JUNCTION_BOX(TRAILER, "Junction box", YesNo.class, MEASURED),
  BREAKAWAY_KIT(TRAILER, "Breakaway kit", BreakawayKit.class, MEASURED),
  BREAKAWAY_CAPACITY(TRAILER, "Breakaway battery", Measure.CAPACITY, 3_600, 1_080_000, 0, PLATE),
  BREAKAWAY_CHEMISTRY(TRAILER, "Battery’s cells", BatteryChemistry.class, PLATE),
  BREAKAWAY_MADE(
      TRAILER,
      "Battery’s date",
      Measure.DATE,
      CalendarDay.si(LocalDate.of(1990, 1, 1)),
      CalendarDay.si(LocalDate.of(2099, 12, 31)),
      0,
      PLATE),
  BATTERY_INDOORS(TRAILER, "Battery taken indoors", YesNo.class, MEASURED),
  BREAKAWAY_COLD(
      TRAILER,
      "Coldest that it must hold in",
      Measure.TEMPERATURE,
      Unit.CELSIUS.toSi(-50),
      Unit.CELSIUS.toSi(50),
      0,
      CHOSEN),
  CHARGE_AMPS(TRAILER, "Charge feed, at most", Measure.AMPS, 0.1, 60, 0, PLATE),
  HOUSE_BATTERY(TRAILER, "Battery on board", YesNo.class, MEASURED),
  EMPTY_BALANCE(TRAILER, "Ball to centre of mass, empty", Measure.LENGTH, 0.3, 14, 0.04, MEASURED),
  WEIGHED_TONGUE(TRAILER, "Tongue load on the scale", Measure.MASS, 1, 4_000, 0, MEASURED),
  WEIGHED_AXLES(TRAILER, "All axles on the scale", Measure.MASS, 20, 40_000, 0, MEASURED),

  LAMP_RETURN(TRAILER, "Lamp returns", LampReturn.class, CHOSEN),
  BRAKE_FEED(TRAILER, "Brake feed", BrakeFeed.class, CHOSEN),
  JOINT_METHOD(TRAILER, "Joints", JointMethod.class, CHOSEN),
  ROUTE_STYLE(TRAILER, "Looms run", RouteStyle.class, CHOSEN),
  PLANNED_BREAKAWAY(TRAILER, "Breakaway after this job", BreakawayKit.class, CHOSEN),
  MIDDLE_PIN(TRAILER, "6-way round, middle pin", MiddlePin.class, MEASURED),
  PLANNED_BOX(TRAILER, "Junction box after this job", YesNo.class, CHOSEN),
  CORD_SLACK(TRAILER, "Cord past the coupler", Measure.LENGTH, 0, 3, 0, CHOSEN),
  BOX_X(TRAILER, "Box, behind the ball", Measure.LENGTH, 0, 18, 0, CHOSEN),
  BOX_Y(TRAILER, "Box, left of the middle", Measure.LENGTH, -1.6, 1.6, 0, CHOSEN),
  ENTRY_X(TRAILER, "Entry hole, behind the ball", Measure.LENGTH, 0, 18, 0, CHOSEN),
  ENTRY_Y(TRAILER, "Entry hole, left of the middle", Measure.LENGTH, -1.6, 1.6, 0, CHOSEN),
  BREAKAWAY_X(TRAILER, "Breakaway switch, behind the ball", Measure.LENGTH, 0, 18, 0, CHOSEN),
  BREAKAWAY_Y(
      TRAILER, "Breakaway switch, left of the middle", Measure.LENGTH, -1.6, 1.6, 0, CHOSEN),

  KIT_WORK(TRAILER, "Renewed in this job", KitWork.class, CHOSEN),
  LEAD_CHARGE(TRAILER, "Kit’s charge lead", LeadColour.class, MEASURED),
  LEAD_PLUS(TRAILER, "Kit’s battery plus", LeadColour.class, MEASURED),
  LEAD_MINUS(TRAILER, "Kit’s battery minus", LeadColour.class, MEASURED),
  LEAD_SWITCH_IN(TRAILER, "Switch, the battery’s side", LeadColour.class, MEASURED),
  LEAD_SWITCH_OUT(TRAILER, "Switch, the brakes’ side", LeadColour.class, MEASURED),

  COUPLING(TRAILER, "Coupling", CouplingKind.class, MEASURED),
  CHAINS(TRAILER, "Safety chains", YesNo.class, MEASURED),
  CABLE_LENGTH(TRAILER, "Cable, eye to pin", Measure.SMALL_LENGTH, 0.05, 4, 0, MEASURED),
  CABLE_FIXING(TOW, "Cable hangs on", CableFixing.class, MEASURED),
  FIXING_X(TOW, "Fixing point, ahead of the ball", Measure.SMALL_LENGTH, -0.5, 2, 0, MEASURED),
  FIXING_Y(TOW, "Fixing point, left of the middle", Measure.SMALL_LENGTH, -1.2, 1.2, 0, MEASURED),
  FIXING_Z(TOW, "Fixing point, above the ball", Measure.SMALL_LENGTH, -0.8, 1.2, 0, MEASURED),
  SWITCH_Z(TRAILER, "Switch, above the ball", Measure.SMALL_LENGTH, -0.6, 1, 0, MEASURED),
  SWITCH_TURNED(
      TRAILER, "Switch, turned from straight ahead", Measure.DEGREES, 0, Math.PI, 0, MEASURED),
  JACK_X(TRAILER, "Jack, behind the ball", Measure.SMALL_LENGTH, 0, 2, 0, MEASURED),
  JACK_Y(TRAILER, "Jack, left of the middle", Measure.SMALL_LENGTH, -0.6, 0.6, 0, MEASURED),
  GREATEST_TURN(
      TRAILER,
      "Greatest turn, either way",
      Measure.DEGREES,
      Math.toRadians(20),
      Math.toRadians(120),
      0,
      MEASURED),
  CHAINS_CROSSED(TRAILER, "Chains crossed", YesNo.class, MEASURED),
  CHAIN_LENGTH(TRAILER, "Chain, eye to eye", Measure.SMALL_LENGTH, 0.2, 3, 0.1, MEASURED),
  CHAIN_EYE_X(TOW, "Chain eyes, ahead of the ball", Measure.SMALL_LENGTH, -0.3, 1, 0, MEASURED),
  CHAIN_EYE_Y(TOW, "Chain eyes, out of the middle", Measure.SMALL_LENGTH, 0, 0.8, 0, MEASURED),
  CHAIN_EYE_Z(TOW, "Chain eyes, above the ball", Measure.SMALL_LENGTH, -0.6, 0.5, 0, MEASURED),
  CHAIN_END_X(TRAILER, "Chain ends, behind the ball", Measure.SMALL_LENGTH, 0, 2, 0, MEASURED),
  CHAIN_END_Y(TRAILER, "Chain ends, out of the middle", Measure.SMALL_LENGTH, 0, 0.8, 0, MEASURED),
  CHAIN_END_Z(TRAILER, "Chain ends, above the ball", Measure.SMALL_LENGTH, -0.6, 0.5, 0, MEASURED),

  CONTROLLER_KIND(CONTROLLER, "Kind", ControllerKind.class, MEASURED),
  GAIN_LEAST(CONTROLLER, "Scale, least", Measure.GAIN, 0, 50, 0, PLATE),
  GAIN_GREATEST(CONTROLLER, "Scale, greatest", Measure.GAIN, 0.5, 100, 0, PLATE),
  GAIN_STEP(CONTROLLER, "Scale, one step", Measure.GAIN, 0.1, 10, 0, PLATE),
  CONTROLLER_DROP(CONTROLLER, "Lost at full output", Measure.VOLTS, 0, 2, 0.5, MEASURED),
  BREAKER_FITTED(CONTROLLER, "Breaker in the feed, as fitted", Measure.RATING, 1, 200, 0, PLATE);

  /** Where the options of a field come from when they are data, not an enum. */
  public enum Catalog {
    CONNECTOR,
    CONNECTOR_OR_NONE,
    CONVENTION
  }

  private final Subject subject;
  private final String label;
  private final @Nullable Measure measure;
  private final double least;
  private final double greatest;
  private final double spread;
  private final @Nullable Class<? extends Option> options;
  private final @Nullable Catalog catalog;
  private final Provenance usual;

  RigField(
      Subject subject,
      String label,
      Measure measure,
      double least,
      double greatest,
      double spread,
      Provenance usual) {
    this(subject, label, measure, least, greatest, spread, null, null, usual);
  }

  RigField(Subject subject, String label, Class<? extends Option> options, Provenance usual) {
    this(subject, label, null, 0, 0, 0, options, null, usual);
  }

  RigField(Subject subject, String label, Catalog catalog, Provenance usual) {
    this(subject, label, null, 0, 0, 0, null, catalog, usual);
  }

  RigField(
      Subject subject,
      String label,
      @Nullable Measure measure,
      double least,
      double greatest,
      double spread,
      @Nullable Class<? extends Option> options,
      @Nullable Catalog catalog,
      Provenance usual) {
    this.subject = subject;
    this.label = label;
    this.measure = measure;
    this.least = least;
    this.greatest = greatest;
    this.spread = spread;
    this.options = options;
    this.catalog = catalog;
    this.usual = usual;
  }

  public Subject subject() {
    return subject;
  }

  public String label() {
    return label;
  }

  /**
   * How the number is written.
   *
   * @throws NullPointerException for a chosen field: see {@link #isNumber}
   */
  public Measure measure() {
    return Objects.requireNonNull(measure, label);
  }

  public boolean isNumber() {
    return measure != null;
  }

  /** The least plausible value, SI. */
  public double least() {
    return least;
  }

  /** The greatest plausible value, SI. */
  public double greatest() {
    return greatest;
  }

  /** How far an assumed value may be off, as a share of it. */
  public double spread() {
    return spread;
  }

  /** Options of an enumerated field, else empty. */
  public List<Option> options() {
    return options == null ? List.of() : List.of(options.getEnumConstants());
  }

  /** The catalog that offers this field's options; null if it is an enum or a number. */
  public @Nullable Catalog catalog() {
    return catalog;
  }

  /** What an entry in this field is, unless the person says otherwise. */
  public Provenance usual() {
    return usual;
  }

  /** One value for each axle. */
  public boolean perAxle() {
    return switch (this) {
      case AXLE_RATING,
          AXLE_BRAKED,
          BRAKE_TYPE,
          DRUM_DIAMETER,
          MAGNET_OHMS,
          TYRE_RADIUS,
          TYRE_WALL,
          TYRE_TABLE,
          STUD_COUNT,
          STUD_SIZE ->
          true;
      default -> false;
    };
  }

  /** Left open when not entered: no figure stands in for it. */
  public boolean optional() {
    return switch (this) {
      case WEIGHED_TONGUE,
          WEIGHED_AXLES,
          BREAKER_FITTED,
          CABLE_LENGTH,
          BREAKAWAY_MADE,
          TYRE_WALL,
          TYRE_TABLE ->
          true;
      default -> false;
    };
  }
}
