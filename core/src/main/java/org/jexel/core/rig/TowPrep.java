package org.jexel.core.rig;

/** What the vehicle's maker prepared for towing. */
public enum TowPrep implements Option {
  NONE("Nothing"),
  FOUR_WAY("4-way only"),
  SEVEN_WAY("7-way socket"),
  CONTROLLER_PLUG("7-way and a plug for a controller"),
  BUILT_IN("Built-in controller");

  private final String label;

  TowPrep(String label) {
    this.label = label;
  }

  @Override
  public String label() {
    return label;
  }
}
