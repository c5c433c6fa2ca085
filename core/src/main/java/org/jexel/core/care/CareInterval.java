package org.jexel.core.care;

import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.UnitSystem;

/**
 * After how long and how far something is due again, whichever comes first.
 *
 * @param months empty where time alone does not make it due
 * @param metres empty where distance alone does not
 */
public record CareInterval(OptionalInt months, OptionalDouble metres) {
  private static final int MOST_MONTHS = 240;
  private static final double MOST_METRES = 1e9;

  public CareInterval {
    if (months.isEmpty() && metres.isEmpty()) {
      throw new IllegalArgumentException("neither a time nor a distance");
    }
    if (months.isPresent() && (months.getAsInt() < 1 || months.getAsInt() > MOST_MONTHS)) {
      throw new IllegalArgumentException(months.getAsInt() + " months");
    }
    if (metres.isPresent() && !(metres.getAsDouble() >= 1 && metres.getAsDouble() <= MOST_METRES)) {
      throw new IllegalArgumentException(metres.getAsDouble() + " m");
    }
  }

  static CareInterval of(int months) {
    return new CareInterval(OptionalInt.of(months), OptionalDouble.empty());
  }

  static CareInterval of(int months, double metres) {
    return new CareInterval(OptionalInt.of(months), OptionalDouble.of(metres));
  }

  /** As in “12 months or 20 000 km”. */
  public String words(UnitSystem units) {
    String time = months.isPresent() ? Phrase.count(months.getAsInt(), "month") : "";
    String way = metres.isPresent() ? Measure.WAY.text(metres.getAsDouble(), units) : "";
    return time.isEmpty() || way.isEmpty() ? time + way : time + " or " + way;
  }
}
