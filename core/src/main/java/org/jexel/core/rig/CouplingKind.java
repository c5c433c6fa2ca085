package org.jexel.core.rig;

/** What the trailer hangs on. */
public enum CouplingKind implements Option {
  BALL("Ball behind the vehicle"),
  GOOSENECK("Ball in the bed, gooseneck"),
  FIFTH_WHEEL("Fifth wheel in the bed");

  private final String label;

  CouplingKind(String label) {
    this.label = label;
  }

  @Override
  public String label() {
    return label;
  }

  /** Whether it stands in the vehicle's bed, over its rear axle. */
  public boolean inTheBed() {
    return this != BALL;
  }
}
