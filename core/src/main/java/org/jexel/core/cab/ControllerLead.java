package org.jexel.core.cab;

/** What a lead of a brake controller is for. */
public enum ControllerLead {
  SUPPLY("supply"),
  EARTH("earth"),
  STOP("stop signal"),
  BRAKE("brake output");

  private final String label;

  ControllerLead(String label) {
    this.label = label;
  }

  public String label() {
    return label;
  }
}
