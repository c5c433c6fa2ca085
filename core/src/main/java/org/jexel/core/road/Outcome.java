package org.jexel.core.road;

/** What the trailer's wheels did in a test stop. */
public enum Outcome {
  NOTHING("Nothing felt", false),
  LIGHT("Light", false),
  FIRM("Firm", false),
  VERGE("On the verge", false),
  LOCKED("Locked", true);

  private final String label;
  private final boolean locked;

  Outcome(String label, boolean locked) {
    this.label = label;
    this.locked = locked;
  }

  public String label() {
    return label;
  }

  /** Whether it brakes as hard as another, or harder. */
  boolean atLeast(Outcome other) {
    return compareTo(other) >= 0;
  }

  public boolean locked() {
    return locked;
  }
}
