package org.jexel.core.rig;

import java.util.Locale;

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
 * @param placed whether somebody put it there; else its place follows the trailer's outline
 */
public record Lamp(
    String slot,
    LampRole role,
    Side side,
    double x,
    double y,
    LampTechnology technology,
    State state,
    String reason,
    boolean placed) {

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

  /** Its name in a network: lower-case letters, digits and _. */
  public String node() {
    return slot.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]", "_");
  }

  public boolean counts() {
    return state != State.LEFT_OUT;
  }

  public Lamp with(State newState, LampTechnology newTechnology) {
    return new Lamp(slot, role, side, x, y, newTechnology, newState, reason, placed);
  }

  /**
   * The same lamp put somewhere by hand. A rear lamp keeps its side, which decides what it shows;
   * any other lamp is on the side where it hangs.
   */
  public Lamp at(double newX, double newY) {
    boolean keeps = role == LampRole.COMBINED || newY == 0;
    Side newSide = keeps ? side : newY > 0 ? Side.LEFT : Side.RIGHT;
    return new Lamp(slot, role, newSide, newX, newY, technology, state, reason, true);
  }
}
