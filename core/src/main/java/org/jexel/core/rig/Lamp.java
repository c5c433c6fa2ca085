package org.jexel.core.rig;

/**
 * A lamp on the trailer.
 *
 * @param slot its name on this trailer, letters, digits and hyphens
 * @param role what it is for
 * @param side which side it hangs on
 * @param x behind the ball, m
 * @param y left of the middle, m
 * @param technology filament or LED
 * @param state present, wanted, or left out
 * @param reason why it was offered, or "entered by hand"
 */
public record Lamp(
    String slot,
    LampRole role,
    Side side,
    double x,
    double y,
    LampTechnology technology,
    State state,
    String reason) {

  /** Whether a lamp hangs there. */
  public enum State implements Option {
    PRESENT("There"),
    WANTED("To be fitted"),
    LEFT_OUT("Left out");

    private final String label;

    State(String label) {
      this.label = label;
    }

    @Override
    public String label() {
      return label;
    }
  }

  public boolean counts() {
    return state != State.LEFT_OUT;
  }

  public Lamp with(State newState, LampTechnology newTechnology) {
    return new Lamp(slot, role, side, x, y, newTechnology, newState, reason);
  }
}
