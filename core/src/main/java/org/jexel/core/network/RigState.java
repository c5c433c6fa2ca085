package org.jexel.core.network;

import java.util.Set;
import org.jexel.core.connector.PinFunction;

/**
 * What is switched on while a reading is taken.
 *
 * @param lights functions that the vehicle feeds
 * @param output controller's output share: gain share × lever or pedal demand, 0–1
 * @param running engine running
 * @param plugged plug in the socket
 */
public record RigState(Set<PinFunction> lights, double output, boolean running, boolean plugged) {
  public RigState {
    lights = Set.copyOf(lights);
    if (!(output >= 0 && output <= 1)) {
      throw new IllegalArgumentException("output share " + output);
    }
  }
}
