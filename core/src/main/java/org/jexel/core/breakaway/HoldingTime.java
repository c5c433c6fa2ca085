package org.jexel.core.breakaway;

import java.util.List;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Sum;
import org.jexel.core.quantity.Term;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.BatteryChemistry;

/**
 * How long a battery holds the brakes on, by Peukert: t = H·(C/(I·H))^k with H = 20 h.
 *
 * @param seconds holding time
 * @param verdict fails under 15 minutes, watch under 20
 * @param sum how it was found
 */
public record HoldingTime(double seconds, Verdict verdict, Sum sum) {
  /** The least that a braked trailer's battery should hold, s. */
  public static final double LEAST_S = 15 * 60;

  private static final double COMFORTABLE_S = 20 * 60;
  private static final double RATED_S = 20 * 3600;

  /** Peukert exponent of sealed lead-acid batteries. */
  public static final double LEAD_ACID = 1.25;

  /** Peukert exponent of lithium iron phosphate batteries. */
  public static final double LITHIUM_IRON = 1.05;

  public static double exponent(BatteryChemistry chemistry) {
    return switch (chemistry) {
      case LEAD_ACID -> LEAD_ACID;
      case LITHIUM_IRON -> LITHIUM_IRON;
    };
  }

  /** The capacity that holds so many amperes for just 15 min: C = I·H·(t/H)^(1/k), A·s. */
  static double needed(double amps, double exponent) {
    return amps * RATED_S * Math.pow(LEAST_S / RATED_S, 1 / exponent);
  }

  /**
   * @param capacity as left after derating, A·s
   * @param amps current of all brakes, A
   * @param exponent Peukert exponent, 1 or more
   */
  public static HoldingTime of(double capacity, double amps, double exponent) {
    if (!(capacity >= 0) || !(amps > 0) || !(exponent >= 1)) {
      throw new IllegalArgumentException(capacity + " A·s, " + amps + " A, exponent " + exponent);
    }
    double seconds = RATED_S * Math.pow(capacity / (amps * RATED_S), exponent);
    Verdict verdict =
        seconds < LEAST_S ? Verdict.FAILS : seconds < COMFORTABLE_S ? Verdict.WATCH : Verdict.HOLDS;
    return new HoldingTime(
        seconds,
        verdict,
        new Sum(
            "Holding time of the breakaway battery, by Peukert",
            "t = H · (C / (I · H))^k",
            List.of(
                Term.computed("C", "capacity left", capacity, Measure.CAPACITY),
                Term.computed("I", "all brakes at 12 V", amps, Measure.AMPS),
                Term.computed("H", "rated discharge", RATED_S, Measure.HOURS),
                Term.computed("k", "Peukert exponent", exponent, Measure.PLAIN)),
            seconds,
            Measure.MINUTES));
  }
}
