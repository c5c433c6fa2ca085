package org.jexel.core.rig;

/** A plain yes or no. */
public enum YesNo implements Option {
  YES("Yes"),
  NO("No");

  private final String label;

  YesNo(String label) {
    this.label = label;
  }

  @Override
  public String label() {
    return label;
  }
}
