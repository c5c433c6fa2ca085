package org.jexel.core.connector;

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

  private final String label;

  PinFunction(String label) {
    this.label = label;
  }

  public String label() {
    return label;
  }
}
