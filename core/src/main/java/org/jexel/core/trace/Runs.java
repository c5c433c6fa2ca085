package org.jexel.core.trace;

import java.util.ArrayList;
import java.util.List;
import java.util.function.IntPredicate;
import java.util.function.IntToDoubleFunction;

/** Stretches of samples that hold something, short dips included. */
final class Runs {
  /** Shaking dips for less than this, s. */
  private static final double DIP_S = 0.4;

  private Runs() {}

  /** First and last sample of a stretch. */
  record Run(int first, int last) {}

  /**
   * Every stretch, in order.
   *
   * @param n samples
   * @param seconds of a sample
   * @param holds whether it holds at a sample
   * @param least s that a stretch lasts
   */
  static List<Run> of(int n, IntToDoubleFunction seconds, IntPredicate holds, double least) {
    List<Run> runs = new ArrayList<>();
    int i = 0;
    while (i < n) {
      int last = i;
      if (holds.test(i)) {
        for (int j = i + 1; j < n && near(seconds, last, j); j++) {
          last = holds.test(j) ? j : last;
        }
        if (seconds.applyAsDouble(last) - seconds.applyAsDouble(i) >= least) {
          runs.add(new Run(i, last));
        }
      }
      i = last + 1;
    }
    return runs;
  }

  /** The next sample is near however long it took: gaps are somebody else's to know. */
  private static boolean near(IntToDoubleFunction seconds, int last, int j) {
    return j == last + 1 || seconds.applyAsDouble(j) - seconds.applyAsDouble(last) <= DIP_S;
  }
}
