package org.jexel.core.job;

/**
 * The single next act of a job.
 *
 * @param station where it is done
 * @param aim what it is about
 * @param text what to do
 * @param waitsFor what it waits for; empty if it can be done now
 */
public record NextAct(Station station, Aim aim, String text, String waitsFor) {}
