package org.jexel.app.job;

import org.jexel.core.job.Station;

/**
 * The single next act of a job.
 *
 * @param station where it is done
 * @param card the card that it is done on
 * @param text what to do
 * @param waitsFor what it waits for; empty if it can be done now
 */
public record NextCard(Station station, String card, String text, String waitsFor) {
  /** Where its card stands on the page. */
  public String anchor() {
    return anchor(card);
  }

  /** Where a card stands on its page. */
  public static String anchor(String card) {
    return "card-" + card.replaceAll("[.+]", "-");
  }
}
