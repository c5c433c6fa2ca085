package org.jexel.core.cab;

/**
 * The hole for a bundle of round cables: the smallest circle around them ÷ 0.8 fill, then the next
 * drill.
 *
 * @param around diameter of the bundle, m
 * @param wanted bundle ÷ 0.8, m
 * @param drill the next one up
 */
public record BundleHole(double around, double wanted, Drills.Drill drill) {
  private static final double FILL = 0.8;

  public static BundleHole of(double... diameters) {
    double around = CirclePacking.around(diameters);
    double wanted = around / FILL;
    return new BundleHole(around, wanted, Drills.through(wanted));
  }
}
