package org.jexel.core.check;

import java.util.function.Function;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.HarnessPlanner;
import org.jexel.core.network.Lit;
import org.jexel.core.network.Readout;
import org.jexel.core.network.RigNetwork;
import org.jexel.core.network.StateWord;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.NoFigure;

/**
 * How a check gets its reading from a network.
 *
 * @param setup what stands around it
 * @param measure of the reading
 * @param red node of the red lead, or the element that is clamped or watched
 * @param black node of the black lead; empty where an element is clamped or watched
 */
public record Probing(Setup setup, Measure measure, String red, String black) {
  /** More than this between the leads is a live circuit, V. */
  private static final double LIVE = 0.05;

  private static final double OPEN = NoFigure.OPEN.si();

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
          Math.min(OPEN, 1 / Math.max(1 / OPEN, Math.abs(network.amps(RigNetwork.OHMMETER))));
      case GLOW -> Lit.scale(network.brightness(red));
      case TURNING, HUMMING -> Math.abs(network.amps(red)) > PULLS ? 1 : 0;
      default -> throw new IllegalStateException(measure.name());
    };
  }

  /**
   * The reading on a rig whose network gives this in each setup: as {@link #read(Readout)}, and
   * live where ohms are wanted of a pin that the unplugged trailer feeds by itself, as a breakaway
   * switch without its pin does.
   */
  public double readOn(Function<Setup, Readout> rig) {
    return measure == Measure.OHMS && live(rig.apply(Setup.rig(StateWord.UNPLUGGED)))
        ? NoFigure.LIVE.si()
        : read(rig.apply(setup));
  }

  private boolean live(Readout unplugged) {
    String pin = "plug_" + HarnessPlanner.id(setup.pin());
    String earth = "plug_" + HarnessPlanner.id(PinFunction.EARTH);
    return Math.abs(unplugged.volts(pin, earth)) > LIVE;
  }
}
