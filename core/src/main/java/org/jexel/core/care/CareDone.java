package org.jexel.core.care;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Collections;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.TreeMap;

/**
 * One part of a trailer, cared for on one day.
 *
 * @param id of the record
 * @param at when it was done, as near as anybody said
 * @param day on which that was, where the workshop is
 * @param who name of the person
 * @param found a figure for each place, SI or the place of a word on its scale: by number of the
 *     wheel, from the front and left before right, or 0 for what is there once
 * @param metres how far the trailer had come; empty where nobody read it
 * @param note in words; empty where there is none
 */
public record CareDone(
    long id,
    CarePart part,
    Instant at,
    LocalDate day,
    String who,
    Map<Integer, Double> found,
    OptionalDouble metres,
    String note) {
  public CareDone {
    if (found.isEmpty()) {
      throw new IllegalArgumentException("nothing was found");
    }
    found = Collections.unmodifiableMap(new TreeMap<>(found));
  }
}
