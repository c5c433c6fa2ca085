package org.jexel.core.rig;

/** What a lamp is for. */
public enum LampRole implements Option {
  COMBINED("Rear lamp"),
  PLATE("Plate lamp"),
  SIDE_MARKER("Side marker"),
  FRONT_MARKER("Front marker"),
  REAR_CLEARANCE("Rear clearance"),
  REVERSE("Reverse lamp");

  private final String label;

  LampRole(String label) {
    this.label = label;
  }

  @Override
  public String label() {
    return label;
  }
}
