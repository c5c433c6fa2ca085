package org.jexel.core.job;

import java.time.Instant;

/**
 * A step that somebody says is done.
 *
 * @param step its id
 * @param who name of the person
 * @param at when
 */
public record Ticked(String step, String who, Instant at) {}
