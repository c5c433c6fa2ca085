package org.jexel.core.network;

/**
 * An isolating diode by Shockley's law, I = I_s·(exp(V/(n·V_t)) − 1), with n and I_s such that the
 * stated forward voltage stands at 10 A. Above that it goes on along its tangent, so that no
 * iteration meets an overflow.
 *
 * @param a anode
 * @param b cathode
 * @param forward voltage at 10 A: 0.7 V silicon, 0.4 V Schottky
 */
public record Diode(String name, String a, String b, double forward) implements Element.TwoPole {
  public static final double SILICON_VOLTS = 0.7;
  public static final double SCHOTTKY_VOLTS = 0.4;

  /** Current at which the forward voltage is told, A. */
  static final double AT_AMPS = 10;

  /** k·T/q at 27 °C, V. */
  static final double THERMAL_VOLTS = 1.380649e-23 * 300.15 / 1.602176634e-19;

  /** The forward voltage in units of n·V_t. */
  private static final double STEEPNESS = 15;

  /** In the same units, where the law goes on as a straight line: about 500 A. */
  private static final double STRAIGHT = 19;

  /** Saturation current I_s, A. */
  static final double SATURATION = AT_AMPS / Math.expm1(STEEPNESS);

  public Diode {
    if (!(forward > 0)) {
      throw new IllegalArgumentException(name + ": forward voltage " + forward + " V");
    }
  }

  /** Emission coefficient n. */
  double emission() {
    return forward / (STEEPNESS * THERMAL_VOLTS);
  }

  @Override
  public double amps(double across) {
    double u = across * STEEPNESS / forward;
    return u <= STRAIGHT
        ? SATURATION * Math.expm1(u)
        : SATURATION * (Math.expm1(STRAIGHT) + Math.exp(STRAIGHT) * (u - STRAIGHT));
  }

  @Override
  public double slope(double across) {
    double u = across * STEEPNESS / forward;
    return SATURATION * Math.exp(Math.min(u, STRAIGHT)) * STEEPNESS / forward;
  }

  @Override
  public double start() {
    return AT_AMPS / forward;
  }
}
