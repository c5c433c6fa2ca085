package org.jexel.core.trace;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.EigenDecompositionSymmetric;
import org.hipparchus.stat.descriptive.StreamingStatistics;
import org.jexel.core.quantity.Phrase;

/**
 * The way along the road in an accelerometer that lay anyhow.
 *
 * <p>Most of a drive is at an even speed, so that the median of each axis is gravity, or nothing
 * where the instrument took it out. What is left after it, and across it, is greatest along the
 * road: its main axis of variation. Braking is told from speeding up by what follows: after a stop
 * the rig stands and shakes less than it did, before a start it stood.
 *
 * @param deceleration along the road, m/s², positive where it brakes
 * @param notes what was done, in words
 */
record Axes(double[] deceleration, List<String> notes) {
  /** Standard gravity, m/s². */
  private static final double G = 9.80665;

  /** An instrument whose median is this near to 1 speaks in parts of gravity, m/s² else. */
  private static final double OFF = 0.15;

  /** So much tells of braking or speeding up, m/s². */
  private static final double MOVES = 0.8;

  /** Natural logarithm of how much calmer one side is, before it counts. */
  private static final double CALMER = 1.1;

  /** So much shaking is none, m/s². */
  private static final double LITTLE = 0.005;

  private static final double LOOK_S = 3;

  /** The nodding after a stop, s. */
  private static final double CLEAR_S = 0.4;

  static Axes of(double[] seconds, double[][] axes) {
    List<String> notes = new ArrayList<>();
    int n = seconds.length;
    double[] still = Arrays.stream(axes).mapToDouble(Axes::median).toArray();
    double gravity = Math.sqrt(Arrays.stream(still).map(v -> v * v).sum());
    double unit = 1;
    if (Math.abs(gravity - 1) < OFF && most(axes) < 4) {
      unit = G;
      notes.add("Read as parts of gravity.");
    }
    boolean heavy = gravity * unit > 0.5 * G;
    if (heavy && Math.abs(gravity * unit - G) > OFF * G) {
      throw new IllegalArgumentException(
          Phrase.of(
              "At rest it shows %.1f m/s², and gravity is 9.8: is it really in m/s² or in g?",
              gravity * unit));
    }
    if (heavy) {
      notes.add("Gravity was taken out.");
    }
    double[][] rest = new double[n][];
    for (int i = 0; i < n; i++) {
      rest[i] = rest(axes, i, still, unit, heavy ? gravity : 0);
    }
    double[] along = main(rest);
    double[] forward = Arrays.stream(rest).mapToDouble(a -> dot(a, along)).toArray();
    if (sense(seconds, forward) < 0) {
      forward = Arrays.stream(forward).map(v -> -v).toArray();
    }
    if (axes.length > 1) {
      notes.add("The way along the road was found by itself: along " + names(along) + ".");
    }
    return new Axes(forward, notes);
  }

  /**
   * What a sample shows beside its median, and across gravity where that is in it.
   *
   * @param gravity in the instrument's unit; 0 where it is not in it
   */
  private static double[] rest(
      double[][] axes, int i, double[] still, double unit, double gravity) {
    double[] rest = new double[axes.length];
    for (int axis = 0; axis < axes.length; axis++) {
      rest[axis] = (axes[axis][i] - still[axis]) * unit;
    }
    if (gravity > 0 && axes.length > 1) {
      double falls = dot(rest, still) / gravity;
      for (int axis = 0; axis < axes.length; axis++) {
        rest[axis] -= falls * still[axis] / gravity;
      }
    }
    return rest;
  }

  private static double dot(double[] a, double[] b) {
    double sum = 0;
    for (int i = 0; i < a.length; i++) {
      sum += a[i] * b[i];
    }
    return sum;
  }

  private static String names(double[] along) {
    String[] axis = {"x", "y", "z"};
    List<String> names = new ArrayList<>();
    for (int i = 0; i < along.length; i++) {
      if (Math.abs(along[i]) > 0.35) {
        names.add(axis[i]);
      }
    }
    return String.join(" and ", names);
  }

  private static double most(double[][] axes) {
    return Arrays.stream(axes).flatMapToDouble(Arrays::stream).map(Math::abs).max().orElse(0);
  }

  private static double median(double[] values) {
    double[] sorted = values.clone();
    Arrays.sort(sorted);
    return sorted[sorted.length / 2];
  }

  /** The way along which the squares are greatest: the first axis of their second moments. */
  private static double[] main(double[][] rest) {
    int k = rest[0].length;
    double[][] moments = new double[k][k];
    for (double[] a : rest) {
      for (int i = 0; i < k; i++) {
        for (int j = 0; j < k; j++) {
          moments[i][j] += a[i] * a[j];
        }
      }
    }
    if (Arrays.stream(moments).flatMapToDouble(Arrays::stream).allMatch(v -> v == 0)) {
      throw new IllegalArgumentException("It shows no braking at all: every row is the same.");
    }
    return new EigenDecompositionSymmetric(new Array2DRowRealMatrix(moments))
        .getEigenvector(0)
        .toArray();
  }

  /** Positive if what is positive brakes: it is followed by stillness, not led by it. */
  private static double sense(double[] t, double[] forward) {
    return votes(t, forward, 1) - votes(t, forward, -1);
  }

  private static double votes(double[] t, double[] forward, int sign) {
    double votes = 0;
    for (Runs.Run run : Runs.of(t.length, i -> t[i], i -> forward[i] * sign > MOVES, 1)) {
      double begin = t[run.first()] - CLEAR_S;
      double end = t[run.last()] + CLEAR_S;
      double calmer =
          Math.log(
              shaking(t, forward, begin - LOOK_S, begin) / shaking(t, forward, end, end + LOOK_S));
      // Where neither side is calmer, the harder one is likelier to be a braking.
      votes +=
          Math.abs(calmer) > CALMER
              ? Math.max(-1, Math.min(1, calmer))
              : 0.5 * peak(forward, run.first(), run.last()) / G;
    }
    return votes;
  }

  private static double peak(double[] forward, int from, int to) {
    double peak = 0;
    for (int i = from; i <= to; i++) {
      peak = Math.max(peak, Math.abs(forward[i]));
    }
    return peak;
  }

  /** Standard deviation between two times, and a little; NaN where it moves or nothing is known. */
  private static double shaking(double[] t, double[] forward, double from, double to) {
    int found = Arrays.binarySearch(t, from);
    StreamingStatistics seen = new StreamingStatistics();
    for (int i = found >= 0 ? found : -found - 1; i < t.length && t[i] <= to; i++) {
      seen.addValue(forward[i]);
    }
    return seen.getN() > 2 && Math.abs(seen.getMean()) < MOVES / 2
        ? LITTLE + seen.getStandardDeviation()
        : Double.NaN;
  }
}
