package org.jexel.app.job;

/**
 * What somebody looks at, for the Towline.
 *
 * @param card the open card, or the check that is taken
 * @param suspected whether to draw what the readings make most likely, not the rig as wired
 * @param place what the card's own picture stands at: the trailer's turn in rad, the moment of a
 *     stop in s; NaN where it stands at none
 */
public record Looked(String card, boolean suspected, double place) {
  /** At a card, on the rig as wired. */
  public static Looked at(String card) {
    return at(card, Double.NaN);
  }

  /** At a card whose picture stands somewhere. */
  public static Looked at(String card, double place) {
    return new Looked(card, false, place);
  }
}
