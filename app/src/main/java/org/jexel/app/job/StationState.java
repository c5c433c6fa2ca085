package org.jexel.app.job;

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

  public String label() {
    return label;
  }

  /** Name of the style and of the shape that goes with it. */
  public String style() {
    return name().toLowerCase(java.util.Locale.ROOT).replace('_', '-');
  }
}
