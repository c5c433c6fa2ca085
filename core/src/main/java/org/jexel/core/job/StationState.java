package org.jexel.core.job;

import java.util.Locale;
import org.jexel.core.quantity.Verdict;

/** How a station stands. */
public enum StationState {
  NOT_YET("not yet"),
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

  public String label() {
    return label;
  }

  /** Name of the style and of the shape that goes with it. */
  public String style() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }
}
