package org.jexel.core.diagnosis;

import org.jexel.core.check.Band;
import org.jexel.core.check.Check;
import org.jexel.core.check.Meter;
import org.jexel.core.quantity.Measure;

/**
 * How far a reading may lie from what a hypothesis predicts: the tolerance of all parts by the
 * check's band, the meter, the way to a graded fault's neighbours, and what the fault's own current
 * loses on contacts whose tolerance no band knows.
 */
final class Deviation {
  /**
   * Volts where a sound rig has none come from a battery whose volts the check's band does not
   * know: 12.6 ± 0.3 V, at two deviations.
   */
  private static final double UNMEASURED_SOURCE = 0.012;

  /** Volts that stand behind a reading which a sound rig does not show, V. */
  private static final double SUPPLY = 12.6;

  /** Spread of what is lost on the way of a fault's current, as a share of it. */
  private static final double CONTACTS = 0.25;

  /** Two lamps against each other, each ±15 % at two deviations: √2 · 0.075. */
  private static final double LOADS = 0.106;

  /**
   * One lamp, ±15 % at two deviations: whatever it is that draws where a sound rig draws nothing.
   */
  private static final double LOAD = 0.075;

  /** A reading that shrinks keeps at least this share of its band. */
  private static final double LEAST_SCALE = 0.25;

  /** A source's volts are no wider than this, however many there are. */
  private static final double MOST_SCALE = 1.5;

  private Deviation() {}

  /**
   * One standard deviation, on the scale on which readings are compared.
   *
   * @param mean what is predicted
   * @param healthy what a sound rig reads
   * @param graded how far a graded fault may move it to either side; all that there is of words
   */
  static double of(Check check, double mean, double healthy, double graded) {
    if (!check.measure().words().isEmpty()) {
      return graded;
    }
    Band band = check.band();
    double width = (Means.seen(check, band.high()) - Means.seen(check, band.low())) / 4;
    double times = Math.abs(healthy) < 1e-9 ? 1 : Math.abs(mean / healthy);
    // What is shorted draws its amperes through the same tolerances, share for share.
    double scale = check.measure() == Measure.AMPS ? times : Math.min(MOST_SCALE, times);
    double parameters = width * Math.max(LEAST_SCALE, scale);
    double meter = Meter.error(mean, check.measure()) / 2;
    if (check.measure() == Measure.OHMS && mean < 0) {
      // Live is live, however far a pin is out.
      return meter;
    }
    boolean strange = Math.abs(healthy) < Predictions.SMALL;
    double unknown = strange ? unknown(check.measure()) * mean : 0;
    double way =
        check.measure() != Measure.VOLTS
            ? 0
            : strange ? onTheWay(mean - healthy) : divided(mean, healthy);
    return Math.sqrt(
        parameters * parameters + meter * meter + graded * graded + unknown * unknown + way * way);
  }

  /**
   * Of what stands where a sound rig shows none: by which share its source or its load may vary.
   */
  private static double unknown(Measure measure) {
    return switch (measure) {
      case VOLTS -> UNMEASURED_SOURCE;
      case AMPS -> LOAD;
      default -> 0;
    };
  }

  /**
   * What a fault takes off volts is divided between it and the loads, of which each may draw more
   * or less: V = V₀·R / (R + r) moves by V·(1 − V/V₀) times the share by which R/r does.
   */
  private static double divided(double mean, double healthy) {
    double share = Math.min(1, Math.abs(mean / healthy));
    return LOADS * share * (1 - share) * Math.abs(healthy);
  }

  /**
   * What a fault's own current leaves on contacts that lie anywhere within their tolerance: a part
   * k of V·(1 − V/V₀), nothing where all of the supply is there or none.
   */
  private static double onTheWay(double volts) {
    double share = Math.min(1, Math.abs(volts) / SUPPLY);
    return CONTACTS * share * (1 - share) * SUPPLY;
  }
}
