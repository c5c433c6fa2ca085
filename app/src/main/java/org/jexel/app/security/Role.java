package org.jexel.app.security;

/** What a person may do. */
public enum Role {
  OWNER,
  ELECTRICIAN,
  VIEWER;

  public boolean mayChange() {
    return this != VIEWER;
  }
}
