package org.jexel.core.job;

import java.time.Instant;

/**
 * A photograph of a job, or of its trailer's care over the years.
 *
 * @param id by which it is corrected
 * @param subject what of it: the id of a step or of a round of checks, the name of a part that is
 *     cared for; empty where the kind says all
 * @param caption what it shows, in somebody's words; may be empty
 * @param who name of whoever took it
 * @param at when
 * @param sha256 of the picture, hexadecimal
 */
public record Photo(
    long id, About about, String subject, String caption, String who, Instant at, String sha256) {
  /** What a photograph is of. */
  public enum About {
    /** The rig as it came. */
    RIG,
    STEP,
    /** A round of checks, and what was read in it. */
    CHECK,
    /** What was found to be the matter. */
    FINDING,
    /** A part of the trailer that is cared for; it belongs to the trailer and not to the job. */
    CARE
  }
}
