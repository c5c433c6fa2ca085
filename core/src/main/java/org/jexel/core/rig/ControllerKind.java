package org.jexel.core.rig;

/** How the brake controller decides its output. */
public enum ControllerKind implements Option {
  BUILT_IN("Built in"),
  UNDER_DASH("Under-dash, proportional"),
  REMOTE_KNOB("Remote knob, hidden module"),
  TIMED("Timed"),
  PRESSURE("Hydraulic or pedal sensing"),
  WIRELESS("On the trailer or socket, wireless"),
  NONE("No controller");

  private final String label;

  ControllerKind(String label) {
    this.label = label;
  }

  /** Senses the rig's own deceleration, so the way it is mounted matters. */
  public boolean sensesMotion() {
    return this == UNDER_DASH || this == REMOTE_KNOB || this == WIRELESS;
  }

  /** Wakes by a stop signal that somebody has to find; the others read the vehicle or the plug. */
  public boolean takesStopSignal() {
    return this == UNDER_DASH || this == REMOTE_KNOB || this == TIMED;
  }

  @Override
  public String label() {
    return label;
  }
}
