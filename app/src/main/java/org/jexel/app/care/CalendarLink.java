package org.jexel.app.care;

import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Optional;
import org.jexel.app.job.Job;
import org.jexel.app.security.Person;
import org.jexel.app.workshop.Workshop;
import org.jspecify.annotations.Nullable;

/** An address under which a calendar program reads what is due, until it is taken back. */
@Entity
@Table(name = "calendar_link")
class CalendarLink {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Workshop workshop;

  /** Whose trailer it tells of; null for all of the workshop's. */
  @ManyToOne(fetch = FetchType.LAZY)
  private @Nullable Job job;

  private String token;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Person person;

  private Instant openedAt;
  private boolean revoked;

  protected CalendarLink() {}

  CalendarLink(@Nullable Job job, String token, Person person, Instant now) {
    this.workshop = person.workshop();
    this.job = job;
    this.token = token;
    this.person = person;
    this.openedAt = now;
  }

  void revoke() {
    revoked = true;
  }

  Optional<Job> job() {
    return Optional.ofNullable(job);
  }

  /** Who opened it: in this person's units it is read. */
  Person person() {
    return person;
  }

  String token() {
    return token;
  }
}
