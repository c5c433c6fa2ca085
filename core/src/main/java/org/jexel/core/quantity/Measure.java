package org.jexel.core.quantity;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * How a figure of one kind is written in each unit system: its unit and its decimals.
 *
 * <p>One dimension can have several measures: a bed is told in metres, a drum in millimetres.
 */
public enum Measure {
  MASS(Unit.KILOGRAM, 0, Unit.POUND, 0),
  LENGTH(Unit.METRE, 2, Unit.FOOT, 2),
  SMALL_LENGTH(Unit.MILLIMETRE, 0, Unit.INCH, 2),
  /** What a drill or a grommet is made for. */
  DRILL(Unit.MILLIMETRE, 1, Unit.INCH, 2),
  /** What is left of something that wears, or how wide it has worn. */
  WEAR(Unit.MILLIMETRE, 1, Unit.INCH, 2),
  /** How far a trailer has come. */
  WAY(Unit.KILOMETRE, 0, Unit.MILE, 0),
  VOLTS(Unit.VOLT, 2, Unit.VOLT, 2),
  MILLIVOLTS(Unit.MILLIVOLT, 0, Unit.MILLIVOLT, 0),
  AMPS(Unit.AMPERE, 2, Unit.AMPERE, 2),
  OHMS(Unit.OHM, 2, Unit.OHM, 2),
  MILLIOHMS(Unit.MILLIOHM, 2, Unit.MILLIOHM, 2),
  SPEED(Unit.KILOMETRE_PER_HOUR, 0, Unit.MILE_PER_HOUR, 0),
  DISTANCE(Unit.METRE, 1, Unit.FOOT, 0),
  SECONDS(Unit.SECOND, 1, Unit.SECOND, 1),
  MINUTES(Unit.MINUTE, 1, Unit.MINUTE, 1),
  HOURS(Unit.HOUR, 0, Unit.HOUR, 0),
  DEGREES(Unit.DEGREE, 1, Unit.DEGREE, 1),
  VOLUME(Unit.CUBIC_METRE, 2, Unit.CUBIC_FOOT, 1),
  DENSITY(Unit.KILOGRAM_PER_CUBIC_METRE, 0, Unit.POUND_PER_CUBIC_FOOT, 1),
  AREA(Unit.SQUARE_MILLIMETRE, 2, Unit.SQUARE_MILLIMETRE, 2),
  DECELERATION(Unit.METRE_PER_SECOND_SQUARED, 2, Unit.METRE_PER_SECOND_SQUARED, 2),
  FORCE(Unit.KILONEWTON, 2, Unit.POUND_FORCE, 0),
  POWER(Unit.WATT, 1, Unit.WATT, 1),
  YEARS(Unit.YEAR, 1, Unit.YEAR, 1),
  TEMPERATURE(Unit.CELSIUS, 0, Unit.FAHRENHEIT, 0),
  TORQUE(Unit.NEWTON_METRE, 0, Unit.POUND_FOOT, 0),
  /** Of air in a tyre. */
  PRESSURE(Unit.BAR, 2, Unit.PSI, 0),
  CAPACITY(Unit.AMPERE_HOUR, 1, Unit.AMPERE_HOUR, 1),
  SHARE(Unit.PERCENT, 1, Unit.PERCENT, 1),
  /** A share to the whole per cent. */
  PERCENT(Unit.PERCENT, 0, Unit.PERCENT, 0),
  COUNT(Unit.ONE, 0, Unit.ONE, 0),
  PLAIN(Unit.ONE, 2, Unit.ONE, 2),
  FINE(Unit.ONE, 3, Unit.ONE, 3),
  /** A mark of a controller's scale: no decimals beyond those it has. */
  GAIN(Unit.ONE, 2, Unit.ONE, 2),
  /** What is stamped on a fuse or breaker: no decimals beyond those it has. */
  RATING(Unit.AMPERE, 1, Unit.AMPERE, 1),
  /** A day: see {@link CalendarDay}. */
  DATE(Unit.ONE, 0, Unit.ONE, 0),
  /** What the eye says of a fuse, and of a new one in its place. */
  FUSE("sound", "blown", "blows again"),
  /** What the eye says of a lamp: its place in the list. */
  GLOW("dark", "glimmers", "dim", "bright"),
  /** Whether a lamp looks like the bulb, or the diode lamp, that is listed. */
  KIND("as listed", "other kind"),
  /** What a lamp is by its stamp, against the watts of the rig, assumed or entered. */
  STAMP("these watts", "other watts", "other kind"),
  /** What the hand says of a wheel that is off the ground. */
  TURNING("turns freely", "drags"),
  /** What lamps and brakes do while a hand moves what may be loose. */
  MOVING("stays steady", "makes and breaks"),
  /** What whoever drives it tells of a fault that may not show today. */
  COMING("always the same", "nobody can say", "comes and goes"),
  /** What a controller does when the pedal goes down. */
  WAKING("stays asleep", "wakes"),
  /** What the ear says of a magnet. */
  HUMMING("silent", "hums"),
  /** What a wheel off the ground does against a hand while its brake is fed. */
  GRIPPING("turns on", "stands"),
  /** What the adjuster has left until the shoes drag. */
  ADJUSTING("binds already", "a few notches", "many notches"),
  /** What a hand at top and bottom of a wheel feels, and an ear hears as it turns. */
  PLAY("firm and quiet", "knocks or growls"),
  TYRE("as its plate says", "soft"),
  /** What eye and hand say of a tyre’s walls and tread, without a gauge. */
  TYRE_LOOK("sound", "soft, cut or cracked"),
  /** How a trailer stands on level ground. */
  LEANING("left side low", "level", "right side low"),
  /** What the eye says of the shoes, the drum off. */
  LININGS("even and thick", "glazed", "worn thin", "greasy"),
  /** What the eye says of the magnet's face, and the hand of the magnet on its post. */
  MAGNET_FACE("flat and free", "worn or grooved", "stuck on its post"),
  /** What the hand says of the lever that the magnet pulls. */
  LEVER("moves freely", "sticks"),
  /** What an actuator's gauge says while it is fed. */
  PRESSING("builds none", "leaks away", "builds and stays"),
  /** What a hand near a drum feels after gentle stops, against the other drums. */
  HEAT("cold", "as the others", "hot"),
  /** What eye and hand say of a part that no gauge is made for. */
  CONDITION("not in order", "to be watched", "in order"),
  /** Where fresh grease comes out of a hub. */
  GREASE("none shows", "shows in front"),
  /** Where a trailer draws its vehicle while its brakes alone slow both. */
  PULLING("to the left", "straight", "to the right");

