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
  public Band {
    if (!(low <= expected && expected <= high)) {
      throw new IllegalArgumentException(low + " ≤ " + expected + " ≤ " + high + " does not hold");
    }
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
