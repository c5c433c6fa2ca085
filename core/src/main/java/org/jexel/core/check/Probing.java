package org.jexel.core.check;

import org.jexel.core.harness.Load;
import org.jexel.core.network.Lit;
import org.jexel.core.network.Readout;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.NoFigure;

/**
 * How a check gets its reading from a network.
 *
 * @param setup what stands around it
 * @param measure of the reading
 * @param red node of the red lead, or the part that is clamped, watched, moved or taken off its
 *     leads
 * @param black node of the black lead; empty where red is a part
 */
public record Probing(Setup setup, Measure measure, String red, String black) {
  /** More than this between the leads is a live circuit, V. */
  private static final double LIVE = 0.05;

  private static final double OPEN = NoFigure.OPEN.si();

  /** A magnet that draws so much pulls hard enough to be felt or heard, A. */
  private static final double PULLS = 0.8;

  /** A controller's output that shows that it has understood, V. */
  private static final double AWAKE = 1;

  /** A sound wheel's word where both sides of it are wrong. */
  private static final double IN_THE_MIDDLE = 1;

  /** Through the signal input of an actuator that answers, a volt across 10 kΩ, A. */
  private static final double SIGNAL = 1e-4;

  /**
   * The reading that this network gives, SI; for words their place in the measure's list, in
   * between where the eye might say either.
   */
  public double read(Readout network) {
    return switch (measure) {
      case VOLTS -> network.volts(red, black);
      case AMPS -> Math.abs(network.amps(red));
      case OHMS ->
          Math.min(OPEN, Math.abs(ofPart() ? network.ohms(red) : network.ohms(red, black)));
      case GLOW -> Lit.scale(network.brightness(red));
      // What its rig draws, and what is loose or wrong on it, tells these: see FaultyRig.
      case FUSE, MOVING, COMING, KIND, STAMP -> 0;
      case WAKING -> network.volts(red, black) > AWAKE ? 1 : 0;
      case TURNING, HUMMING, GRIPPING -> works(network) ? 1 : 0;
      case ADJUSTING, LEANING, HEAT, PULLING -> IN_THE_MIDDLE;
      case PRESSING -> works(network) ? 2 : 0;
      case PLAY, TYRE, LININGS, MAGNET_FACE, LEVER -> 0;
      default -> throw new IllegalStateException(measure.name());
    };
  }

  /** Whether an ohmmeter is put between two points, which something may feed. */
  boolean measuresOhms() {
    return measure == Measure.OHMS && !ofPart();
  }

  /**
   * Whether the brake answers. An actuator takes its own supply for the pump, and holds the wheels
   * for as long as there is a signal; a breakaway switch gives it both.
   */
  private boolean works(Readout network) {
    if (!red.equals(Load.ACTUATOR)) {
      return Math.abs(network.amps(red)) > PULLS;
    }
    boolean signal = Math.abs(network.amps(red)) > SIGNAL;
    boolean fed = Math.abs(network.amps(Load.ACTUATOR_SUPPLY)) > PULLS;
    return signal && (fed || measure == Measure.TURNING);
  }

  private boolean ofPart() {
    return black.isEmpty();
  }

  /** Whether what stands between its leads drives a current through an ohmmeter. */
  boolean isLive(Readout unplugged) {
    return Math.abs(unplugged.volts(red, black)) > LIVE;
  }
}
