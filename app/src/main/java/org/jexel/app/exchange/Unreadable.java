package org.jexel.app.exchange;

/** A file that is not in the format that was asked for; the message names the place. */
public final class Unreadable extends Exception {
  private static final long serialVersionUID = 1L;

  public Unreadable(String message) {
    super(message);
  }
}
