package org.jexel.app.job;

/** What else is worked out anew, once an act changed a job or another build judges it. */
public interface Afterwards {
  /** Whether what an act changed may change this as well. */
  boolean hangsOn(JobFile before, JobFile after);

  /**
   * Within the act, with the job's lock in hand.
   *
   * @param file as it is after the act
   */
  void stood(JobFile file);
}
