package org.jexel.core.rig;

/** What feeds the lamp pins of the vehicle's socket. */
public enum LampFeed implements Option {
  DIRECT("Its own lamp circuits, directly"),
  MODULE("A converter or isolating module"),
  BUS("A module on its bus");

  private final String label;

  LampFeed(String label) {
    this.label = label;
  }

  /** Whether its own bulbs hang on the socket's pins, and are a path to earth. */
  public boolean sharesBulbs() {
    return this == DIRECT;
  }

  @Override
  public String label() {
    return label;
  }
}
