package org.jexel.core.rig;

import org.jexel.core.quantity.Verdict;

/**
 * Something that this rig lacks for the job.
 *
 * @param title what is missing
 * @param reason why it matters on this rig
 * @param work what it adds to the job
 * @param verdict watch or fails
 */
public record Gap(String title, String reason, String work, Verdict verdict) {}
