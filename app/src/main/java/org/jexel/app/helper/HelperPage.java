package org.jexel.app.helper;

import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import java.time.Duration;
import java.time.Instant;
import org.jexel.app.job.Job;
import org.jexel.app.security.Person;

/** A page for a second phone, for one job and not for ever. */
@Entity
public class HelperPage {
  static final Duration LASTS = Duration.ofHours(10);

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Job job;

  private String code;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Person person;

  private Instant openedAt;
  private Instant endsAt;
  private boolean closed;

  protected HelperPage() {}

  HelperPage(Job job, String code, Person person, Instant now) {
    this.job = job;
    this.code = code;
    this.person = person;
    this.openedAt = now;
    this.endsAt = now.plus(LASTS);
  }

  boolean open(Instant now) {
    return !closed && now.isBefore(endsAt);
  }

  void close() {
    closed = true;
  }

  Job job() {
    return job;
  }

  /** Who opened it; what it shows is what this person sees. */
  Person person() {
    return person;
  }

  public String code() {
    return code;
  }

  public Instant endsAt() {
    return endsAt;
  }
}
