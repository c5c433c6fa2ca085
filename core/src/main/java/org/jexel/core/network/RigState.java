package org.jexel.core.network;

import java.util.Set;
import org.jexel.core.connector.Connector;
import org.jexel.core.connector.PinFunction;

/**
 * What is switched on while a reading is taken.
 *
 * @param on the words that hold
 * @param gain controller's gain as a share of its scale, 0–1; 0 is off
 * @param pedal demand while the pedal is held, 0–1
 * @param lever demand while the lever is held, 0–1
 */
public record RigState(Set<StateWord> on, double gain, double pedal, double lever) {
  public RigState {
    on = Set.copyOf(on);
    share("gain", gain);
    share("pedal", pedal);
    share("lever", lever);
  }

  private static void share(String what, double value) {
    if (!(value >= 0 && value <= 1)) {
      throw new IllegalArgumentException(what + " share " + value);
    }
  }

  /** Everything that is held is held fully, at the top of the gain. */
  public static RigState of(StateWord... on) {
    return new RigState(Set.of(on), 1, 1, 1);
  }

  public RigState withGain(double share) {
    return new RigState(on, share, pedal, lever);
  }

  public boolean is(StateWord word) {
    return on.contains(word);
  }

  /** Controller's output share: gain × the greater of pedal and lever. */
  public double output() {
    return Math.max(is(StateWord.PEDAL) ? gain * pedal : 0, byLever());
  }

  /** Output share of a controller that no stop signal reaches. */
  double byLever() {
    return is(StateWord.LEVER) ? gain * lever : 0;
  }

  /** Whether the vehicle feeds a pin; a pair without a stop pin stops with both turn lamps. */
  public boolean feeds(PinFunction function, Connector connector) {
    boolean stop = is(StateWord.STOP) || is(StateWord.PEDAL);
    boolean combined = stop && !connector.has(PinFunction.STOP);
    return switch (function) {
      case EARTH, CHARGE -> true;
      case TAIL -> is(StateWord.TAIL);
      case LEFT -> is(StateWord.LEFT) || is(StateWord.HAZARD) || combined;
      case RIGHT -> is(StateWord.RIGHT) || is(StateWord.HAZARD) || combined;
      case STOP -> stop;
      case REVERSE -> is(StateWord.REVERSE);
      case BRAKE -> output() > 0;
    };
  }
}
