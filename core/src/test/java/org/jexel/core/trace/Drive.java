package org.jexel.core.trace;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/**
 * A drive that somebody made up, second by second: it stands, speeds up, rolls on and brakes to a
 * stand, some times over. Shares nothing with what reads it.
 */
final class Drive {
  static final double GRAVITY = 9.81;

  /** What was really braked with. */
  record Truth(double from, double deceleration, double speed, double distance) {}

  final double[] seconds;
  final double[] speed;
  final double[] forward;
  final List<Truth> stops = new ArrayList<>();

  /**
   * @param hertz samples a second
   * @param decelerations of the stops, m/s²
   */
  Drive(double hertz, double topSpeed, double... decelerations) {
    List<double[]> rows = new ArrayList<>();
    double t = 0;
    double v = 0;
    for (double braked : decelerations) {
      t = hold(rows, hertz, t, v, 0, 4);
      double start = topSpeed / 1.6;
      t = hold(rows, hertz, t, v, -1.6, start);
      v = topSpeed;
      t = hold(rows, hertz, t, v, 0, 5);
      double begins = t;
      double way = 0;
      // The brakes come on over 0.3 s.
      while (v > 0) {
        double a = Math.min(braked, braked * (t - begins) / 0.3);
        rows.add(new double[] {t, v, a});
        double next = Math.max(0, v - a / hertz);
        way += (v + next) / 2 / hertz;
        v = next;
        t += 1 / hertz;
      }
      stops.add(new Truth(begins, braked, topSpeed, way));
    }
    hold(rows, hertz, t, 0, 0, 4);
    seconds = column(rows, 0);
    speed = column(rows, 1);
    forward = column(rows, 2);
  }

  private static double hold(
      List<double[]> rows, double hertz, double t, double v, double a, double during) {
    int n = (int) Math.round(during * hertz);
    for (int i = 0; i < n; i++) {
      rows.add(new double[] {t + i / hertz, v - a * i / hertz, a});
    }
    return t + n / hertz;
  }

  private static double[] column(List<double[]> rows, int i) {
    return rows.stream().mapToDouble(row -> row[i]).toArray();
  }

  /** What an accelerometer shows that lies anyhow, shaken, with gravity in it. */
  double[][] axes(Random dice, double shaken, double unit) {
    return axes(dice, shaken, 0, unit);
  }

  /**
   * @param heaves up and down with the road while it moves, m/s²
   */
  double[][] axes(Random dice, double shaken, double heaves, double unit) {
    double[][] turned = turned(dice);
    double[][] axes = new double[3][seconds.length];
    for (int i = 0; i < seconds.length; i++) {
      // An engine that idles shakes less than a road.
      double shakes = speed[i] > 0 ? shaken : 0.15 * shaken;
      double heaving = speed[i] > 0 ? heaves * Math.sin(2 * Math.PI * 0.4 * seconds[i]) : 0;
      double[] real = {
        -forward[i] + shakes * dice.nextGaussian(),
        shakes * dice.nextGaussian(),
        GRAVITY + 2 * shakes * dice.nextGaussian() + heaving
      };
      for (int axis = 0; axis < 3; axis++) {
        for (int j = 0; j < 3; j++) {
          axes[axis][i] += turned[axis][j] * real[j] / unit;
        }
      }
    }
    return axes;
  }

  /** Three axes at right angles, of three random ones. */
  private static double[][] turned(Random dice) {
    double[][] m = new double[3][3];
    for (int i = 0; i < 3; i++) {
      for (int j = 0; j < 3; j++) {
        m[i][j] = dice.nextGaussian();
      }
      for (int k = 0; k < i; k++) {
        double along = 0;
        for (int j = 0; j < 3; j++) {
          along += m[i][j] * m[k][j];
        }
        for (int j = 0; j < 3; j++) {
          m[i][j] -= along * m[k][j];
        }
      }
      double long0 = Math.sqrt(m[i][0] * m[i][0] + m[i][1] * m[i][1] + m[i][2] * m[i][2]);
      for (int j = 0; j < 3; j++) {
        m[i][j] /= long0;
      }
    }
    return m;
  }
}
