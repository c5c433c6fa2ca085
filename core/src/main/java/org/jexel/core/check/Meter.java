package org.jexel.core.check;

import org.jexel.core.quantity.Measure;

/** A workshop multimeter: ±(0.5 % of reading + 2 digits), 10 MΩ as a voltmeter. */
public final class Meter {
  static final double OHMS_AS_VOLTMETER = 10e6;
  private static final double SHARE = 0.005;
  private static final int DIGITS = 2;

  private Meter() {}

  /** The last digit that it shows at a value, SI. */
  static double digit(double value, Measure measure) {
    return measure == Measure.OHMS ? (Math.abs(value) > 1000 ? 10 : 0.1) : 0.01;
  }

  /** Greatest error of a healthy meter at a value, SI. */
  public static double error(double value, Measure measure) {
    return SHARE * Math.abs(value) + DIGITS * digit(value, measure);
  }
}
