package org.jexel.app.harness;

import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import java.time.Instant;
import org.jexel.app.job.Job;
import org.jexel.app.security.Person;
import org.jexel.core.job.Ticked;

/** A step ticked or unticked. Append-only: the newest row of a step stands. */
@Entity
public class StepTick {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Job job;

  private String step;
  private boolean done;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Person person;

  private Instant tickedAt;

  protected StepTick() {}

  StepTick(Job job, String step, boolean done, Person person, Instant at) {
    this.job = job;
    this.step = step;
    this.done = done;
    this.person = person;
    this.tickedAt = at;
  }

  /** As the core knows it. */
  Ticked told() {
    return new Ticked(step, person.name(), tickedAt);
  }

  public String step() {
    return step;
  }

  public boolean done() {
    return done;
  }

  public Person person() {
    return person;
  }

  public Instant tickedAt() {
    return tickedAt;
  }
}
