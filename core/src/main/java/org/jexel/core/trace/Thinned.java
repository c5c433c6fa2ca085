package org.jexel.core.trace;

import java.util.ArrayList;
import java.util.List;

/**
 * A part of a trace as so many columns can show it: of each column the first, the least, the
 * greatest and the last value, in their order. No peak is lost.
 */
public final class Thinned {
  private Thinned() {}

  /** A point of the drawing: s, m/s². */
  public record Point(double seconds, double deceleration) {}

  /**
   * @param columns at least 1
   */
  public static List<Point> of(Trace trace, double from, double to, int columns) {
    List<Point> points = new ArrayList<>();
    int first = trace.at(from);
    int end = trace.at(to);
    int i = first;
    for (int column = 0; column < columns && i <= end; column++) {
      double until = from + (to - from) * (column + 1) / columns;
      int least = i;
      int greatest = i;
      int last = i;
      int begin = i;
      while (i <= end && (trace.seconds(i) <= until || column == columns - 1)) {
        least = trace.deceleration(i) < trace.deceleration(least) ? i : least;
        greatest = trace.deceleration(i) > trace.deceleration(greatest) ? i : greatest;
        last = i++;
      }
      if (i > begin) {
        add(points, trace, begin, Math.min(least, greatest), Math.max(least, greatest), last);
      }
    }
    return points;
  }

  private static void add(List<Point> points, Trace trace, int... samples) {
    int before = -1;
    for (int sample : samples) {
      if (sample != before) {
        points.add(new Point(trace.seconds(sample), trace.deceleration(sample)));
      }
      before = sample;
    }
  }
}
