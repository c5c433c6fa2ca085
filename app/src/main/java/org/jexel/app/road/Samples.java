package org.jexel.app.road;

import java.util.Arrays;

/** Figures that come one by one. */
final class Samples {
  private double[] values = new double[1 << 12];
  private int n;

  void add(double value) {
    if (n == values.length) {
      values = Arrays.copyOf(values, 2 * n);
    }
    values[n++] = value;
  }

  int size() {
    return n;
  }

  double last() {
    return values[n - 1];
  }

  double[] all() {
    return Arrays.copyOf(values, n);
  }
}
