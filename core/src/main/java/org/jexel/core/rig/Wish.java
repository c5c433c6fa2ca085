package org.jexel.core.rig;

/** What the job is to bring about. */
public enum Wish implements Option {
  NEW_BUILD("New build"),
  CONVERT("4-way to 7-way, brakes added"),
  REPLACE_CORD("Replace the cord"),
  ADD_LAMPS("Add lamps"),
  ADD_BREAKAWAY("Add a breakaway"),
  REPAIR("Find and mend a fault"),
  NEW_CONTROLLER("New controller"),
  ANNUAL("Annual check");

  private final String label;

  Wish(String label) {
    this.label = label;
  }

  @Override
  public String label() {
    return label;
  }
}
