package org.jexel.core.harness;

/** Where a conductor runs; it sets the least size that a chassis run may have. */
public enum Duty {
  VEHICLE("vehicle, battery to socket"),
  CORD("cord, plug to box"),
  RUN("along the frame"),
  TRUNK("brake trunk"),
  ACROSS("across the axle"),
  BREAKAWAY("breakaway switch");

  private final String label;

  Duty(String label) {
    this.label = label;
  }

  public String label() {
    return label;
  }
}
