package org.jexel.core.harness;

/** Standard ratings of fuses and breakers. */
public final class Protection {
  private static final double[] STANDARD = {5, 7.5, 10, 15, 20, 25, 30, 40, 50};

  /** Protection carries its load for good when the load is at most 80 % of the rating. */
  public static final double MARGIN = 1.25;

  private Protection() {}

  /**
   * Least standard rating that carries a continuous load, A; the greatest standard if none does.
   */
  public static double leastFor(double continuousAmps) {
    for (double rating : STANDARD) {
      if (rating >= MARGIN * continuousAmps) {
        return rating;
      }
    }
    return STANDARD[STANDARD.length - 1];
  }

  /** Greatest standard rating that protects a wire that carries so much, A; the least if none. */
  public static double mostFor(double wireAmps) {
    double most = STANDARD[0];
    for (double rating : STANDARD) {
      most = rating <= wireAmps ? rating : most;
    }
    return most;
  }
}
