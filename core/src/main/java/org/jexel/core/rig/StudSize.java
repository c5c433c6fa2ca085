package org.jexel.core.rig;

/** Wheel stud thread. */
public enum StudSize implements Option {
  M12("M12 × 1.5"),
  M14("M14 × 1.5"),
  HALF_INCH("1/2 in – 20"),
  NINE_SIXTEENTHS("9/16 in – 18");

  private final String label;

  StudSize(String label) {
    this.label = label;
  }

  @Override
  public String label() {
    return label;
  }
}
