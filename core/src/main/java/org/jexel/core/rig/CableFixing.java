package org.jexel.core.rig;

/** What the breakaway cable hangs on, on the vehicle. */
public enum CableFixing implements Option {
  OWN_EYE("An eye of its own on the vehicle", ""),
  FRAME("The vehicle's frame or cross member", ""),
  CHAIN(
      "A safety chain or its hook",
      "A chain that comes off its eye leaves with the trailer and takes the cable along: the pin is never pulled."),
  BALL_MOUNT(
      "The ball mount or its pin",
      "The mount can slip out of the vehicle with the ball still in the coupler: the trailer then takes the cable along, and the pin is never pulled."),
  COUPLER(
      "The coupler or the drawbar",
      "It belongs to the trailer and leaves with it: nothing would pull the pin."),
  BUMPER(
      "A bumper or a trim part", "It is not made to be pulled: it may tear before the pin comes.");

  private final String label;
  private final String refused;

  CableFixing(String label, String refused) {
    this.label = label;
    this.refused = refused;
  }

  /** Why it is no place for the cable; empty where it may hang there. */
  public String refused() {
    return refused;
  }

  @Override
  public String label() {
    return label;
  }
}
