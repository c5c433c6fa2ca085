package org.jexel.core.job;

import java.time.Instant;

/**
 * A reading that somebody took.
 *
 * @param id its own number; a later reading has a greater one
 * @param check id of the check that it answers
 * @param value SI, or the place of the word
 * @param at when
 * @param who name of the person
 * @param atOnce whether it was said of a whole round in one word: all as a sound rig shows
 */
public record Taken(long id, String check, double value, Instant at, String who, boolean atOnce) {
  public Taken(long id, String check, double value, Instant at, String who) {
    this(id, check, value, at, who, false);
  }
}
