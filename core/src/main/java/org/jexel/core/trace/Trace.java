package org.jexel.core.trace;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.jexel.core.quantity.Phrase;

/**
 * A drive over time, as deceleration along the road, from one of two instruments.
 *
 * <p>Of speed: a = −dv/dt, the slope of a line through the samples within a quarter of a second (of
 * three samples at least). Of an accelerometer: the mean over a fifth of a second, along the way
 * that {@link Axes} finds.
 *
 * <p>Immutable; arrays are copied in and never handed out to be written to.
 */
public final class Trace {
  /** Fewer tell of no stop. */
  private static final int LEAST = 8;

  /** Samples further apart than this, s, and than four of the usual steps, leave a gap. */
  private static final double GAP_S = 1;

  private static final double EARTH_M = 6_371_000;
  private static final double SLOPE_S = 0.25;
  private static final double MEAN_S = 0.1;

  private final double[] seconds;
  private final double[] deceleration;
  private final Optional<double[]> speed;
  private final List<Integer> gaps;
  private final List<String> notes;

  private Trace(
      double[] seconds,
      double[] deceleration,
      Optional<double[]> speed,
      List<Integer> gaps,
      List<String> notes) {
    this.seconds = seconds;
    this.deceleration = deceleration;
    this.speed = speed;
    this.gaps = gaps;
    this.notes = notes;
  }

  private static Trace of(
      double[] seconds, double[] deceleration, Optional<double[]> speed, List<String> notes) {
    List<Integer> gaps = gaps(seconds);
    return new Trace(seconds.clone(), deceleration, speed, gaps, noted(seconds, gaps, notes));
  }

  /**
   * @param seconds rising
   * @param speed m/s
   * @throws IllegalArgumentException if it tells of no drive, with why in words
   */
  public static Trace ofSpeed(double[] seconds, double[] speed) {
    rises(seconds);
    double[] slope = new double[speed.length];
    int from = 0;
    int to = 0;
    for (int i = 0; i < speed.length; i++) {
      while (seconds[i] - seconds[from] > SLOPE_S) {
        from++;
      }
      while (to + 1 < speed.length && seconds[to + 1] - seconds[i] <= SLOPE_S) {
        to++;
      }
      slope[i] =
          -slope(
              seconds,
              speed,
              Math.max(0, Math.min(from, i - 1)),
              Math.min(speed.length - 1, Math.max(to, i + 1)));
    }
    return of(seconds, slope, Optional.of(speed.clone()), List.of());
  }

  /**
   * Speed at each place from the way between its neighbours on a sphere, by the haversine formula.
   *
   * @param seconds rising
   * @param north latitude, rad
   * @param east longitude, rad
   * @throws IllegalArgumentException if it tells of no drive, with why in words
   */
  public static Trace ofPlaces(double[] seconds, double[] north, double[] east) {
    rises(seconds);
    double[] speed = new double[seconds.length];
    for (int i = 0; i < speed.length; i++) {
      int before = Math.max(0, i - 1);
      int after = Math.min(speed.length - 1, i + 1);
      double way = way(north, east, before, i) + way(north, east, i, after);
      speed[i] = way / (seconds[after] - seconds[before]);
    }
    return ofSpeed(seconds, speed);
  }

  private static double way(double[] north, double[] east, int from, int to) {
    double up = Math.sin((north[to] - north[from]) / 2);
    double across = Math.sin((east[to] - east[from]) / 2);
    double h = up * up + Math.cos(north[from]) * Math.cos(north[to]) * across * across;
    return 2 * EARTH_M * Math.asin(Math.min(1, Math.sqrt(h)));
  }

  /**
   * @param seconds rising
   * @param axes one to three of an accelerometer, m/s², in any position, with gravity or without
   * @throws IllegalArgumentException if it tells of no drive, with why in words
   */
  public static Trace ofAxes(double[] seconds, double[]... axes) {
    rises(seconds);
    double[][] even = Arrays.stream(axes).map(axis -> mean(seconds, axis)).toArray(double[][]::new);
    Axes found = Axes.of(seconds, even);
    return of(seconds, found.deceleration(), Optional.empty(), found.notes());
  }

