package org.jexel.core.road;

import java.util.List;

/**
 * A controller's own grid of gains.
 *
 * @param least first mark
 * @param greatest last mark
 * @param step between marks
 * @param measured what marks really put out, as shares of full output, gain upward; empty while
 *     nobody measured it: output then goes straight
 */
public record GainScale(double least, double greatest, double step, List<Share> measured) {
  /** What one mark puts out. */
  public record Share(double gain, double share) {}

  public GainScale(double least, double greatest, double step) {
    this(least, greatest, step, List.of());
  }

  private static final double EPSILON = 1e-9;

  public GainScale {
    measured = List.copyOf(measured);
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

  /** Whole steps from the first mark to the last one that lies inside the scale. */
  public int steps() {
    return (int) Math.floor((greatest - least) / step + EPSILON);
  }

  /** The output of a mark as a share of full output; zero is off. */
  public double share(double mark) {
    Share below = new Share(0, 0);
    for (Share point : measured) {
      if (mark <= point.gain) {
        double way = (mark - below.gain) / (point.gain - below.gain);
        return Math.min(1, below.share + way * (point.share - below.share));
      }
      below = point;
    }
    return measured.isEmpty() ? mark / greatest : Math.min(1, below.share);
  }

  /** The same marks with what somebody measured of them. */
  public GainScale with(List<Share> shares) {
    return new GainScale(least, greatest, step, shares);
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
