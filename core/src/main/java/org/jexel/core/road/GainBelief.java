package org.jexel.core.road;

import java.util.List;
import org.hipparchus.special.Erf;

/**
 * What is believed of the gain at which wheels lock, by Bayes over two unknowns: how strong the
 * brakes are against rated ones, and how the road grips against the usual figure of its surface.
 *
 * <p>Before any stop: strength is log-normal about 1 with ±25 % at two deviations, and one time in
 * ten anything from a third to twice; grip is normal about the surface's μ with ±24 % at two
 * deviations. A stop at mark g with the lock at τ marks says <i>locked</i> with Φ((g − τ)/½), and
 * is wrong one time in twenty. A stop that was measured gives z within 9 % where no wheel slid, and
 * somewhere below what the brakes ask for where one did, whatever was told of it.
 */
final class GainBelief {
  private static final int STRENGTHS = 49;
  private static final double WEAKEST = Math.log(1 / 3.0);
  private static final double STRONGEST = Math.log(2);
  private static final double STRENGTH_SPREAD = 0.125;
  private static final double ANYTHING = 0.1;

  private static final int GRIPS = 21;
  private static final double LEAST_GRIP = 0.6;
  private static final double MOST_GRIP = 1.4;
  private static final double GRIP_SPREAD = 0.12;

  /** A mark's blur, marks. */
  private static final double BLUR = 0.5;

  /** Deviations. */
  private static final double FAR = 7;

  private static final double WRONG = 0.05;

  /** Of an unlocked stop within a mark below the lock, as often told as on the verge as not. */
  private static final double TOLD_VERGE = 0.5;

  /** Distance within 5 %, and what the model of §7 leaves out. */
  private static final double SHARE_SPREAD = 0.09;

  /** A wheel that slides brakes less than it would: by anything up to this share of the trailer. */
  private static final double SLIDES = 0.4;

  private final Cells cells;
  private final double[] weight;

  private GainBelief(Cells cells, double[] weight) {
    this.cells = cells;
    this.weight = weight;
  }

  /**
   * What may be, without its weight; shared by every belief about one rig on one road.
   *
   * @param strength of the brakes against rated ones
   * @param locksAt where the first wheel locks, in marks
   * @param passed by mark and cell: Φ((g − τ)/½); null until it is asked for
   */
  private record Cells(BrakeCurve curve, double[] strength, double[] locksAt, double[][] passed) {
    private double passed(int place, int cell) {
      if (passed[place] == null) {
        double[] row = new double[locksAt.length];
        for (int i = 0; i < row.length; i++) {
          row[i] = passed((place - locksAt[i]) / BLUR);
        }
        passed[place] = row;
      }
      return passed[place][cell];
    }

    /** Φ; what lies beyond seven deviations, 1e-12, is none of it. */
    private static double passed(double deviations) {
      if (Math.abs(deviations) > FAR) {
        return deviations > 0 ? 1 : 0;
      }
      return Erf.erfc(-deviations / Math.sqrt(2)) / 2;
    }

    private double chance(Outcome outcome, int place, int cell) {
      return toldLocked(outcome, place, cell) + toldFree(outcome, place, cell);
    }

    /** That it locks, and the driver says so. */
    private double toldLocked(Outcome outcome, int place, int cell) {
      double right = outcome.locked() ? 1 - WRONG : 0;
      return (right + WRONG / 2) * passed(place, cell);
    }

    /** That it does not lock, and the driver says so. */
    private double toldFree(Outcome outcome, int place, int cell) {
      double locks = passed(place, cell);
      double near = TOLD_VERGE * (passed(place + 1, cell) - locks);
      double right =
          switch (outcome) {
            case LOCKED -> 0;
            case VERGE -> near;
            default -> 1 - locks - near;
          };
      return (1 - WRONG) * right + WRONG / 2 * (1 - locks);
    }

    /** The same with what the stop was measured to be. */
    private double chance(Outcome outcome, double share, int place, int cell) {
      double off = share / Math.max(1e-6, strength[cell] * curve.shares()[place]) - 1;
      // A measure that nothing explains widens the belief and does not end it.
      double rolls = normal(off, SHARE_SPREAD) + WRONG;
      double slides = (off > -SLIDES && off < 2 * SHARE_SPREAD ? 1 / SLIDES : 0) + WRONG;
      return toldFree(outcome, place, cell) * rolls + toldLocked(outcome, place, cell) * slides;
    }
  }

