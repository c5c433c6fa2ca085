package org.jexel.core.network;

/**
 * An LED lamp with its regulator: nothing below 7 V and against its polarity, constant current from
 * 10.5 V on, smooth between. A leak of 0.1 µS stands for its protection.
 *
 * @param a plus terminal
 * @param b minus terminal
 * @param amps regulated current
 * @param light what it gives then, as a share of what the lamp that belongs there gives
 */
public record Led(String name, String a, String b, double amps, double light)
    implements Element.TwoPole {
  public static final double DARK_VOLTS = 7;
  public static final double FULL_VOLTS = 10.5;
  static final double LEAK_SIEMENS = 1e-7;

  /** The lamp that belongs there. */
  public Led(String name, String a, String b, double amps) {
    this(name, a, b, amps, 1);
  }

  public Led {
    if (!(amps > 0)) {
      throw new IllegalArgumentException(name + ": " + amps + " A");
    }
  }

  @Override
  public double amps(double across) {
    return amps * open(across) + LEAK_SIEMENS * across;
  }

  @Override
  public double slope(double across) {
    return amps
            * SmoothStep.slope((across - DARK_VOLTS) / (FULL_VOLTS - DARK_VOLTS))
            / (FULL_VOLTS - DARK_VOLTS)
        + LEAK_SIEMENS;
  }

  @Override
  public double start() {
    return amps / FULL_VOLTS;
  }

  /** Visible output as a share of the right lamp's regulated one. */
  public double brightness(double across) {
    return light * open(across);
  }

  /** Where the regulator stands between shut, 0, and open, 1. */
  public static double regulator(double across) {
    return Math.max(0, Math.min(1, (across - DARK_VOLTS) / (FULL_VOLTS - DARK_VOLTS)));
  }

  /** How much of the current it lets pass, 0 to 1. */
  private static double open(double across) {
    return SmoothStep.at(regulator(across));
  }
}
