package org.jexel.core.road;

/**
 * The next act on the road.
 *
 * @param act what to do
 * @param gain the gain to do it at; NaN when there is none
 * @param lower highest gain known not to lock; NaN if none yet
 * @param upper lowest gain known to lock; NaN if none yet
 * @param reason in a sentence
 */
public record GainAdvice(Act act, double gain, double lower, double upper, String reason) {
  /** Kinds of advice. */
  public enum Act {
    TRY("Try"),
    CONFIRM("Confirm"),
    REPEAT("Repeat"),
    SETTLE("Settle on"),
    LOOK_FOR_FAULT("Look for a fault");

    private final String label;

    Act(String label) {
      this.label = label;
    }

    public String label() {
      return label;
    }
  }
}
