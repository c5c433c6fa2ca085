package org.jexel.app.device;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.OrderColumn;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.jexel.app.workshop.Words;
import org.jexel.core.network.Fault;

/** What a job's simulated meter measures on: the rig of the job with hidden faults. */
@Entity
public class SimulatedRig {
  @Id private Long jobId;

  @ElementCollection(fetch = FetchType.EAGER)
  @CollectionTable(name = "simulated_fault", joinColumns = @JoinColumn(name = "job_id"))
  @OrderColumn(name = "place")
  @Column(name = "fault")
  private List<String> faults = new ArrayList<>();

  private long seed;
  private Long personId;
  private Instant setAt;

  protected SimulatedRig() {}

  SimulatedRig(long job, List<Fault> faults, long seed, long person, Instant at) {
    this.jobId = job;
    this.faults = new ArrayList<>(faults.stream().map(Fault::text).toList());
    this.seed = seed;
    this.personId = person;
    this.setAt = at;
  }

  /** Whether this version still knows the faults. */
  boolean readable() {
    return Words.known(this::faults);
  }

  List<Fault> faults() {
    return faults.stream().flatMap(fault -> Fault.parse(fault).stream()).toList();
  }

  long seed() {
    return seed;
  }

  public boolean hides() {
    return !faults.isEmpty();
  }

  public Instant setAt() {
    return setAt;
  }
}
