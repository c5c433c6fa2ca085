package org.jexel.core.rig;

/** How a lamp makes its light. */
public enum LampTechnology implements Option {
  FILAMENT("Filament"),
  LED("LED");

  private final String label;

  LampTechnology(String label) {
    this.label = label;
  }

  @Override
  public String label() {
    return label;
  }
}
