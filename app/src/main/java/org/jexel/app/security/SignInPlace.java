package org.jexel.app.security;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;

/** An address from which somebody has signed in with the right password, as a hash. */
@Entity
class SignInPlace {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private Long personId;
  private String place;
  private Instant lastAt = Instant.EPOCH;

  protected SignInPlace() {}

  SignInPlace(Long personId, String place) {
    this.personId = personId;
    this.place = place;
  }

  void at(Instant now) {
    this.lastAt = now;
  }

  Instant lastAt() {
    return lastAt;
  }
}