  /** From here on a meter shows whole ohms. */
  private static final double MANY_OHMS = 1000;

  private final Unit metric;
  private final int metricDecimals;
  private final Unit us;
  private final int usDecimals;

  private final List<String> words;

  Measure(String... words) {
    this(Unit.ONE, 0, Unit.ONE, 0, words);
  }

  Measure(Unit metric, int metricDecimals, Unit us, int usDecimals, String... words) {
    this.metric = metric;
    this.metricDecimals = metricDecimals;
    this.us = us;
    this.usDecimals = usDecimals;
    this.words = List.of(words);
  }

  /** The words that stand for 0, 1, 2 and so on; empty for a figure. */
  public List<String> words() {
    return words;
  }

  public Unit unit(UnitSystem system) {
    return system == UnitSystem.METRIC ? metric : us;
  }

  /** The number alone, rounded to this measure's decimals, in the given system. */
  public String number(double si, UnitSystem system) {
    if (!Double.isFinite(si)) {
      return "–";
    }
    if (!words.isEmpty()) {
      return words.get((int) Math.max(0, Math.min(words.size() - 1, Math.round(si))));
    }
    if (this == DATE) {
      return CalendarDay.text(si);
    }
    Optional<NoFigure> none = NoFigure.of(this, si);
    if (none.isPresent()) {
      return none.get().word();
    }
    boolean many = this == OHMS && Math.abs(si) >= MANY_OHMS;
    int decimals = many ? 0 : system == UnitSystem.METRIC ? metricDecimals : usDecimals;
    BigDecimal rounded =
        BigDecimal.valueOf(unit(system).fromSi(si)).setScale(decimals, RoundingMode.HALF_UP);
    if (this == GAIN || this == RATING) {
      rounded = rounded.stripTrailingZeros();
    }
    return (rounded.signum() == 0 ? rounded.abs() : rounded).toPlainString();
  }

  /** The number with its unit beside it. */
  public String text(double si, UnitSystem system) {
    String symbol = unit(system).symbol();
    String number = number(si, system);
    return symbol.isEmpty() || NoFigure.of(this, si).isPresent() ? number : number + " " + symbol;
  }

  /** How near whoever says a word is to what it is said of. */
  public enum Look {
    /** One of many, on a walk or by ear. */
    IN_PASSING,
    /** A wheel in one's hands, a lens in front of one's eyes. */
    IN_HAND,
    /** One part by itself. */
    CLOSE
  }

  public Look look() {
    return switch (this) {
      case KIND, TURNING, GRIPPING -> Look.IN_HAND;
      case STAMP, ADJUSTING, PLAY, TYRE, LEANING, LININGS, MAGNET_FACE, LEVER, PRESSING, PULLING ->
          Look.CLOSE;
      default -> Look.IN_PASSING;
    };
  }

  /** Every measure by its name, for templates. */
  public static Map<String, Measure> byName() {
    return Arrays.stream(values()).collect(Collectors.toMap(Measure::name, measure -> measure));
  }
}
