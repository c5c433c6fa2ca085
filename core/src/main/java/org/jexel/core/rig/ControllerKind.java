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

  @Override
  public String label() {
    return label;
  }
}
