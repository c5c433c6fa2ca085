package org.jexel.app.job;

/**
 * A stored row that cannot be digested. The job opens without it, and says so.
 *
 * @param row which one it is: its kind, what it says, its number
 * @param why it cannot be digested
 */
public record LeftOut(String row, String why) {}
