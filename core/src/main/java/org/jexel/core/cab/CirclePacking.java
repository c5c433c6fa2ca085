package org.jexel.core.cab;

import java.util.Random;

/**
 * The smallest circle around round cables that do not overlap: for a given radius the overlaps'
 * squares are made as small as possible from several starts, and the radius is halved in between
 * one that works and one that does not. Seeded, so that the same cables give the same hole.
 */
public final class CirclePacking {
  private static final int STARTS = 10;
  private static final int STEPS = 160;
  private static final int BISECTIONS = 11;
  private static final double TOUCH = 1e-3;
  private static final int MOST = 24;

  private final double[] radii;
  private final double[] x;
  private final double[] y;

  private CirclePacking(double[] diameters) {
    radii = new double[diameters.length];
    for (int i = 0; i < radii.length; i++) {
      radii[i] = diameters[i] / 2;
    }
    x = new double[radii.length];
    y = new double[radii.length];
  }

  /**
   * @param diameters of the cables, m
   * @return diameter of the circle around them, m
   */
  public static double around(double... diameters) {
    if (diameters.length == 0 || diameters.length > MOST) {
      throw new IllegalArgumentException(
          "between 1 and " + MOST + " cables, not " + diameters.length);
    }
    for (double d : diameters) {
      if (!(d > 0)) {
        throw new IllegalArgumentException("a cable of " + d + " m");
      }
    }
    return diameters.length == 1 ? diameters[0] : 2 * new CirclePacking(diameters).smallest();
  }

  private double smallest() {
    double area = 0;
    double largest = 0;
    double second = 0;
    double sum = 0;
    for (double r : radii) {
      area += r * r;
      sum += r;
      if (r > largest) {
        second = largest;
        largest = r;
      } else {
        second = Math.max(second, r);
      }
    }
    double low = Math.max(Math.sqrt(area), largest + second);
    if (radii.length == 2 || fits(low)) {
      return low;
    }
    double high = sum;
    for (int i = 0; i < BISECTIONS; i++) {
      double middle = (low + high) / 2;
      if (fits(middle)) {
        high = middle;
      } else {
        low = middle;
      }
    }
    return high;
  }

  private boolean fits(double radius) {
    Random random = new Random(11);
    for (int start = 0; start < STARTS; start++) {
      for (int i = 0; i < radii.length; i++) {
        double room = Math.max(0, radius - radii[i]);
        // One start in two lays the cables round the rim, where rings of equal cables end up.
        double angle = start % 2 == 0 ? 2 * Math.PI * i / radii.length : 7 * random.nextDouble();
        double out =
            start % 2 == 0 ? room * (i == 0 ? 0 : 1) : room * Math.sqrt(random.nextDouble());
        x[i] = out * Math.cos(angle);
        y[i] = out * Math.sin(angle);
      }
      if (relaxed(radius)) {
        return true;
      }
    }
    return false;
  }

  /** Pushes cables out of each other and into the circle; true once nothing overlaps. */
  private boolean relaxed(double radius) {
    double smallest = radius;
    for (double r : radii) {
      smallest = Math.min(smallest, r);
    }
    for (int step = 0; step < STEPS; step++) {
      double worst = 0;
      for (int i = 0; i < radii.length; i++) {
        for (int j = 0; j < i; j++) {
          double dx = x[i] - x[j];
          double dy = y[i] - y[j];
          double d = Math.sqrt(dx * dx + dy * dy);
          double overlap = radii[i] + radii[j] - d;
          if (overlap > 0) {
            worst = Math.max(worst, overlap);
            double push = overlap / 2 / Math.max(d, 1e-12);
            dx = d < 1e-12 ? overlap / 2 : dx * push;
            dy = d < 1e-12 ? 0 : dy * push;
            x[i] += dx;
            y[i] += dy;
            x[j] -= dx;
            y[j] -= dy;
          }
        }
      }
      for (int i = 0; i < radii.length; i++) {
        double d = Math.sqrt(x[i] * x[i] + y[i] * y[i]);
        double out = d + radii[i] - radius;
        if (out > 0) {
          worst = Math.max(worst, out);
          double back = Math.max(0, radius - radii[i]) / Math.max(d, 1e-12);
          x[i] *= back;
          y[i] *= back;
        }
      }
      if (worst < TOUCH * smallest) {
        return true;
      }
    }
    return false;
  }
}
