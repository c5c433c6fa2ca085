package org.jexel.core.check;

import org.jexel.core.network.Lit;
import org.jexel.core.network.Readout;
import org.jexel.core.network.RigNetwork;
import org.jexel.core.quantity.Measure;

/**
 * How a check gets its reading from a network.
 *
 * @param setup what stands around it
 * @param measure of the reading
 * @param red node of the red lead, or the element that is clamped or watched
 * @param black node of the black lead; empty where an element is clamped or watched
 */
public record Probing(Setup setup, Measure measure, String red, String black) {
  /** What a meter shows instead of an open circuit, Ω. */
  public static final double OPEN_OHMS = 1e6;

  /** A magnet that draws so much pulls hard enough to be felt or heard, A. */
  private static final double PULLS = 0.8;

  /**
   * The reading that this network gives, SI; for words their place in the measure's list, in
   * between where the eye might say either.
   */
  public double read(Readout network) {
    return switch (measure) {
      case VOLTS -> network.volts(red, black);
      case AMPS -> Math.abs(network.amps(red));
      case OHMS ->
          Math.min(
              OPEN_OHMS, 1 / Math.max(1 / OPEN_OHMS, Math.abs(network.amps(RigNetwork.OHMMETER))));
      case GLOW -> Lit.scale(network.brightness(red));
      case TURNING, HUMMING -> Math.abs(network.amps(red)) > PULLS ? 1 : 0;
      default -> throw new IllegalStateException(measure.name());
    };
  }
}
