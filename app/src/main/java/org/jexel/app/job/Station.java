package org.jexel.app.job;

/** The seven stations of a job, in working order. */
public enum Station {
  RIG("Rig"),
  HARNESS("Harness"),
  CAB("Cab"),
  BENCH("Bench"),
  BREAKAWAY("Breakaway"),
  ROAD("Road"),
  HANDOVER("Handover");

  private final String label;

  Station(String label) {
    this.label = label;
  }

  public String label() {
    return label;
  }

  public int number() {
    return ordinal() + 1;
  }

  public String path() {
    return name().toLowerCase(java.util.Locale.ROOT);
  }
}
