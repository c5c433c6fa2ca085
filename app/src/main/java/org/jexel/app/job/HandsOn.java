package org.jexel.app.job;

/** What a room hands on from a job to the next one on the same trailer. */
public interface HandsOn {
  /**
   * Copies what was left as built, measured or set; each entry keeps its person and its time.
   * Within the transaction that begins the next job.
   *
   * @param sameVehicle whether the vehicle and its controller come along
   */
  void handOn(JobFile from, Job to, boolean sameVehicle);
}
