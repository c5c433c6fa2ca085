package org.jexel.core.diagnosis;

import org.jexel.core.check.Check;
import org.jexel.core.quantity.Measure;

/**
 * How likely a reading is under a hypothesis: a normal distribution for numbers, a table of
 * confusions for words, each with a small share for slips of hand and eye.
 */
final class Likelihood {
  /** One reading in so many is a slip. */
  private static final double SLIP = 0.002;

  /** Of a word: that its neighbour is said instead. */
  private static final double NEIGHBOUR = 0.02;

  private Likelihood() {}

  /** Logarithm of the density of a number, or of the probability of a word. */
  static double log(Check check, double mean, double deviation, double seen) {
    if (!check.measure().words().isEmpty()) {
      return Math.log(word(check.measure(), mean, seen));
    }
    double z = (seen - mean) / deviation;
    double normal = Math.exp(-z * z / 2) / (deviation * Math.sqrt(2 * Math.PI));
    return Math.log((1 - SLIP) * normal + SLIP / range(check.measure()));
  }

  /** Probability that a word is said where another is true. */
  static double word(Measure measure, double truth, double said) {
    int words = measure.words().size();
    int apart = (int) Math.abs(Math.round(truth) - Math.round(said));
    if (words == 2) {
      return apart == 0 ? 0.98 : 0.02;
    }
    boolean end = Math.round(truth) == 0 || Math.round(truth) == words - 1;
    double slips = SLIP * (words - 2);
    double neighbours = (end ? 1 : 2) * NEIGHBOUR;
    return apart == 0 ? 1 - neighbours - slips : apart == 1 ? NEIGHBOUR : SLIP;
  }

  private static double range(Measure measure) {
    return measure == Measure.AMPS ? 20 : 15;
  }

  /** How many deviations off a reading is; a word that should hardly be said counts as far off. */
  static double off(Check check, double mean, double deviation, double seen) {
    if (!check.measure().words().isEmpty()) {
      return word(check.measure(), mean, seen) < 0.05 ? 6 : 0;
    }
    return Math.abs(seen - mean) / deviation;
  }
}
