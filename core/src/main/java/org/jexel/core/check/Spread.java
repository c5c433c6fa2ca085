package org.jexel.core.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.ToDoubleFunction;
import org.jexel.core.network.Led;
import org.jexel.core.network.RigNetwork;
import org.jexel.core.network.Tolerance;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Provenance;

/**
 * How far healthy rigs may differ in one reading: the root of the summed squares of every part's
 * effect, sensitivity × tolerance, at two standard deviations, worked out for each direction by
 * itself since a contact can get far worse but hardly better; the meter's own error is one more
 * part.
 *
 * @param band of the reading
 * @param influences the uncertain parts that can be told, the strongest first
 */
record Spread(Band band, List<Check.Influence> influences) {
  /** Magnets of the usual drums have so many times the ohms that are assumed, or so many less. */
  private static final double OTHER_MAGNETS = 1.15;

  /** Rear bulbs of 21/5 W where 27/8 W are assumed draw so many times the current. */
  private static final double OTHER_LAMPS = 0.625;

  /** Diode lamps differ more, either way. */
  private static final double OTHER_DIODES = 1.6;

  /**
   * What a meter shows of a diode lamp that is not conducting, or of electronics, is above this.
   */
  private static final double NO_RESISTOR_OHMS = 100;

  /** Parts that move a reading by less than this share of the meter's own error are not told. */
  private static final double MENTIONABLE = 0.05;

  /**
   * @param slope change of the reading with a part's parameter
   */
  static Spread of(
      RigNetwork network, double expected, ToDoubleFunction<Tolerance> slope, Measure measure) {
    double meter = Meter.error(expected, measure);
    double below = meter * meter;
    double above = meter * meter;
    List<Check.Influence> influences = new ArrayList<>();
    for (Tolerance tolerance : network.tolerances()) {
      double gradient = slope.applyAsDouble(tolerance);
      double lower = -gradient * tolerance.below();
      double higher = gradient * tolerance.above();
      for (double shift : new double[] {lower, higher}) {
        if (shift < 0) {
          below += shift * shift;
        } else {
          above += shift * shift;
        }
      }
      double worst = Math.abs(lower) > Math.abs(higher) ? lower : higher;
      influences.add(
          new Check.Influence(
              tolerance.element(),
              tolerance.label(),
              worst,
              tolerance.provenance() == Provenance.ASSUMED));
    }
    influences.sort(
        Comparator.comparingDouble((Check.Influence i) -> Math.abs(i.shift())).reversed());
    Band band =
        new Band(
            expected,
            measure == Measure.OHMS && expected >= 0
                ? Math.max(0, expected - Math.sqrt(below))
                : expected - Math.sqrt(below),
            expected + Math.sqrt(above));
    return new Spread(
        shifted(
            allowing(band, otherMagnets(network, expected, slope)),
            otherLamps(network, slope, OTHER_LAMPS),
            otherLamps(network, slope, OTHER_DIODES)),
        influences.stream().filter(i -> Math.abs(i.shift()) > MENTIONABLE * meter).toList());
  }

  /**
   * The factor by which other magnets all over would change a reading: it goes with a power of
   * their resistance, e = Σ slope · R / reading.
   */
  private static double otherMagnets(
      RigNetwork network, double expected, ToDoubleFunction<Tolerance> slope) {
    double power = 0;
    for (Tolerance tolerance : network.tolerances()) {
      boolean assumed = tolerance.provenance() == Provenance.ASSUMED;
      if (assumed && tolerance.way() == Tolerance.Way.MAGNET && expected > 0) {
        power += slope.applyAsDouble(tolerance) * tolerance.nominal() / expected;
      }
    }
    return Math.pow(OTHER_MAGNETS, Math.abs(power));
  }

  /** What rear lamps that draw so many times what was assumed would change of a reading. */
  private static double otherLamps(
      RigNetwork network, ToDoubleFunction<Tolerance> slope, double factor) {
    double shift = 0;
    for (Tolerance tolerance : network.tolerances()) {
      boolean assumed = tolerance.provenance() == Provenance.ASSUMED;
      if (assumed
          && tolerance.way() == Tolerance.Way.REAR_LAMP
          && (factor < 1 || network.network().element(tolerance.element()) instanceof Led)) {
        shift += slope.applyAsDouble(tolerance) * tolerance.nominal() * (factor - 1);
      }
    }
    return shift;
  }

  private static Band shifted(Band band, double... shifts) {
    double least = band.least();
    double most = band.most();
    for (double shift : shifts) {
      least = Math.min(least, band.low() + shift);
      most = Math.max(most, band.high() + shift);
    }
    return new Band(band.expected(), band.low(), band.high(), least, most);
  }

  private static Band allowing(Band band, double factor) {
    return new Band(
        band.expected(),
        band.low(),
        band.high(),
        Math.min(band.low(), band.expected() - away(band, band.low(), 1 / factor)),
        Math.max(band.high(), band.expected() + away(band, band.high(), factor)));
  }

  /** How far off both take it, as independent errors add. */
  private static double away(Band band, double own, double factor) {
    return Math.hypot(own - band.expected(), band.expected() * (factor - 1));
  }

  /** A circuit of lamps and inputs that are no resistors shows no ohms worth telling. */
  static Band ofNoResistor(double open) {
    return new Band(open, NO_RESISTOR_OHMS, open);
  }
}
