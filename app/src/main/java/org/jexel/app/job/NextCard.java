package org.jexel.app.job;

import java.nio.charset.StandardCharsets;
import org.jexel.core.job.Station;
import org.springframework.web.util.UriUtils;

/**
 * The single next act of a job.
 *
 * @param station where it is done
 * @param card the card that it is done on
 * @param field that it asks for; empty where the card says by itself
 * @param text what to do
 * @param waitsFor what it waits for; empty if it can be done now
 */
public record NextCard(Station station, String card, String field, String text, String waitsFor) {
  /** The page on which its card is open. */
  public String address(String ref) {
    String open = UriUtils.encode(card, StandardCharsets.UTF_8);
    return "/jobs/%s/%s?card=%s".formatted(ref, station.path(), open);
  }

  /** Where its card stands on the page. */
  public String anchor() {
    return anchor(card);
  }

  /** Where a card stands on its page. */
  public static String anchor(String card) {
    return "card-" + card.replaceAll("[.+]", "-");
  }
}
