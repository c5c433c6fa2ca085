package org.jexel.app.bench;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.OrderColumn;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.jexel.app.job.Job;
import org.jexel.app.security.Person;
import org.jexel.core.job.Mended;

/** A repair, and the checks that it asks for again. Append-only. */
@Entity
public class Repair {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Job job;

  private String words;

  @ElementCollection
  @CollectionTable(name = "repair_again", joinColumns = @JoinColumn(name = "repair_id"))
  @OrderColumn(name = "place")
  @Column(name = "check_id")
  private List<String> again = new ArrayList<>();

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Person person;

  private Instant mendedAt;

  protected Repair() {}

  /**
   * @param words what was mended
   * @param again ids of the checks that are to be read again
   */
  Repair(Job job, String words, List<String> again, Person person, Instant at) {
    this.job = job;
    this.words = words;
    this.again = new ArrayList<>(again);
    this.person = person;
    this.mendedAt = at;
  }

  /** As the core knows it. */
  Mended mended() {
    return new Mended(words, again, mendedAt, person.name());
  }

  /** What was mended. */
  public String words() {
    return words;
  }

  public Person person() {
    return person;
  }

  public Instant mendedAt() {
    return mendedAt;
  }
}
