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
 */
public record Taken(long id, String check, double value, Instant at, String who) {}
