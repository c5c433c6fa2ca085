package org.jexel.core.road;

import java.time.LocalDate;
import java.util.List;
import org.jexel.core.quantity.Phrase;

/**
 * Linings pull weakly while they are cold, and a third weaker while they are new or rusty: they are
 * warmed, or bedded in, before a stop is judged.
 *
 * @param made gentle stops of this day; of new linings those of every day
 * @param needed so many: starting values
 * @param bedding whether the linings are new to their drums
 */
public record WarmUp(int made, int needed, boolean bedding) {
  private static final int WARM = 5;
  private static final int BEDDED = 20;

  /**
   * @param bedding whether brakes were built or mended in this job
   */
  public static WarmUp of(List<Said> said, LocalDate day, boolean bedding) {
    int made =
        said.stream()
            .filter(s -> s.what() == Said.What.WARMED)
            .filter(s -> bedding || s.day().equals(day))
            .mapToInt(Said::times)
            .sum();
    return new WarmUp(made, bedding ? BEDDED : WARM, bedding);
  }

  public boolean done() {
    return made >= needed;
  }

  public String words() {
    if (done()) {
      return Phrase.of(
          "%d gentle stops were made: the linings are %s.", made, bedding ? "bedded in" : "warm");
    }
    return Phrase.of(
        bedding
            ? "%d of %d gentle stops made. New linings, and drums that rusted, pull about a third less until they have worn to each other: slow from 50 km/h (30 mph) without locking, a minute apart so that they cool."
            : "%d of %d gentle stops made. Cold linings pull less than warm ones: a few gentle stops first, or the gain is found too high.",
        made,
        needed);
  }
}
