package org.jexel.core.check;

import java.util.Optional;

/**
 * A supply that is far from a 12 V battery at rest. Six cells of lead and acid stand between 1.75 V
 * each when they are empty and 2.4 V each while they take charge (10.5 to 14.4 V); what lies well
 * outside is another battery, or none.
 */
public enum SupplyFinding {
  /** Below zero: the leads are the wrong way round. */
  EXCHANGED(-0.5, "The leads are exchanged: red belongs on plus. Take it again.", false),
  /** Nearly nothing. */
  NONE(
      3, "No battery here: the isolator is open, the main fuse is blown, or a post is off.", false),
  /** A cell is dead or the battery is drained. */
  FLAT(
      9,
      "Flat: below 9 V no reading beyond this one tells anything. Charge or replace the battery.",
      false),
  /** A battery at rest and one under charge; also a weak one, which the band judges. */
  USUAL(15, "", false),
  /** More than any charger of a 12 V system gives. */
  OVERCHARGED(
      18,
      "Above any 12 V charger. Engine and charger off; if it stays, the regulator is at fault.",
      false),
  /** Two batteries in series. */
  TWENTY_FOUR(
      Double.POSITIVE_INFINITY,
      "A 24 V vehicle: stop. Nothing of a 12 V trailer may be joined to it.",
      true);

  private final double below;
  private final String words;
  private final boolean stops;

  SupplyFinding(double below, String words, boolean stops) {
    this.below = below;
    this.words = words;
    this.stops = stops;
  }

  /**
   * What the battery's volts say; empty where the check's own band judges them.
   *
   * @param volts as read, engine off
   */
  public static Optional<SupplyFinding> of(double volts) {
    for (SupplyFinding finding : values()) {
      if (volts < finding.below) {
        return finding == USUAL ? Optional.empty() : Optional.of(finding);
      }
    }
    return Optional.empty();
  }

  public String words() {
    return words;
  }

  /** Whether all work on this pair ends here. */
  public boolean stops() {
    return stops;
  }
}
