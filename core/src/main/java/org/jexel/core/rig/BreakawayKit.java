package org.jexel.core.rig;

/** What applies the brakes when the trailer comes off. */
public enum BreakawayKit implements Option {
  NONE("None"),
  OWN_BATTERY("Own box and battery"),
  CHARGED_BY_HAND("Own box, charged by hand"),
  HOUSE_BATTERY("House battery");

  private final String label;

  BreakawayKit(String label) {
    this.label = label;
  }

  /** Whether its battery is its own, in a box with the kit. */
  public boolean ownBox() {
    return this == OWN_BATTERY || this == CHARGED_BY_HAND;
  }

  /** Whether the vehicle keeps its battery up. */
  public boolean charged() {
    return this == OWN_BATTERY || this == HOUSE_BATTERY;
  }

  @Override
  public String label() {
    return label;
  }
}
