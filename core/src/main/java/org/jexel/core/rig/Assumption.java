package org.jexel.core.rig;

import org.jspecify.annotations.Nullable;

/**
 * The stated default of a field.
 *
 * @param si the number in SI; NaN for a choice
 * @param choice the stored name of the choice; null for a number
 * @param reason why this value stands until somebody looks
 */
public record Assumption(double si, @Nullable String choice, String reason) {

  static Assumption of(double si, String reason) {
    return new Assumption(si, null, reason);
  }

  static Assumption of(Option choice, String reason) {
    return new Assumption(Double.NaN, choice.name(), reason);
  }

  static Assumption of(String choice, String reason) {
    return new Assumption(Double.NaN, choice, reason);
  }
}
