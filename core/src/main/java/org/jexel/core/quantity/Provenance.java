package org.jexel.core.quantity;

/** Where a figure comes from. The order is that of trust. */
public enum Provenance {
  MEASURED("measured"),
  PLATE("from the plate"),
  ASSUMED("assumed");

  private final String label;

  Provenance(String label) {
    this.label = label;
  }

  public String label() {
    return label;
  }
}
