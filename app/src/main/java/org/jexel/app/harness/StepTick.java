package org.jexel.app.harness;

import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import java.time.Instant;
import java.util.List;
import org.jexel.app.job.Job;
import org.jexel.app.security.Person;

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

  private String mended;
  private String again;

  protected StepTick() {}

  StepTick(Job job, String step, boolean done, Person person, Instant at) {
    this.job = job;
    this.step = step;
    this.done = done;
    this.person = person;
    this.tickedAt = at;
  }

  /**
   * A repair.
   *
   * @param mended what was mended, in words
   * @param again ids of the checks that are to be read again
   */
  public static StepTick repair(
      Job job, String step, String mended, List<String> again, Person person, Instant at) {
    StepTick tick = new StepTick(job, step, true, person, at);
    tick.mended = mended;
    tick.again = String.join(",", again);
    return tick;
  }

  /** What was mended, in words; null for a step of the plan. */
  public String mended() {
    return mended;
  }

  /** Checks that a repair asks for again. */
  public List<String> again() {
    return again == null || again.isBlank() ? List.of() : List.of(again.split(","));
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
