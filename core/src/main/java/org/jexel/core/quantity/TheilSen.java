package org.jexel.core.quantity;

import java.util.Arrays;
import java.util.stream.IntStream;

/**
 * A straight line y = offset + slope·x by Theil and Sen: the slope is the median of the slopes of
 * all pairs of points with different x, the offset the median of y − slope·x. Up to 29 % of the
 * points may be anything without moving it.
 */
public record TheilSen(double slope, double offset) {
  /**
   * @throws IllegalArgumentException if no two points differ in x
   */
  public static TheilSen of(double[] x, double[] y) {
    double[] slopes =
        IntStream.range(0, x.length)
            .boxed()
            .flatMapToDouble(
                i ->
                    IntStream.range(i + 1, x.length)
                        .filter(j -> x[i] != x[j])
                        .mapToDouble(j -> (y[j] - y[i]) / (x[j] - x[i])))
            .toArray();
    if (slopes.length == 0) {
      throw new IllegalArgumentException("no two points differ in x");
    }
    double slope = median(slopes);
    return new TheilSen(
        slope,
        median(IntStream.range(0, x.length).mapToDouble(i -> y[i] - slope * x[i]).toArray()));
  }

  /** What the line says, less than which a point lies off it. */
  public double at(double x) {
    return offset + slope * x;
  }

  /** The middle of some values, or the mean of the two in the middle. */
  public static double median(double[] values) {
    double[] sorted = values.clone();
    Arrays.sort(sorted);
    int middle = sorted.length / 2;
    return sorted.length % 2 == 1 ? sorted[middle] : (sorted[middle - 1] + sorted[middle]) / 2;
  }
}
