package org.jexel.core.rig;

/** Where the vehicle's battery sits. */
public enum BatteryPlace implements Option {
  FRONT_LEFT("Front, left"),
  FRONT_RIGHT("Front, right"),
  REAR("Rear"),
  UNDER_SEAT("Under a seat");

  private final String label;

  BatteryPlace(String label) {
    this.label = label;
  }

  @Override
  public String label() {
    return label;
  }
}
