package org.jexel.core.quantity;

/** Which units a person reads and writes. The computation itself is always in SI. */
public enum UnitSystem {
  METRIC("Metric"),
  US("US customary");

  private final String label;

  UnitSystem(String label) {
    this.label = label;
  }

  public String label() {
    return label;
  }

  public UnitSystem other() {
    return this == METRIC ? US : METRIC;
  }
}
