package org.jexel.core.rig;

/** Side of the trailer, in the direction of travel. */
public enum Side {
  LEFT("left"),
  RIGHT("right");

  private final String label;

  Side(String label) {
    this.label = label;
  }

  public String label() {
    return label;
  }

  public Side other() {
    return this == LEFT ? RIGHT : LEFT;
  }

  /** Sign of y. */
  public int sign() {
    return this == LEFT ? 1 : -1;
  }
}
