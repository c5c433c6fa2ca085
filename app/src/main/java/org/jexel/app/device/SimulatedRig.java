package org.jexel.app.device;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.List;
import java.util.stream.Collectors;
import org.jexel.app.workshop.Words;
import org.jexel.core.network.Fault;

/** What a job's simulated meter measures on: the rig of the job with hidden faults. */
@Entity
public class SimulatedRig {
  @Id private Long jobId;
  private String faults;
  private long seed;
  private Long personId;
  private Instant setAt;

  protected SimulatedRig() {}

  SimulatedRig(long job, List<Fault> faults, long seed, long person, Instant at) {
    this.jobId = job;
    this.faults = faults.stream().map(Fault::text).collect(Collectors.joining(","));
    this.seed = seed;
    this.personId = person;
    this.setAt = at;
  }

  /** Whether this version still knows the faults. */
  boolean readable() {
    return Words.known(this::faults);
  }

  List<Fault> faults() {
    return Fault.parse(faults);
  }

  long seed() {
    return seed;
  }

  public boolean hides() {
    return !faults.isBlank();
  }

  public Instant setAt() {
    return setAt;
  }
}
