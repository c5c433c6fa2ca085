package org.jexel.core.trace;

import java.util.ArrayList;
import java.util.List;

/**
 * One braking in a trace.
 *
 * <p>Where it begins and ends is found as the two change points of a mean that steps up and down
 * again: of all pairs the one that leaves the least sum of squares (exact, over prefix sums). What
 * it braked with is the mean after an onset of 0.3 s. Of a trace without speed it is the integral
 * back from where it stands.
 *
 * @param from start, s
 * @param to end, s
 * @param deceleration mean after the onset, m/s²
 * @param speed at the start, m/s; NaN where the trace does not tell
 * @param distance from start to end, m; NaN where the trace does not tell
 * @param stands whether the rig stands at its end
 */
public record BrakePhase(
    double from, double to, double deceleration, double speed, double distance, boolean stands) {
  private static final double ONSET_S = 0.3;

  /** Below this part of the whole the onset has not begun. */
  private static final double LITTLE = 0.15;

  /** More than rolling out gives, m/s². */
  private static final double BRAKES = 0.8;

  private static final double SHORTEST_S = 1;
  private static final double ROUND_S = 2;

  /** At most so many points are tried against each other. */
  private static final int TRIED = 400;

  /** Slower than this it stands, m/s. */
  private static final double STANDS = 0.8;

  /** Every braking of a trace that lasted a second, in order. */
  public static List<BrakePhase> all(Trace trace) {
    return Runs.of(trace.size(), trace::seconds, i -> trace.deceleration(i) > BRAKES, SHORTEST_S)
        .stream()
        .filter(run -> !trace.parted(run.first(), run.last()))
        .map(run -> between(trace, run.first(), run.last()))
        .filter(phase -> phase.to - phase.from >= SHORTEST_S && phase.deceleration > BRAKES)
        .toList();
  }

  /**
   * What somebody chose by hand.
   *
   * @throws IllegalArgumentException if it is no second long, or parted by a gap
   */
  public static BrakePhase of(Trace trace, double from, double to) {
    int first = trace.at(from);
    int last = trace.at(to);
    if (!(trace.seconds(last) - trace.seconds(first) >= SHORTEST_S)) {
      throw new IllegalArgumentException("A part of at least one second, within the recording.");
    }
    if (trace.parted(first, last)) {
      throw new IllegalArgumentException("A gap lies in this part.");
    }
    return measured(trace, first, last);
  }

  /** The change points round a rough find. */
  private static BrakePhase between(Trace trace, int first, int last) {
    int begin = trace.at(trace.seconds(first) - ROUND_S);
    int end = trace.at(trace.seconds(last) + ROUND_S);
    while (trace.parted(begin, first)) {
      begin++;
    }
    while (trace.parted(last, end)) {
      end--;
    }
    int every = Math.max(1, (end - begin) / TRIED);
    List<Integer> points = new ArrayList<>();
    for (int i = begin; i <= end; i += every) {
      points.add(i);
    }
    int[] change = changes(points.stream().mapToDouble(trace::deceleration).toArray());
    int from = points.get(change[0]);
    int to = points.get(change[1]);
    return measured(trace, onset(trace, begin, from, to), to);
  }

  /** The change point lies within the onset: where that begins. */
  private static int onset(Trace trace, int begin, int from, int to) {
    double little = LITTLE * integral(trace, from, to) / (trace.seconds(to) - trace.seconds(from));
    int first = from;
    while (first > begin
        && trace.seconds(from) - trace.seconds(first - 1)
            <= Math.max(2 * ONSET_S, step(trace, first - 1))
        && trace.deceleration(first - 1) > little) {
      first--;
    }
    return first;
  }

  /**
   * The first sample of the middle part and the last one, of the three parts with the least sum of
   * squares about their own means.
   */
  static int[] changes(double[] values) {
    int n = values.length;
    double[] sum = new double[n + 1];
    for (int i = 0; i < n; i++) {
      sum[i + 1] = sum[i] + values[i];
    }
    // Least squares about means is greatest sum of n·mean²: the squares themselves are the same.
    double best = Double.NEGATIVE_INFINITY;
    int[] at = {0, n - 1};
    for (int i = 0; i < n - 1; i++) {
      double before = i == 0 ? 0 : sum[i] * sum[i] / i;
      for (int j = i + 1; j < n; j++) {
        double middle = sum[j + 1] - sum[i];
        double after = sum[n] - sum[j + 1];
        double told =
            before + middle * middle / (j - i + 1) + (j + 1 == n ? 0 : after * after / (n - j - 1));
        if (told > best && middle > 0) {
          best = told;
          at = new int[] {i, j};
        }
      }
    }
    return at;
  }

  private static BrakePhase measured(Trace trace, int first, int last) {
    double from = trace.seconds(first);
    double to = trace.seconds(last);
    int begin = Math.min(last - 1, trace.at(Math.min(from + ONSET_S, (from + to) / 2)));
    double mean = integral(trace, begin, last) / (to - trace.seconds(begin));
    if (trace.hasSpeed()) {
      boolean stands = trace.speed(last) < STANDS || trace.speed(next(trace, last)) < STANDS;
      return new BrakePhase(from, to, mean, trace.speed(first), way(trace, first, last), stands);
    }
    boolean stands = standsAfter(trace, last);
    double speed = stands ? integral(trace, first, last) : Double.NaN;
    return new BrakePhase(
        from, to, mean, speed, stands ? back(trace, first, last) : Double.NaN, stands);
  }

  private static int next(Trace trace, int i) {
    return Math.min(trace.size() - 1, i + 1);
  }

  /** ∫ a dt, m/s, by trapezia. */
  private static double integral(Trace trace, int first, int last) {
    double sum = 0;
    for (int i = first; i < last; i++) {
      sum += (trace.deceleration(i) + trace.deceleration(i + 1)) / 2 * step(trace, i);
    }
    return sum;
  }

  private static double way(Trace trace, int first, int last) {
    double sum = 0;
    for (int i = first; i < last; i++) {
      sum += (trace.speed(i) + trace.speed(i + 1)) / 2 * step(trace, i);
    }
    return sum;
  }

  /** The way of what ends standing: its speed is summed up from there. */
  private static double back(Trace trace, int first, int last) {
    double speed = 0;
    double sum = 0;
    for (int i = last - 1; i >= first; i--) {
      double more = (trace.deceleration(i) + trace.deceleration(i + 1)) / 2 * step(trace, i);
      sum += (speed + more / 2) * step(trace, i);
      speed += more;
    }
    return sum;
  }

  private static double step(Trace trace, int i) {
    return trace.seconds(i + 1) - trace.seconds(i);
  }

  /** Whether half a second from 0.5 s after its end on shows nothing of a drive. */
  private static boolean standsAfter(Trace trace, int last) {
    int from = trace.at(trace.seconds(last) + 0.5);
    int to = trace.at(trace.seconds(last) + 1.2);
    if (to - from < 2 || trace.parted(last, to)) {
      return false;
    }
    double most = 0;
    for (int i = from; i <= to; i++) {
      most = Math.max(most, Math.abs(trace.deceleration(i)));
    }
    return most < BRAKES / 2;
  }
}
