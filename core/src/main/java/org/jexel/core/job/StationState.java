package org.jexel.core.job;

import java.util.Locale;
import org.jexel.core.quantity.Verdict;

/**
 * How a station stands. It holds by what was read, ticked or tried at it; what only the computation
 * says is computed.
 */
public enum StationState {
  NOT_YET("not yet"),
  COMPUTED("computed"),
  UNDER_WAY("under way"),
  HOLDS("holds"),
  WATCH("watch"),
  FAILS("fails");

  private final String label;

  StationState(String label) {
    this.label = label;
  }

  static StationState of(Verdict verdict) {
    return switch (verdict) {
      case NOT_YET -> NOT_YET;
      case HOLDS -> HOLDS;
      case WATCH -> WATCH;
      case FAILS -> FAILS;
    };
  }

  /** A verdict that nothing was read for: what fails or is to be watched does so all the same. */
  static StationState computed(Verdict verdict) {
    return verdict == Verdict.HOLDS ? COMPUTED : of(verdict);
  }

  /**
   * @param proved whether something was read, ticked or tried for it
   */
  public static StationState of(Verdict verdict, boolean proved) {
    return proved ? of(verdict) : computed(verdict);
  }

  /** Whether nothing at it is open or wrong. */
  boolean stands() {
    return this == HOLDS || this == WATCH || this == COMPUTED;
  }

  public String label() {
    return label;
  }

  /** Name of the style and of the shape that goes with it. */
  public String style() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }
}
