package org.jexel.core.diagnosis;

import org.jexel.core.check.Band;
import org.jexel.core.check.Check;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.NoFigure;

/**
 * How likely a reading is under a hypothesis: a normal distribution for numbers, a table of
 * confusions for words, each with a small share for slips of hand and eye.
 */
final class Likelihood {
  /** One reading in so many is a slip. */
  private static final double SLIP = 0.002;

  /** One look in so many is called by another word than the eye saw. */
  private static final double MISCALLED = 0.04;

  /** The same of a wheel in one's hands. */
  private static final double MISCALLED_IN_HAND = 0.01;

  /** The same where one part is looked at by itself. */
  private static final double MISCALLED_CLOSE = 0.002;

  /** A lamp that goes out under the hand is missed so often, while somebody looks elsewhere. */
  private static final double MISSED = 0.1;

  /** One that stays on is hardly ever called so, since the check asks for a second press. */
  private static final double IMAGINED = 0.003;

  /** What drivers say of what makes and breaks, and of what does not: same, nobody knows, comes. */
  private static final double[] TOLD_OF_LOOSE = {0.10, 0.25, 0.65};

  private static final double[] TOLD_OF_STEADY = {0.65, 0.27, 0.08};

  /** Of those, by the neighbouring word. */
  private static final double NEIGHBOURING = 0.9;

  /** Where eyes draw the border between two words at one look, in steps of the scale. */
  private static final double EYE = 0.2;

  private static final double TOGETHER = 0.5;

  /**
   * One eye draws it alike for all lamps of a walk, and all of them hang on one battery: so much of
   * {@link #EYE}'s variance is theirs together. By Gauss and Hermite at three nodes, √3 deviations
   * off with a share of one in six (Abramowitz and Stegun, 25.4.46).
   */
  static final double[] COMMON = {0, EYE * Math.sqrt(3 * TOGETHER), -EYE * Math.sqrt(3 * TOGETHER)};

  static final double[] SHARE_OF_COMMON = {Math.log(2 / 3.0), Math.log(1 / 6.0), Math.log(1 / 6.0)};

  /** Each lamp by itself, whose watts are its own. */
  private static final double OWN = EYE * Math.sqrt(0.75);

  /** The neighbouring word speaks against a hypothesis; one alone may be a slip. */
  private static final double NEXT_WORD = 3;

  private static final double FAR_WORD = 6;

  /** A fault that nobody has listed shows in so many of the checks that are taken to find it. */
  private static final double TOUCHED = 0.4;

  private Likelihood() {}

  /** Logarithm of the density of a number, or of the probability of a word. */
  static double log(Check check, double mean, double deviation, Reading seen) {
    if (!check.measure().words().isEmpty()) {
      return Math.log(word(check.measure(), mean, deviation, seen.value(), seen.times()));
    }
    double slip = Math.pow(SLIP, seen.times());
    if (isBlown(check.measure(), seen.si())) {
      return Math.log(isBlown(check.measure(), mean) ? 1 - slip : slip);
    }
    double z = (seen.value() - mean) / deviation;
    double normal = Math.exp(-z * z / 2) / (deviation * Math.sqrt(2 * Math.PI));
    return Math.log((1 - slip) * normal + slip / range(check.measure()));
  }

  /**
   * Logarithm of the probability of what is said of one lamp among others.
   *
   * @param common how far all of them that lie between two words seem brighter, in steps of the
   *     scale; what is plainly bright or dark stays so
   */
  static double ofALamp(Check check, double mean, double deviation, Reading seen, double common) {
    double part = mean - Math.floor(mean);
    double truth = mean + 4 * part * (1 - part) * common;
    return Math.log(word(check.measure(), truth, deviation, seen.value(), seen.times(), OWN));
  }

  /** That a fuse blew is a word, said where a figure is asked for. */
  static boolean isBlown(Measure measure, double amps) {
    return measure == Measure.AMPS && amps >= NoFigure.BLOWN.si();
  }

  /**
   * Logarithm of what a fault that nobody has listed makes of a reading: nothing, mostly; else
   * anything.
   *
   * @param sound logarithm of the same on the healthy rig
   */
  static double logOfAnything(Check check, double sound) {
    int words = check.measure().words().size();
    double anything = words > 0 ? 1.0 / words : 1 / range(check.measure());
    return Math.log((1 - TOUCHED) * Math.exp(sound) + TOUCHED * anything);
  }

  /**
   * Probability that a word is said.
   *
   * @param truth place on the scale of words, in between where either may be said
   * @param deviation of that place, since a fault may be slighter or worse
   * @param times looks in a row that said so
   */
  static double word(Measure measure, double truth, double deviation, double said, int times) {
    return word(measure, truth, deviation, said, times, EYE);
  }

  private static double word(
      Measure measure, double truth, double deviation, double said, int times, double own) {
    if (measure == Measure.MOVING) {
      double breaks = truth > 0.5 ? 1 - MISSED : IMAGINED;
      return Math.pow(said > 0.5 ? breaks : 1 - breaks, times);
    }
    if (measure == Measure.COMING) {
      return (truth > 1 ? TOLD_OF_LOOSE : TOLD_OF_STEADY)[(int) Math.round(said)];
    }
    int last = measure.words().size() - 1;
    long word = Math.round(said);
    double eye = Math.hypot(own / Math.sqrt(times), deviation);
    double above = word == last ? 1 : normal((word + 0.5 - truth) / eye);
    double below = word == 0 ? 0 : normal((word - 0.5 - truth) / eye);
    long meant = Math.max(0, Math.min(last, Math.round(truth)));
    long neighbours = (meant > 0 ? 1 : 0) + (meant < last ? 1 : 0);
    long others = last - neighbours;
    double share = others == 0 ? 1 : NEIGHBOURING;
    double slip =
        switch ((int) Math.abs(word - meant)) {
          case 0 -> 0;
          case 1 -> share / neighbours;
          default -> (1 - share) / others;
        };
    // Whoever is sent to one part again looks at it as closely as a hand feels.
    double miscalled =
        miscalled(measure)
            * Math.pow(Math.min(miscalled(measure), MISCALLED_IN_HAND), (double) times - 1);
    return (1 - miscalled) * (above - below) + miscalled * slip;
  }

  private static double miscalled(Measure measure) {
    return switch (measure.look()) {
      case IN_PASSING -> MISCALLED;
      case IN_HAND -> MISCALLED_IN_HAND;
      case CLOSE -> MISCALLED_CLOSE;
    };
  }

  /** Share of a normal distribution below z; its logistic approximation errs by less than 2e-4. */
  private static double normal(double z) {
    return 1 / (1 + Math.exp(-z * (1.5976 + 0.070566 * z * z)));
  }

  private static double range(Measure measure) {
    return measure == Measure.AMPS ? 20 : 15;
  }

  /**
   * How many deviations off a reading is; for a word, what a slip or worse counts as. What somebody
   * told is weighed, and speaks against nothing.
   */
  static double off(Check check, double mean, double deviation, double seen) {
    if (check.measure() == Measure.COMING) {
      return 0;
    }
    if (!check.measure().words().isEmpty()) {
      double apart = Math.max(0, Math.abs(mean - seen) - deviation);
      return apart < Band.SAYABLE ? 0 : apart < 1 + Band.SAYABLE ? NEXT_WORD : FAR_WORD;
    }
    return Math.abs(seen - mean) / deviation;
  }
}
