package org.jexel.core.road;

/**
 * A controller's own grid of gains.
 *
 * @param least first mark
 * @param greatest last mark
 * @param step between marks
 */
public record GainScale(double least, double greatest, double step) {
  private static final double EPSILON = 1e-9;

  public GainScale {
    if (!(least >= 0) || !(greatest > least) || !(step > 0) || step > greatest - least) {
      throw new IllegalArgumentException(
          "a scale from " + least + " to " + greatest + " in steps of " + step);
    }
  }

  /** The mark at or below a value, inside the scale. */
  public double down(double value) {
    double marks = Math.floor((value - least) / step + EPSILON);
    return Math.max(least, Math.min(greatest, least + marks * step));
  }

  /** A mark as a share of the greatest; zero is off. */
  public double share(double mark) {
    return mark / greatest;
  }

  /** The middle mark, rounded down. */
  public double middle() {
    return down((least + greatest) / 2);
  }

  public boolean isMark(double value) {
    return value >= least - EPSILON
        && value <= greatest + EPSILON
        && Math.abs(down(value + step / 4) - value) < EPSILON * Math.max(1, greatest);
  }

  public boolean atLeast(double a, double b) {
    return a >= b - EPSILON;
  }
}
