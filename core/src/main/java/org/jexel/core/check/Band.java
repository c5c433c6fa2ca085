package org.jexel.core.check;

import org.jexel.core.quantity.Verdict;

/**
 * The readings that a healthy rig can give, SI.
 *
 * @param expected the solved value
 * @param low lower edge
 * @param high upper edge
 */
public record Band(double expected, double low, double high) {
  /** So near to a word's place on its scale it may well be said, steps of the scale. */
  public static final double SAYABLE = 0.8;

  public Band {
    if (!(low <= expected && expected <= high)) {
      throw new IllegalArgumentException(low + " ≤ " + expected + " ≤ " + high + " does not hold");
    }
  }

  /**
   * The words that may well be said of what lies somewhere on their scale.
   *
   * @param place on the scale, in between where either of two words may be said
   * @param words how many there are
   */
  static Band ofWords(double place, int words) {
    double word = Math.round(place);
    double low = Math.floor(place + 1 - SAYABLE);
    double high = Math.ceil(place - 1 + SAYABLE);
    return new Band(
        word, Math.max(0, Math.min(word, low)), Math.min(words - 1, Math.max(word, high)));
  }

  /** Inside holds; outside by less than half the band's width is to be watched; else it fails. */
  public Verdict judge(double reading) {
    if (reading >= low && reading <= high) {
      return Verdict.HOLDS;
    }
    double outside = reading < low ? low - reading : reading - high;
    return outside < (high - low) / 2 ? Verdict.WATCH : Verdict.FAILS;
  }
}
