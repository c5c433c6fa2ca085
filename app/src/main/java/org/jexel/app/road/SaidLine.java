package org.jexel.app.road;

import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import org.jexel.app.job.Job;
import org.jexel.app.security.Person;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.road.Said;

/** What somebody says before a wheel turns. Append-only; the newest word stands. */
@Entity
@Table(name = "road_said")
class SaidLine {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Job job;

  private String what;
  private String about;
  private String verdict;
  private String words;
  private int times;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Person person;

  private Instant saidAt;
  private String requestKey;

  protected SaidLine() {}

  SaidLine(
      Job job,
      Said.What what,
      String about,
      Verdict verdict,
      String words,
      int times,
      Person person,
      Instant at,
      String requestKey) {
    this.job = job;
    this.what = what.name();
    this.about = about;
    this.verdict = verdict.name();
    this.words = words;
    this.times = times;
    this.person = person;
    this.saidAt = at;
    this.requestKey = requestKey;
  }

  /**
   * As the core knows it.
   *
   * @throws IllegalArgumentException if the row holds a word that is none
   */
  Said said() {
    return new Said(
        Said.What.valueOf(what),
        about,
        Verdict.valueOf(verdict),
        words,
        times,
        LocalDate.ofInstant(saidAt, job.workshop().zone()),
        saidAt,
        person.name());
  }

  Long id() {
    return id;
  }
}
