package org.jexel.core.quantity;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads a figure the way it is spoken in a yard: {@code 12.4}, {@code 12,4}, {@code 12.4 V}, {@code
 * 850 mV}, {@code 3.2 ohm}, {@code 2 5/8 in}, {@code 7'6"}.
 *
 * <p>A number without a unit is taken in the person's own unit. A comma followed by exactly three
 * digits could be a decimal or a thousands mark; a guess would be wrong by a factor of a thousand,
 * so it is asked about instead.
 */
public final class QuantityParser {
  private static final String NUMBER = "\\d+(?:[.,]\\d+)?|[.,]\\d+";
  private static final Pattern DECIMAL =
      Pattern.compile("([+-]?)\\s*(\\d{1,3}(?: \\d{3})+(?:[.,]\\d+)?|" + NUMBER + ")\\s*(\\D.*)?");
  private static final Pattern FRACTION =
      Pattern.compile("(?:(\\d+)[\\s-]+)?(\\d+)\\s*/\\s*(\\d+)\\s*(\\D.*)?");
  private static final Pattern FEET_INCHES =
      Pattern.compile(
          "("
              + NUMBER
              + ")\\s*(?:'(?!')|ft|foot|feet)\\s*(?:(?:(\\d+)[\\s-]+)?(\\d+)\\s*/\\s*(\\d+)|("
              + NUMBER
              + "))\\s*(?:\"|''|in|inch|inches)?",
          Pattern.CASE_INSENSITIVE);
  private static final Pattern AMBIGUOUS = Pattern.compile("[+-]?[1-9]\\d{0,2},\\d{3}(?!\\d).*");
  private static final int LONGEST = 40;

  private QuantityParser() {}

  /**
   * @param typed what stands in the field, not blank
   * @param measure the kind of figure that is expected
   * @param system whose unit a bare number has
   */
  public static Parsed parse(String typed, Measure measure, UnitSystem system) {
    String text =
        typed
            .strip()
            .replaceAll("[\\u00a0\\u2009\\u202f]", " ")
            .replace('\u2212', '-')
            .replaceAll("[\\u2019\\u2032]", "'")
            .replaceAll("[\\u201d\\u2033]", "\"");
    if (!measure.words().isEmpty()) {
      return word(text, measure);
    }
    if (measure == Measure.DATE) {
      return CalendarDay.parse(text);
    }
    Optional<NoFigure> none = NoFigure.said(measure, text);
    if (none.isPresent()) {
      return new Parsed.Value(none.get().si());
    }
    Unit own = measure.unit(system);
    if (text.isEmpty() || text.length() > LONGEST) {
      return misread(measure, system);
    }
    if (own.dimension() == Unit.Dimension.LENGTH) {
      Matcher feet = FEET_INCHES.matcher(text);
      if (feet.matches()) {
        return feetAndInches(feet, measure, system);
      }
    }
    Matcher fraction = FRACTION.matcher(text);
    if (fraction.matches()) {
      double whole = fraction.group(1) == null ? 0 : Double.parseDouble(fraction.group(1));
      double below = Double.parseDouble(fraction.group(3));
      if (below == 0) {
        return new Parsed.Misread("A fraction cannot have 0 below the line. Write 3/4 or 1 3/8.");
      }
      double value = whole + Double.parseDouble(fraction.group(2)) / below;
      return inUnit(value, fraction.group(4), own, measure, system);
    }
    Matcher decimal = DECIMAL.matcher(text);
    if (!decimal.matches()) {
      return misread(measure, system);
    }
    if (AMBIGUOUS.matcher(text).matches()) {
      String digits = decimal.group(2);
      return new Parsed.Misread(
          "“%s” could be %s or %s. Write it without the comma, or with a point."
              .formatted(digits, digits.replace(",", ""), digits.replace(',', '.')));
    }
    double value = number(decimal.group(2));
    return inUnit(
        "-".equals(decimal.group(1)) ? -value : value, decimal.group(3), own, measure, system);
  }

  private static Parsed feetAndInches(Matcher feet, Measure measure, UnitSystem system) {
    double inches;
    if (feet.group(5) != null) {
      inches = number(feet.group(5));
    } else {
      double below = Double.parseDouble(feet.group(4));
      if (below == 0) {
        return misread(measure, system);
      }
      double whole = feet.group(2) == null ? 0 : Double.parseDouble(feet.group(2));
      inches = whole + Double.parseDouble(feet.group(3)) / below;
    }
    return new Parsed.Value(Unit.FOOT.toSi(number(feet.group(1))) + Unit.INCH.toSi(inches));
  }

  private static Parsed inUnit(
      double value, String spelling, Unit own, Measure measure, UnitSystem system) {
    if (spelling == null || spelling.isBlank()) {
      return new Parsed.Value(own.toSi(value));
    }
    Optional<Unit> unit = Unit.of(own.dimension(), spelling);
    return unit.<Parsed>map(u -> new Parsed.Value(u.toSi(value)))
        .orElseGet(() -> misread(measure, system));
  }

  private static double number(String digits) {
    return Double.parseDouble(digits.replace(" ", "").replace(',', '.'));
  }

  private static Parsed.Misread misread(Measure measure, UnitSystem system) {
    return new Parsed.Misread("Not understood. Write a number, as in " + example(measure, system));
  }

  private static String example(Measure measure, UnitSystem system) {
    return switch (measure.unit(system).dimension()) {
      case VOLTAGE -> "12.4, 12,4 V or 850 mV.";
      case RESISTANCE ->
          measure == Measure.OHMS
              ? "3.2, 3,2 ohm or 850 mohm; or open, or live."
              : "3.2, 3,2 ohm or 850 mohm.";
      case CURRENT -> "7.4, 7,4 A or 450 mA.";
      case LENGTH -> length(measure, system);
      case MASS -> system == UnitSystem.METRIC ? "1250, 1.25 t or 2755 lb." : "2755 or 1250 kg.";
      case SPEED -> system == UnitSystem.METRIC ? "40 or 25 mph." : "25 or 40 km/h.";
      default -> "12 or 12.5.";
    };
  }

  private static String length(Measure measure, UnitSystem system) {
    return switch (measure.unit(system)) {
      case MILLIMETRE -> "6, 0.6 cm or 1/4 in.";
      case INCH -> "1/4, 0.25 in or 6 mm.";
      case KILOMETRE -> "12400 or 7700 mi.";
      case MILE -> "7700 or 12400 km.";
      default ->
          system == UnitSystem.METRIC ? "2.4, 240 cm or 7'6\"." : "7'6\", 2 5/8 in or 2.4 m.";
    };
  }

  /** Other words of the yard for none and for all of it. */
  private static final List<String> NONE = List.of("out", "off", "no", "nothing", "free", "quiet");

  private static final List<String> ALL = List.of("on", "lit", "yes", "full", "drag", "hum");

  private static Parsed word(String text, Measure measure) {
    String said = text.toLowerCase(Locale.ROOT);
    List<String> words = measure.words();
    int place = words.indexOf(said);
    if (place < 0) {
      place = NONE.contains(said) ? 0 : ALL.contains(said) ? words.size() - 1 : -1;
    }
    return place < 0
        ? new Parsed.Misread("Not understood. Say one of: " + String.join(", ", words) + ".")
        : new Parsed.Value(place);
  }
}
