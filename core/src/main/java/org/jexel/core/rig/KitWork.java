package org.jexel.core.rig;

/** What is renewed on a breakaway that stays. */
public enum KitWork implements Option {
  NOTHING("Nothing"),
  SWITCH("The switch with its cable"),
  BATTERY("The battery"),
  BOTH("Switch and battery");

  private final String label;

  KitWork(String label) {
    this.label = label;
  }

  @Override
  public String label() {
    return label;
  }

  public boolean ofTheSwitch() {
    return this == SWITCH || this == BOTH;
  }

  public boolean ofTheBattery() {
    return this == BATTERY || this == BOTH;
  }
}
