package org.jexel.app.cab;

import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import java.time.Instant;
import java.util.Map;
import org.jexel.app.job.Job;
import org.jexel.app.security.Person;

/** What somebody typed on a card of the cab. Append-only: the newest row of a card stands. */
@Entity
public class CabNote {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Job job;

  private String card;
  private String content;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Person person;

  private Instant notedAt;

  protected CabNote() {}

  CabNote(Job job, String card, String content, Person person, Instant at) {
    this.job = job;
    this.card = card;
    this.content = content;
    this.person = person;
    this.notedAt = at;
  }

  public Long id() {
    return id;
  }

  public String card() {
    return card;
  }

  String content() {
    return content;
  }

  /** What was typed, by field. */
  public Map<String, String> fields() {
    return CabNotes.decode(content);
  }

  public Person person() {
    return person;
  }

  public Instant notedAt() {
    return notedAt;
  }
}
