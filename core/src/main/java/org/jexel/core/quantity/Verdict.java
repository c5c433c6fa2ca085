package org.jexel.core.quantity;

import java.util.Collection;

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

  /** Of several that stand for one: the gravest, but not yet while any is open and none fails. */
  public static Verdict ofAll(Collection<Verdict> verdicts) {
    Verdict gravest = verdicts.stream().reduce(NOT_YET, Verdict::and);
    return gravest != FAILS && verdicts.contains(NOT_YET) ? NOT_YET : gravest;
  }

  /** Whether somebody has to look: it fails, or is to be watched. */
  public boolean isWorry() {
    return this == WATCH || this == FAILS;
  }

  /** The graver of two verdicts. */
  public Verdict and(Verdict other) {
    return compareTo(other) >= 0 ? this : other;
  }
}
