package org.jexel.core.rig;

/** How lamp current comes back. */
public enum LampReturn implements Option {
  OWN_CONDUCTOR("Own conductor"),
  FRAME("Through the frame");

  private final String label;

  LampReturn(String label) {
    this.label = label;
  }

  @Override
  public String label() {
    return label;
  }
}
