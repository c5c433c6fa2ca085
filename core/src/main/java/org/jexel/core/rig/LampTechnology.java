package org.jexel.core.rig;

/** How a lamp makes its light, and what a rear lamp of the kind is assumed to draw, W at 12.8 V. */
public enum LampTechnology implements Option {
  FILAMENT("Filament", 8, 27, "a usual bulb of two filaments; one of 21/5 W is as common"),
  LED("LED", 0.64, 3.2, "a usual diode lamp: 0.05 A and 0.25 A");

  private final String label;
  private final Assumption tail;
  private final Assumption stop;

  LampTechnology(String label, double tail, double stop, String reason) {
    this.label = label;
    this.tail = Assumption.of(tail, reason);
    this.stop = Assumption.of(stop, reason);
  }

  /** Of a rear lamp's tail. */
  public Assumption tail() {
    return tail;
  }

  /** Of a rear lamp's stop or turn. */
  public Assumption stop() {
    return stop;
  }

  @Override
  public String label() {
    return label;
  }
}
