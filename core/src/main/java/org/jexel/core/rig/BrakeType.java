package org.jexel.core.rig;

/** How the trailer's own brakes are worked. */
public enum BrakeType implements Option {
  NONE("No brakes"),
  ELECTRIC("Electric"),
  ELECTRIC_HYDRAULIC("Electric over hydraulic"),
  OVERRUN("Overrun");

  private final String label;

  BrakeType(String label) {
    this.label = label;
  }

  @Override
  public String label() {
    return label;
  }
}
