package org.jexel.app.handover;

import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Table;
import java.time.Duration;
import java.time.Instant;
import org.jexel.app.job.Job;
import org.jexel.app.security.Person;

/** An address under which a driver's card is read without a sign-in, until it ends. */
@Entity
@Table(name = "drivers_link")
class DriversLink {
  static final Duration LASTS = Duration.ofDays(365);

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Job job;

  private String token;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Person person;

  private Instant openedAt;
  private Instant endsAt;
  private boolean revoked;

  protected DriversLink() {}

  DriversLink(Job job, String token, Person person, Instant now) {
    this.job = job;
    this.token = token;
    this.person = person;
    this.openedAt = now;
    this.endsAt = now.plus(LASTS);
  }

  boolean open(Instant now) {
    return !revoked && now.isBefore(endsAt);
  }

  void revoke() {
    revoked = true;
  }

  Job job() {
    return job;
  }

  /** Who opened it: in this person's units it is read. */
  Person person() {
    return person;
  }

  String token() {
    return token;
  }

  public Instant endsAt() {
    return endsAt;
  }
}
