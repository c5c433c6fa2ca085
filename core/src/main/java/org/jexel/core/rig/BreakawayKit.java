package org.jexel.core.rig;

/** What applies the brakes when the trailer comes off. */
public enum BreakawayKit implements Option {
  NONE("None"),
  OWN_BATTERY("Own box and battery"),
  HOUSE_BATTERY("House battery");

  private final String label;

  BreakawayKit(String label) {
    this.label = label;
  }

  @Override
  public String label() {
    return label;
  }
}
