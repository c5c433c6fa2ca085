package org.jexel.core.diagnosis;

import org.jexel.core.check.Check;

/**
 * What one hypothesis says that every check would read.
 *
 * @param means on the scale on which readings are compared, in the order of the checks
 * @param deviations standard deviations on that scale; 0 for words
 * @param solved whether the network was solved with it; if not, it is made of its two parts
 */
record Row(Hypothesis hypothesis, double[] means, double[] deviations, boolean solved) {
  /** Means this many joint deviations apart are told apart by one reading. */
  private static final double APART = 2.5;

  /** A change below this share of the deviation is none; of words, this part of a step. */
  private static final double UNTOUCHED = 0.05;

  /** Steps on the scale of words that an eye tells apart. */
  private static final double WORD_APART = 0.7;

  /** Readings of a sound rig that count as none. */
  private static final double SMALL = 0.3;

  /** How far off the sum of two changes may be, as a share of the lesser. */
  private static final double ROUGH = 0.3;

  boolean apart(Row other, Check check, int place) {
    double gap = Math.abs(means[place] - other.means[place]);
    if (!check.measure().words().isEmpty()) {
      return gap >= WORD_APART;
    }
    return gap > APART * Math.hypot(deviations[place], other.deviations[place]);
  }

  /** Whether this check would read otherwise than on the healthy rig. */
  boolean touches(Row healthy, int place) {
    double gap = Math.abs(means[place] - healthy.means[place]);
    double deviation = healthy.deviations[place];
    return gap > UNTOUCHED * (deviation == 0 ? 1 : deviation);
  }

  /** Mean of both faults together at one check, out of what each does alone. */
  double meanWith(Row other, Row healthy, int place) {
    double own = means[place];
    double more = other.means[place];
    double none = healthy.means[place];
    if (!touches(healthy, place)) {
      return more;
    } else if (!other.touches(healthy, place)) {
      return own;
    } else if (healthy.deviations[place] == 0) {
      return Math.abs(own - none) > Math.abs(more - none) ? own : more;
    }
    // Dividers in a row multiply; what starts from nothing adds.
    return Math.abs(none) > SMALL ? own * more / none : own + more - none;
  }

  double deviationWith(Row other, Row healthy, int place) {
    if (!touches(healthy, place)) {
      return other.deviations[place];
    } else if (!other.touches(healthy, place)) {
      return deviations[place];
    }
    double none = healthy.means[place];
    double lesser = Math.min(Math.abs(means[place] - none), Math.abs(other.means[place] - none));
    return healthy.deviations[place] == 0
        ? 0
        : Math.hypot(Math.max(deviations[place], other.deviations[place]), ROUGH * lesser);
  }

  /** Both faults together, without solving the network: good enough to be ranked by. */
  Row with(Row other, Row healthy, Hypothesis both) {
    double[] mean = new double[means.length];
    double[] deviation = new double[means.length];
    for (int c = 0; c < mean.length; c++) {
      mean[c] = meanWith(other, healthy, c);
      deviation[c] = deviationWith(other, healthy, c);
    }
    return new Row(both, mean, deviation, false);
  }
}
