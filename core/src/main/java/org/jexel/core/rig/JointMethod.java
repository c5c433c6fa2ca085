package org.jexel.core.rig;

/** How conductors are joined on the trailer, with the resistance of one healthy joint, Ω. */
public enum JointMethod implements Option {
  CRIMP("Crimp with sealed sleeve", 0.001, true),
  SOLDER("Solder and shrink", 0.0005, true),
  RINGS_IN_BOX("Rings in the box, home runs", 0.001, true),
  TAP("Tap connectors, dry cab only", 0.005, false);

  private final String label;
  private final double ohms;
  private final boolean weatherproof;

  JointMethod(String label, double ohms, boolean weatherproof) {
    this.label = label;
    this.ohms = ohms;
    this.weatherproof = weatherproof;
  }

  @Override
  public String label() {
    return label;
  }

  public double ohms() {
    return ohms;
  }

  /** Whether it may sit outside the cab. */
  public boolean weatherproof() {
    return weatherproof;
  }
}
