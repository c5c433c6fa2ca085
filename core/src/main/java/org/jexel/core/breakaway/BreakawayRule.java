package org.jexel.core.breakaway;

import java.util.OptionalDouble;

/**
 * What the workshop goes by where it works; whether a rig is legal is for the local law to say.
 *
 * @param requiredFrom permitted mass of a trailer from which on the place asks for a breakaway, kg;
 *     empty while nobody has entered it
 * @param proofMonths after which the pull test is due again
 * @param batteryYears after which the battery is due
 */
public record BreakawayRule(OptionalDouble requiredFrom, int proofMonths, int batteryYears) {
  /** As the usual handbooks have it, and no threshold. */
  public static final BreakawayRule USUAL = new BreakawayRule(OptionalDouble.empty(), 12, 5);

  /**
   * @param permitted mass of a trailer, kg
   */
  public boolean asksFor(double permitted) {
    return requiredFrom.isPresent() && permitted >= requiredFrom.getAsDouble();
  }

  public BreakawayRule {
    if (proofMonths < 1 || batteryYears < 1) {
      throw new IllegalArgumentException(proofMonths + " months, " + batteryYears + " years");
    }
  }
}