  static GainBelief before(BrakeCurve curve, double grip) {
    int all = STRENGTHS * GRIPS;
    double[] weight = new double[all];
    double[] strength = new double[all];
    double[] locksAt = new double[all];
    for (int s = 0; s < STRENGTHS; s++) {
      double log = WEAKEST + (STRONGEST - WEAKEST) * s / (STRENGTHS - 1);
      double usual = normal(log, STRENGTH_SPREAD) * (STRONGEST - WEAKEST) / (STRENGTHS - 1);
      double likely = (1 - ANYTHING) * usual + ANYTHING / STRENGTHS;
      for (int g = 0; g < GRIPS; g++) {
        double of = LEAST_GRIP + (MOST_GRIP - LEAST_GRIP) * g / (GRIPS - 1);
        int cell = s * GRIPS + g;
        strength[cell] = Math.exp(log);
        weight[cell] = likely * normal(of - 1, GRIP_SPREAD);
        locksAt[cell] = curve.locksAt(strength[cell], of * grip);
      }
    }
    double[][] passed = new double[curve.marksCount() + 1][];
    return new GainBelief(new Cells(curve, strength, locksAt, passed), scaled(weight));
  }

  /** After one more stop. */
  GainBelief and(GainStop stop) {
    int place = cells.curve.place(stop.gain());
    double[] after = weight.clone();
    for (int cell = 0; cell < after.length; cell++) {
      double chance =
          stop.share().isPresent() && !stop.cold()
              ? cells.chance(stop.outcome(), stop.share().getAsDouble(), place, cell)
              : cells.chance(stop.outcome(), place, cell);
      boolean weak = stop.cold() && !stop.outcome().locked();
      after[cell] *= weak ? Math.sqrt(chance) : chance;
    }
    return new GainBelief(cells, scaled(after));
  }

  GainBelief and(List<GainStop> stops) {
    GainBelief belief = this;
    for (GainStop stop : stops) {
      belief = belief.and(stop);
    }
    return belief;
  }

  /** The chance that a stop at a mark locks. */
  double locks(int place) {
    double sum = 0;
    for (int cell = 0; cell < weight.length; cell++) {
      sum += weight[cell] * (place >= cells.locksAt[cell] ? 1 : 0);
    }
    return sum;
  }

  /** The chance that no mark locks. */
  double never() {
    return 1 - locks(cells.curve.marksCount() - 1);
  }

  /** Of the highest mark that does not lock; at 0 that each of them does. */
  double[] answers() {
    double[] answers = new double[cells.curve.marksCount() + 1];
    for (int cell = 0; cell < weight.length; cell++) {
      int highest = (int) Math.ceil(cells.locksAt[cell]) - 1;
      answers[1 + Math.max(-1, Math.min(cells.curve.marksCount() - 1, highest))] += weight[cell];
    }
    return answers;
  }

  /** How much is not known of the answer, bit. */
  double entropy() {
    double bits = 0;
    for (double p : answers()) {
      bits -= p > 0 ? p * Math.log(p) / Math.log(2) : 0;
    }
    return bits;
  }

  /** What would not be known after a stop at a mark, on average, bit. */
  double entropyAfter(int place) {
    double expected = 0;
    for (Outcome outcome : List.of(Outcome.LOCKED, Outcome.VERGE, Outcome.FIRM)) {
      double probability = 0;
      for (int cell = 0; cell < weight.length; cell++) {
        probability += weight[cell] * cells.chance(outcome, place, cell);
      }
      expected += probability * and(new GainStop(cells.curve.marks()[place], outcome)).entropy();
    }
    return expected;
  }

  private static double[] scaled(double[] weight) {
    double sum = 0;
    for (double w : weight) {
      sum += w;
    }
    for (int i = 0; i < weight.length; i++) {
      weight[i] /= sum;
    }
    return weight;
  }

  private static double normal(double off, double spread) {
    double z = off / spread;
    return Math.exp(-z * z / 2) / (spread * Math.sqrt(2 * Math.PI));
  }
}
