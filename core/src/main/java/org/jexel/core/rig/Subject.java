package org.jexel.core.rig;

/** Which part of the rig a figure belongs to. */
public enum Subject {
  TOW("Tow vehicle"),
  TRAILER("Trailer"),
  CONTROLLER("Controller");

  private final String label;

  Subject(String label) {
    this.label = label;
  }

  public String label() {
    return label;
  }
}
