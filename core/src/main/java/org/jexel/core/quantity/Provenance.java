package org.jexel.core.quantity;

/** Where a figure comes from: of the rig as it is, or chosen for the plan. */
public enum Provenance {
  MEASURED("measured"),
  PLATE("from the plate"),
  CHOSEN("chosen"),
  ASSUMED("assumed");

  private final String label;

  Provenance(String label) {
    this.label = label;
  }

  public String label() {
    return label;
  }
}
