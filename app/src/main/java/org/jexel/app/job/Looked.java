package org.jexel.app.job;

/**
 * What somebody looks at, for the Towline.
 *
 * @param card the open card, or the check that is taken
 * @param suspected whether to draw what the readings make most likely, not the rig as wired
 */
public record Looked(String card, boolean suspected) {
  /** At a card, on the rig as wired. */
  public static Looked at(String card) {
    return new Looked(card, false);
  }
}
