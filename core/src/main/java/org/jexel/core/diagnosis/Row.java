package org.jexel.core.diagnosis;

import java.util.function.ToDoubleFunction;
import org.jexel.core.check.Check;
import org.jspecify.annotations.Nullable;

/**
 * What one hypothesis says that every check would read.
 *
 * @param means on the scale on which readings are compared, in the order of the checks
 * @param deviations standard deviations on that scale; of words only how bad a fault is
 * @param solved whether the network was solved with it; if not, it is made of its two parts
 * @param broken what is read while something that makes and breaks is off; null where nothing is
 */
record Row(
    Hypothesis hypothesis,
    double[] means,
    double[] deviations,
    boolean solved,
    @Nullable Row broken) {
  /** What makes and breaks is off in so many of the readings that are taken of it. */
  private static final double OFTEN = 0.4;

  /** Densities that overlap by less than e to minus this are told apart by one reading. */
  private static final double APART = 0.9;

  /** A mean so many deviations off the sharper of two is no reading of it. */
  private static final double OFF = 2;

  /** A change below this share of the deviation is none; of words, this part of a step. */
  private static final double UNTOUCHED = 0.05;

  /** Steps on the scale of words that an eye tells apart. */
  private static final double WORD_APART = 0.55;

  /** Readings of a sound rig that count as none. */
  private static final double SMALL = 0.3;

  /** How far off the sum of two changes may be, as a share of the lesser. */
  private static final double ROUGH = 0.3;

  Row(Hypothesis hypothesis, double[] means, double[] deviations, boolean solved) {
    this(hypothesis, means, deviations, solved, null);
  }

  /** The same, met so many times as often. */
  Row times(double factor) {
    return new Row(hypothesis.times(factor), means, deviations, solved, broken);
  }

  /** Logarithm of how likely a reading is. */
  double log(Check check, int place, Reading seen) {
    return together(r -> r.alone(check, place, seen));
  }

  /** The same, as it stands at rest. */
  double alone(Check check, int place, Reading seen) {
    return Likelihood.log(check, means[place], deviations[place], seen);
  }

  /** The same of a lamp among others, all of which seem so much brighter. */
  double ofALamp(Check check, int place, Reading seen, double common) {
    return Likelihood.ofALamp(check, means[place], deviations[place], seen, common);
  }

  /**
   * Logarithm of how likely readings are that were taken in one go: what makes and breaks was on in
   * all of them, or off in all.
   *
   * @param made the same of a row in which nothing changes
   */
  double together(ToDoubleFunction<Row> made) {
    double on = made.applyAsDouble(this);
    if (broken == null) {
      return on;
    }
    double off = made.applyAsDouble(broken);
    double most = Math.max(on, off);
    return most + Math.log((1 - OFTEN) * Math.exp(on - most) + OFTEN * Math.exp(off - most));
  }

  /** How many deviations above its mean a figure lies, at rest. */
  double deviationsOff(int place, double seen) {
    return (seen - means[place]) / deviations[place];
  }

  /** Whether it says the same of a check. */
  boolean reads(Row other, int place) {
    return means[place] == other.means[place] && deviations[place] == other.deviations[place];
  }

  /**
   * What part of a deviation is the tolerance of a sound rig's parts, scaled with the reading; the
   * rest is how bad a fault is.
   */
  double shareOfTolerance(Row healthy, int place) {
    double whole = Math.abs(healthy.means[place]);
    double scale = whole > 0 ? Math.min(1, Math.abs(means[place]) / whole) : 1;
    return Math.min(1, healthy.deviations[place] * scale / deviations[place]);
  }

  /** How many deviations off a reading is. */
  double off(Check check, int place, double seen) {
    double made = Likelihood.off(check, means[place], deviations[place], seen);
    return broken == null ? made : Math.min(made, broken.off(check, place, seen));
  }

  /**
   * Whether one reading tells the two apart, most of the time: of words by their steps, of figures
   * by the overlap of the two normal densities, ln BC = ½·ln(2σ₁σ₂ / (σ₁² + σ₂²)) − (μ₁ − μ₂)² /
   * 4(σ₁² + σ₂²) (Bhattacharyya, Bulletin of the Calcutta Mathematical Society 35, 1943). So a
   * hypothesis that is vague, since its fault may be slight or bad, is told from a sharp one that
   * it surrounds.
   */
  boolean apart(Row other, Check check, int place) {
    if (broken != null) {
      return made().apart(other, check, place)
          && broken.apart(other, check, place)
          && !hypothesis.breaksWith(other.hypothesis);
    } else if (other.broken != null) {
      return other.apart(this, check, place);
    }
    double gap = Math.abs(means[place] - other.means[place]);
    if (!check.measure().words().isEmpty()) {
      return gap >= WORD_APART;
    }
    double one = deviations[place];
    double two = other.deviations[place];
    if (gap <= OFF * Math.min(one, two)) {
      return false;
    }
    double sum = one * one + two * two;
    double far = gap * gap / (4 * sum);
    return far > APART || 2 * one * two / sum < Math.exp(2 * (far - APART));
  }

  private Row made() {
    return new Row(hypothesis, means, deviations, solved);
  }

  /** Whether this check would read otherwise than on the healthy rig, now or then. */
  boolean touches(Row healthy, int place) {
    if (broken != null && broken.touches(healthy, place)) {
      return true;
    }
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
