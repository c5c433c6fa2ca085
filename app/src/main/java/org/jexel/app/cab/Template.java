package org.jexel.app.cab;

import java.util.Map;
import org.jexel.core.quantity.Fraction;

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

  /**
   * @throws IllegalArgumentException with what would be understood
   */
  static Template of(Map<String, String> typed) {
    return new Template(
        length(typed.getOrDefault("spindle", "")),
        typed.getOrDefault("lamp", "").isBlank() ? 0 : length(typed.get("lamp")),
        offset(typed.getOrDefault("lampRight", "")),
        offset(typed.getOrDefault("lampDown", "")));
  }

  private static double offset(String text) {
    if (text.isBlank()) {
      return 0;
    }
    boolean back = text.strip().startsWith("-") || text.strip().startsWith("−");
    double size = length(back ? text.strip().substring(1) : text);
    return back ? -size : size;
  }

  /** Inches as a fraction, or millimetres with their unit, m. */
  static double length(String text) {
    double metres =
        text.strip().endsWith("mm") ? millimetres(text) / 1000 : Fraction.parse(text).metres();
    if (!(metres > 0 && metres <= MOST)) {
      throw new IllegalArgumentException("“" + text.strip() + "” does not fit a panel.");
    }
    return metres;
  }

  static double millimetres(String text) {
    try {
      double value = Double.parseDouble(text.strip().replaceAll("\\s*mm$", "").replace(',', '.'));
      if (value > 0 && value < 2000) {
        return value;
      }
    } catch (NumberFormatException e) {
      // Told below, with what would be understood.
    }
    throw new IllegalArgumentException(
        "“" + text.strip() + "” is not understood. Write millimetres like 6.5 mm.");
  }
}
