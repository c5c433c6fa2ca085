package org.jexel.core.harness;

/**
 * Something about the plan that cannot be as it is; the rest of the plan stands.
 *
 * @param part what it is about: a lamp's slot, "box", "brake", "connector"
 * @param message what is wrong and what would be right
 */
public record Problem(String part, String message) {}
