package org.jexel.core.rig;

/** What a small battery on a trailer is made of. */
public enum BatteryChemistry implements Option {
  LEAD_ACID("Sealed lead-acid"),
  LITHIUM_IRON("Lithium iron phosphate");

  private final String label;

  BatteryChemistry(String label) {
    this.label = label;
  }

  @Override
  public String label() {
    return label;
  }
}
