package org.jexel.app.cab;

import java.util.Map;
import org.jexel.core.quantity.Fraction;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Parsed;
import org.jexel.core.quantity.QuantityParser;
import org.jexel.core.quantity.UnitSystem;

/**
 * The drilling template of a spindle and its lamp.
 *
 * @param spindle diameter, m
 * @param lamp diameter, m; 0 for none
 * @param right from the spindle to the lamp, to the right, m
 * @param down from the spindle to the lamp, downwards, m
 */
record Template(double spindle, double lamp, double right, double down) {
  private static final double MOST = 0.15;

  /** What was kept before units stood beside every number is in inches. */
  static final UnitSystem BARE = UnitSystem.US;

  /**
   * @throws IllegalArgumentException with what would be understood
   */
  static Template of(Map<String, String> typed) {
    String lamp = typed.getOrDefault("lamp", "");
    return new Template(
        length(typed.getOrDefault("spindle", "")),
        lamp.isBlank() ? 0 : length(lamp),
        offset(typed.getOrDefault("lampRight", "")),
        offset(typed.getOrDefault("lampDown", "")));
  }

  /** The same with a sign; nothing typed is 0, m. */
  static double offset(String text) {
    if (text.isBlank()) {
      return 0;
    }
    boolean back = text.strip().startsWith("-") || text.strip().startsWith("−");
    double size = length(back ? text.strip().substring(1) : text);
    return back ? -size : size;
  }

  /** A length that fits a panel, m. */
  static double length(String text) {
    double metres = Fraction.parse(text, BARE).metres();
    if (!(metres > 0 && metres <= MOST)) {
      throw new IllegalArgumentException("“" + text.strip() + "” does not fit a panel.");
    }
    return metres;
  }

  /** A length in metres; without a unit it is in inches or in millimetres, by the system. */
  static double metres(String text, UnitSystem units) {
    Parsed parsed = QuantityParser.parse(text, Measure.SMALL_LENGTH, units);
    if (parsed instanceof Parsed.Value value) {
      return value.si();
    }
    throw new IllegalArgumentException(((Parsed.Misread) parsed).message());
  }
}