  /**
   * @param seconds rising
   * @param deceleration along the road already, m/s², positive where it brakes
   * @throws IllegalArgumentException if it tells of no drive, with why in words
   */
  public static Trace ofDeceleration(double[] seconds, double[] deceleration) {
    rises(seconds);
    return of(seconds, mean(seconds, deceleration), Optional.empty(), List.of());
  }

  /** The same, where speeding up was taken for braking. */
  public Trace turned() {
    double[] other = Arrays.stream(deceleration).map(a -> -a).toArray();
    return new Trace(seconds, other, speed, gaps, notes);
  }

  private static void rises(double[] seconds) {
    if (seconds.length < LEAST) {
      throw new IllegalArgumentException(
          Phrase.of("Only %d rows could be read: that is no drive.", seconds.length));
    }
    for (int i = 1; i < seconds.length; i++) {
      if (!(seconds[i] > seconds[i - 1])) {
        throw new IllegalArgumentException(
            Phrase.of("The time does not rise at row %d: is it the column of the time?", i + 1));
      }
    }
  }

  private static double slope(double[] t, double[] v, int from, int to) {
    double n = to - from + 1.0;
    double meanT = 0;
    double meanV = 0;
    for (int i = from; i <= to; i++) {
      meanT += t[i] / n;
      meanV += v[i] / n;
    }
    double across = 0;
    double along = 0;
    for (int i = from; i <= to; i++) {
      across += (t[i] - meanT) * (v[i] - meanV);
      along += (t[i] - meanT) * (t[i] - meanT);
    }
    return along > 0 ? across / along : 0;
  }

  /** Mean within {@link #MEAN_S} to either side, by running sums. */
  private static double[] mean(double[] t, double[] values) {
    double[] mean = new double[values.length];
    double sum = 0;
    int from = 0;
    int to = 0;
    for (int i = 0; i < values.length; i++) {
      while (to < values.length && t[to] - t[i] <= MEAN_S) {
        sum += values[to++];
      }
      while (t[i] - t[from] > MEAN_S) {
        sum -= values[from++];
      }
      mean[i] = sum / (to - from);
    }
    return mean;
  }

  /** Samples after which there is a gap. */
  private static List<Integer> gaps(double[] t) {
    double[] steps = new double[t.length - 1];
    for (int i = 0; i < steps.length; i++) {
      steps[i] = t[i + 1] - t[i];
    }
    double[] sorted = steps.clone();
    Arrays.sort(sorted);
    double most = Math.max(GAP_S, 4 * sorted[sorted.length / 2]);
    List<Integer> gaps = new ArrayList<>();
    for (int i = 0; i < steps.length; i++) {
      if (steps[i] > most) {
        gaps.add(i);
      }
    }
    return gaps;
  }

  private static List<String> noted(double[] seconds, List<Integer> gaps, List<String> found) {
    List<String> all = new ArrayList<>(found);
    if (!gaps.isEmpty()) {
      double longest =
          gaps.stream().mapToDouble(i -> seconds[i + 1] - seconds[i]).max().orElseThrow();
      all.add(
          Phrase.of(
              "%d %s in the recording, the longest of %.1f s: no stop is found across one.",
              gaps.size(), gaps.size() == 1 ? "gap" : "gaps", longest));
    }
    return List.copyOf(all);
  }

  public int size() {
    return seconds.length;
  }

  /** Time of a sample, s. */
  public double seconds(int i) {
    return seconds[i];
  }

  /** Of a sample, m/s², positive where it brakes. */
  public double deceleration(int i) {
    return deceleration[i];
  }

  /** Whether it holds the speed itself. */
  public boolean hasSpeed() {
    return speed.isPresent();
  }

  /**
   * Of a sample, m/s.
   *
   * @throws java.util.NoSuchElementException if it does not hold the speed
   */
  public double speed(int i) {
    return speed.orElseThrow()[i];
  }

  /** What was done to it, and what is odd about it, in words. */
  public List<String> notes() {
    return notes;
  }

  /** The first sample at this time or later; the last one where there is none. */
  int at(double time) {
    int found = Arrays.binarySearch(seconds, time);
    return Math.min(seconds.length - 1, found >= 0 ? found : -found - 1);
  }

  /** Whether two samples lie on either side of a gap. */
  boolean parted(int from, int to) {
    return gaps.stream().anyMatch(gap -> gap >= from && gap < to);
  }
}
