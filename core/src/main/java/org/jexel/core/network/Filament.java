package org.jexel.core.network;

/**
 * A filament lamp: I = I₀·(V/V₀)^0.55 when hot, a resistor of V₀/(12·I₀) when cold.
 *
 * <p>Both are the ends of one smooth odd function, I = 12·I₀·v·(1 + (v/v_c)²)^−0.225 with v = V/V₀
 * and v_c = 12^(−1/0.45): the power law has no slope at 0 V, this has. At V₀ it is off by less than
 * 4e-6. Visible output goes with (V/V₀)^3.4.
 *
 * @param a live terminal; the lamp does not mind its direction
 * @param amps I₀, current at {@code volts}
 * @param volts V₀, rated voltage
 * @param light what it gives at V₀, as a share of what the lamp that belongs there gives
 */
public record Filament(String name, String a, String b, double amps, double volts, double light)
    implements Element.TwoPole {
  private static final double COLD = 12;
  private static final double POWER = 0.55;
  public static final double LIGHT = 3.4;

  /** (1 − 0.55) / 2. */
  static final double BEND = (1 - POWER) / 2;

  /** Where the cold line and the power law cross, as a share of V₀. */
  static final double CROSSING = Math.pow(COLD, -1 / (1 - POWER));

  /** The lamp that belongs there. */
  public Filament(String name, String a, String b, double amps, double volts) {
    this(name, a, b, amps, volts, 1);
  }

  public Filament {
    if (!(amps > 0) || !(volts > 0)) {
      throw new IllegalArgumentException(name + ": " + amps + " A at " + volts + " V");
    }
  }

  @Override
  public double amps(double across) {
    double v = across / volts;
    double w = v / CROSSING;
    return COLD * amps * v * Math.pow(1 + w * w, -BEND);
  }

  @Override
  public double slope(double across) {
    double w = across / volts / CROSSING;
    double s = 1 + w * w;
    return COLD * amps / volts * Math.pow(s, -BEND) * (1 - 2 * BEND * w * w / s);
  }

  /**
   * The same where the current is known, without another power.
   *
   * @param current at these volts
   */
  double slope(double across, double current) {
    double w = across / volts / CROSSING;
    return Math.abs(w) < 1
        ? slope(across)
        : current / across * (1 - 2 * BEND * w * w / (1 + w * w));
  }

  @Override
  public double start() {
    return amps / volts;
  }

  /** Visible output as a share of that of the right lamp at rated voltage. */
  public double brightness(double across) {
    return light * Math.pow(Math.abs(across) / volts, LIGHT);
  }
}
