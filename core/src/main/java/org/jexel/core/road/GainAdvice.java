package org.jexel.core.road;

import java.util.List;

/**
 * The next act on the road.
 *
 * @param act what to do
 * @param gain the gain to do it at; NaN when there is none
 * @param lower highest gain that was driven without a lock; NaN if none yet
 * @param upper lowest gain that locked; NaN if none yet
 * @param reason in a sentence
 * @param chances how likely each mark locks, by all that is known
 */
public record GainAdvice(
    Act act, double gain, double lower, double upper, String reason, List<Chance> chances) {
  public GainAdvice {
    chances = List.copyOf(chances);
  }

  /** The same knowledge, and a fault to look for before anything else. */
  public GainAdvice instead(String why) {
    return new GainAdvice(Act.LOOK_FOR_FAULT, Double.NaN, lower, upper, why, chances);
  }

  /**
   * @param gain a mark of the scale
   * @param locks 0 to 1
   */
  public record Chance(double gain, double locks) {}

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
