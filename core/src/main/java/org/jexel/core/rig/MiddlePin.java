package org.jexel.core.rig;

import org.jexel.core.connector.PinFunction;

/** What the pin in the middle of a round 6-way connector does; makers differ. */
public enum MiddlePin implements Option {
  CHARGE("Charge (stamped A)", PinFunction.CHARGE),
  BRAKE("Brake (stamped S)", PinFunction.BRAKE);

  private final String label;
  private final PinFunction function;

  MiddlePin(String label, PinFunction function) {
    this.label = label;
    this.function = function;
  }

  @Override
  public String label() {
    return label;
  }

  public PinFunction function() {
    return function;
  }
}
