package org.jexel.core.job;

import java.util.Locale;

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

  /** From 1, as the keys have it. */
  public int number() {
    return ordinal() + 1;
  }

  /** Its name in an address. */
  public String path() {
    return name().toLowerCase(Locale.ROOT);
  }
}
