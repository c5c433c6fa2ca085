package org.jexel.core.quantity;

/** What the computation says about a figure, a check or a whole station. */
public enum Verdict {
  NOT_YET("not yet"),
  HOLDS("holds"),
  WATCH("watch"),
  FAILS("fails");

  private final String label;

  Verdict(String label) {
    this.label = label;
  }

  public String label() {
    return label;
  }

  /** The graver of two verdicts. */
  public Verdict and(Verdict other) {
    return compareTo(other) >= 0 ? this : other;
  }
}
