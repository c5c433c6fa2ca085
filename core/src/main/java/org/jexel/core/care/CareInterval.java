package org.jexel.core.care;

import java.util.OptionalDouble;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.UnitSystem;

/**
 * After how long and how far something is due again, whichever comes first. There is always a time:
 * a distance that nobody reads would never make anything due.
 *
 * @param months after which it is due
 * @param metres empty where distance does not make it due
 */
public record CareInterval(int months, OptionalDouble metres) {
  private static final int MOST_MONTHS = 240;
  private static final double MOST_METRES = 1e9;

  public CareInterval {
    if (months < 1 || months > MOST_MONTHS) {
      throw new IllegalArgumentException(months + " months");
    }
    if (metres.isPresent() && !(metres.getAsDouble() >= 1 && metres.getAsDouble() <= MOST_METRES)) {
      throw new IllegalArgumentException(metres.getAsDouble() + " m");
    }
  }

  static CareInterval of(int months) {
    return new CareInterval(months, OptionalDouble.empty());
  }

  static CareInterval of(int months, double metres) {
    return new CareInterval(months, OptionalDouble.of(metres));
  }

  /** As in “12 months or 20 000 km”. */
  public String words(UnitSystem units) {
    String time = Phrase.count(months, "month");
    return metres.isEmpty() ? time : time + " or " + Measure.WAY.text(metres.getAsDouble(), units);
  }
}
