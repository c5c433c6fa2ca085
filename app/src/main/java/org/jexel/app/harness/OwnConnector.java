package org.jexel.app.harness;

import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import java.time.Instant;
import org.jexel.app.security.Person;
import org.jexel.app.workshop.Workshop;

/** A connector of the workshop's own, as the pin list that somebody gave. The newest stands. */
@Entity
public class OwnConnector {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Workshop workshop;

  private String pinList;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Person person;

  private Instant enteredAt;

  protected OwnConnector() {}

  OwnConnector(String pinList, Person person, Instant at) {
    this.workshop = person.workshop();
    this.pinList = pinList;
    this.person = person;
    this.enteredAt = at;
  }

  String pinList() {
    return pinList;
  }
}
