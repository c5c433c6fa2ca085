package org.jexel.app.handover;

import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import java.time.Instant;
import java.time.ZoneId;
import org.jexel.app.security.Person;

/** Somebody's name under an edition, as it was then. Append-only. */
@Entity
class ReportSignature {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private ReportEdition edition;

  private int place;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Person person;

  private String name;
  private String role;
  private Instant signedAt;
  private String requestKey;

  protected ReportSignature() {}

  /**
   * @param role in which somebody signs, in the person's own words
   */
  ReportSignature(
      ReportEdition edition, int place, Person person, String role, Instant at, String requestKey) {
    this.edition = edition;
    this.place = place;
    this.person = person;
    this.name = person.name();
    this.role = role;
    this.signedAt = at;
    this.requestKey = requestKey;
  }

  Long id() {
    return id;
  }

  /** 1 for whoever signed first, 2 for the second. */
  int place() {
    return place;
  }

  /**
   * A signature that came in a file is of whoever has its name, as far as anybody here can tell.
   */
  boolean isOf(Person other) {
    return person.id().equals(other.id()) || person.isElsewhere() && name.equals(other.name());
  }

  /** Who signed, in which role, when. */
  String words(ZoneId zone) {
    return String.join(", ", name, role, ReportOfNow.WHEN.format(signedAt.atZone(zone)));
  }

  Instant signedAt() {
    return signedAt;
  }
}
