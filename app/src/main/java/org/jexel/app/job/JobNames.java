package org.jexel.app.job;

import org.jexel.core.rig.Wish;

/**
 * What people call a job and its parts, and what is wanted of it.
 *
 * @param title on the board
 * @param customer whose it is; may be empty
 * @param wish what is wanted
 * @param tow the vehicle
 * @param trailer the trailer
 */
public record JobNames(String title, String customer, Wish wish, String tow, String trailer) {
  /** The longest name of anything. */
  public static final int LONGEST = 120;

  public static JobNames of(Job job) {
    return new JobNames(
        job.title(), job.customer(), job.wish(), job.tow().label(), job.trailer().label());
  }
}
