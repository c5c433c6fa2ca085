package org.jexel.core.job;

import java.time.Instant;
import java.util.List;

/**
 * A repair.
 *
 * @param words what was mended
 * @param again ids of the checks that the mended fault had changed: what was read of them at that
 *     moment or before counts no longer
 * @param at when
 * @param who name of the person
 */
public record Mended(String words, List<String> again, Instant at, String who) {
  public Mended {
    again = List.copyOf(again);
  }

  /** Whether this repair takes a reading back. */
  public boolean unsays(Taken reading) {
    return again.contains(reading.check()) && !at.isBefore(reading.at());
  }
}
