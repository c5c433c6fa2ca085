package org.jexel.core.quantity;

import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * A unit as people write it, with its factor to SI.
 *
 * <p>SI value = written value × {@link #factor} + {@link #zero}. Factors of the inch, foot, pound
 * and mile are the exact ones of the international yard and pound agreement of 1959.
 */
public enum Unit {
  KILOGRAM(Dimension.MASS, 1, "kg", "kgs", "kilo", "kilos"),
  TONNE(Dimension.MASS, 1000, "t", "tonne", "tonnes"),
  POUND(Dimension.MASS, 0.45359237, "lb", "lbs", "pound", "pounds"),
  METRE(Dimension.LENGTH, 1, "m", "metre", "metres", "meter", "meters"),
  KILOMETRE(Dimension.LENGTH, 1000, "km", "kilometre", "kilometres"),
  MILE(Dimension.LENGTH, 1609.344, "mi", "mile", "miles"),
  CENTIMETRE(Dimension.LENGTH, 0.01, "cm"),
  MILLIMETRE(Dimension.LENGTH, 0.001, "mm"),
  INCH(Dimension.LENGTH, 0.0254, "in", "inch", "inches", "\"", "''"),
  FOOT(Dimension.LENGTH, 0.3048, "ft", "foot", "feet", "'"),
  VOLT(Dimension.VOLTAGE, 1, "V", "volt", "volts", "vdc", "v dc"),
  MILLIVOLT(Dimension.VOLTAGE, 0.001, "mV", "millivolt", "millivolts", "mvdc", "mv dc"),
  AMPERE(Dimension.CURRENT, 1, "A", "amp", "amps", "ampere", "adc", "a dc"),
  MILLIAMPERE(Dimension.CURRENT, 0.001, "mA", "milliamp", "milliamps"),
  OHM(Dimension.RESISTANCE, 1, "Ω", "ohm", "ohms", "\u2126", "r"),
  MILLIOHM(Dimension.RESISTANCE, 0.001, "mΩ", "mohm", "milliohm", "milliohms"),
  KILOOHM(Dimension.RESISTANCE, 1000, "kΩ", "kohm", "kiloohm", "k"),
  METRE_PER_SECOND(Dimension.SPEED, 1, "m/s"),
  KILOMETRE_PER_HOUR(Dimension.SPEED, 1 / 3.6, "km/h", "kmh", "kph"),
  MILE_PER_HOUR(Dimension.SPEED, 0.44704, "mph"),
  SECOND(Dimension.TIME, 1, "s", "sec", "secs", "second", "seconds"),
  CUBIC_METRE(Dimension.VOLUME, 1, "m³", "m3"),
  LITRE(Dimension.VOLUME, 0.001, "l", "litre", "litres", "liter", "liters"),
  CUBIC_FOOT(Dimension.VOLUME, 0.028316846592, "ft³", "ft3", "cuft"),
  KILOGRAM_PER_CUBIC_METRE(Dimension.DENSITY, 1, "kg/m³", "kg/m3"),
  POUND_PER_CUBIC_FOOT(Dimension.DENSITY, 16.01846337396014, "lb/ft³", "lb/ft3"),
  SQUARE_MILLIMETRE(Dimension.AREA, 1e-6, "mm²", "mm2"),
  METRE_PER_SECOND_SQUARED(Dimension.ACCELERATION, 1, "m/s²", "m/s2"),
  NEWTON(Dimension.FORCE, 1, "N"),
  KILONEWTON(Dimension.FORCE, 1000, "kN"),
  POUND_FORCE(Dimension.FORCE, 4.4482216152605, "lbf"),
  WATT(Dimension.POWER, 1, "W", "watt", "watts"),
  AMPERE_HOUR(Dimension.CHARGE, 3600, "Ah", "amp hours"),
  MINUTE(Dimension.TIME, 60, "min", "mins", "minute", "minutes"),
  HOUR(Dimension.TIME, 3600, "h", "hours"),
  YEAR(Dimension.TIME, 365.25 * 86_400, "years", "year", "yr", "y"),
  CELSIUS(Dimension.TEMPERATURE, 1, 273.15, "°C", "c", "°", "celsius"),
  FAHRENHEIT(Dimension.TEMPERATURE, 5 / 9.0, 459.67 * 5 / 9, "°F", "f", "fahrenheit"),
  NEWTON_METRE(Dimension.TORQUE, 1, "N·m", "nm", "n m"),
  POUND_FOOT(Dimension.TORQUE, 1.3558179483, "lbf·ft", "ft-lb", "lb-ft"),
  KILOPASCAL(Dimension.PRESSURE, 1000, "kPa"),
  BAR(Dimension.PRESSURE, 100_000, "bar", "bars"),
  /** A pound-force on a square inch. */
  PSI(Dimension.PRESSURE, 4.4482216152605 / (0.0254 * 0.0254), "psi", "lb/in²", "lb/in2"),
  DEGREE(Dimension.ANGLE, Math.PI / 180, "°"),
  PERCENT(Dimension.RATIO, 0.01, "%", "percent"),
  ONE(Dimension.RATIO, 1, "");

  private final Dimension dimension;
  private final double factor;
  private final double zero;
  private final List<String> spellings;

  Unit(Dimension dimension, double factor, String... spellings) {
    this(dimension, factor, 0, spellings);
  }

  /**
   * @param zero where the unit's own nought lies in SI
   */
  Unit(Dimension dimension, double factor, double zero, String... spellings) {
    this.dimension = dimension;
    this.factor = factor;
    this.zero = zero;
    this.spellings = List.of(spellings);
  }

  public Dimension dimension() {
    return dimension;
  }

  /** The spelling used in print. */
  public String symbol() {
    return spellings.get(0);
  }

  public double toSi(double written) {
    return written * factor + zero;
  }

  public double fromSi(double si) {
    return (si - zero) / factor;
  }

  /** The unit of this dimension that goes by the given spelling, whatever its case. */
  public static Optional<Unit> of(Dimension dimension, String spelling) {
    String wanted = spelling.strip().toLowerCase(Locale.ROOT);
    for (Unit unit : values()) {
      if (unit.dimension == dimension
          && unit.spellings.stream().anyMatch(s -> s.toLowerCase(Locale.ROOT).equals(wanted))) {
        return Optional.of(unit);
      }
    }
    return Optional.empty();
  }

  /** What kind of quantity a unit measures. */
  public enum Dimension {
    MASS,
    ANGLE,
    LENGTH,
    VOLTAGE,
    CURRENT,
    RESISTANCE,
    SPEED,
    TIME,
    VOLUME,
    DENSITY,
    AREA,
    ACCELERATION,
    FORCE,
    POWER,
    CHARGE,
    TEMPERATURE,
    TORQUE,
    PRESSURE,
    RATIO
  }
}
