package org.jexel.core.connector;

import java.util.List;

/** The job that one conductor of a trailer connection does. */
public enum PinFunction {
  EARTH("earth"),
  TAIL("tail"),
  LEFT("left"),
  RIGHT("right"),
  STOP("stop"),
  REVERSE("reverse"),
  BRAKE("brake"),
  CHARGE("charge");

  /** What feeds lamps. */
  public static final List<PinFunction> LIGHTS = List.of(TAIL, LEFT, RIGHT, STOP, REVERSE);

  private final String label;

  PinFunction(String label) {
    this.label = label;
  }

  public String label() {
    return label;
  }

  /** What of a lamp it lights, beside the lamp's own name, which says its side already. */
  public String lit() {
    return this == LEFT || this == RIGHT ? "indicator" : label;
  }
}
