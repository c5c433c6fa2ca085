package org.jexel.core.harness;

import java.util.Optional;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.rig.Side;

/**
 * Which conductors of a harness make one circuit of its table, of one size on each duty.
 *
 * @param way what they do
 * @param function the job of the conductor
 * @param side that they serve; empty for both
 */
public record Branch(Way way, PinFunction function, Optional<Side> side) {

  /** What a conductor does for its circuit. */
  public enum Way {
    /** From the source to what it feeds; of the earth, back to the source. */
    FEED(""),
    /** From lamps to the earth at the box. */
    RETURN("return"),
    /** From magnets to the earth at the box. */
    BRAKE_RETURN("brake return"),
    /** What closes two runs of the brakes to a ring. */
    RING("brake, ring"),
    RING_RETURN("brake return, ring"),
    /** From the breakaway's battery over its switch to the brakes. */
    BREAKAWAY("breakaway");

    private final String label;

    Way(String label) {
      this.label = label;
    }
  }

  static Branch of(Way way, PinFunction function) {
    return new Branch(way, function, Optional.empty());
  }

  static Branch feed(PinFunction function) {
    return of(Way.FEED, function);
  }

  Branch on(Side served) {
    return new Branch(way, function, Optional.of(served));
  }

  /** For people. */
  public String label() {
    String name = way == Way.FEED ? function.label() : way.label;
    return name + side.map(served -> ", " + served.label()).orElse("");
  }
}
