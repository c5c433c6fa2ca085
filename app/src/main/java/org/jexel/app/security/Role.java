package org.jexel.app.security;

/** What a person may do. */
public enum Role {
  OWNER("Owner"),
  ELECTRICIAN("Electrician"),
  VIEWER("Viewer");

  private final String label;

  Role(String label) {
    this.label = label;
  }

  public String label() {
    return label;
  }

  public boolean mayChange() {
    return this != VIEWER;
  }
}
