package org.jexel.core.road;

/**
 * What a stop says about the gain.
 *
 * @param gain at which it was made
 * @param outcome what the wheels did
 */
public record GainStop(double gain, Outcome outcome) {}
