package org.jexel.core.check;

import org.jexel.core.quantity.NoFigure;
import org.jexel.core.quantity.Verdict;

/**
 * The readings that a healthy rig can give, SI.
 *
 * @param expected the solved value
 * @param low lower edge
 * @param high upper edge
 * @param least lower edge, were parts that are assumed others of their kind
 * @param most upper edge, the same
 */
public record Band(double expected, double low, double high, double least, double most) {
  /** So near to a word's place on its scale it may well be said, steps of the scale. */
  public static final double SAYABLE = 0.8;

  public Band {
    if (!(low <= expected && expected <= high)) {
      throw new IllegalArgumentException(low + " ≤ " + expected + " ≤ " + high + " does not hold");
    }
    if (!(least <= low && high <= most)) {
      throw new IllegalArgumentException(least + " to " + most + " is narrower than the band");
    }
  }

  /** Of parts that are known. */
  public Band(double expected, double low, double high) {
    this(expected, low, high, low, high);
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

  /**
   * Inside holds; outside by less than half the band's width is to be watched, and so is what an
   * assumption alone can explain; else it fails.
   */
  public Verdict judge(double reading) {
    if (reading >= low && reading <= high) {
      return Verdict.HOLDS;
    }
    return isNear(reading) || hangsOnAssumption(reading) ? Verdict.WATCH : Verdict.FAILS;
  }

  private boolean isNear(double reading) {
    double outside = reading < low ? low - reading : reading - high;
    // Half of a band without end is no measure of anything.
    return outside < (high >= NoFigure.OPEN.si() ? low : high - low) / 2;
  }

  /** Whether a reading is a fault, or a part that is another than was assumed. */
  public boolean hangsOnAssumption(double reading) {
    return !isNear(reading) && reading >= least && reading <= most;
  }
}
