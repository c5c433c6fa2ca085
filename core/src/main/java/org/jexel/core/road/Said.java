package org.jexel.core.road;

import java.time.Instant;
import java.time.LocalDate;
import org.jexel.core.quantity.Verdict;

/**
 * What somebody looked at or did before a wheel turns, and said so.
 *
 * @param what was looked at or done
 * @param about the gate's line that is gone past; empty for anything else
 * @param verdict as seen
 * @param words why, or what was found; empty for none
 * @param times how often, of stops that warm; else 0
 * @param day on which it was said, where the workshop is
 * @param at when
 * @param who name of the person
 */
public record Said(
    What what,
    String about,
    Verdict verdict,
    String words,
    int times,
    LocalDate day,
    Instant at,
    String who) {

  /** What can be said. */
  public enum What {
    TYRES("Tyres"),
    NUTS("Wheel nuts"),
    PLACE("Place"),
    /** Gentle stops that warm the linings, or bed new ones in. */
    WARMED("Warmed up"),
    /** Somebody looked for the fault that stops spoke of. */
    LOOKED("Looked for the fault"),
    /** A level of start-up assist was tried, and how it felt was said. */
    ASSIST("Start-up assist"),
    /** The rig was let roll, with nothing braked. */
    COAST("Coast-down"),
    /** Somebody goes past a line of the gate that is to be watched. */
    PASSED("Gone past");

    private final String label;

    What(String label) {
      this.label = label;
    }

    public String label() {
      return label;
    }
  }
}
