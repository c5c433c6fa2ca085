package org.jexel.app.handover;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import org.hibernate.annotations.Immutable;
import org.jexel.app.job.Job;
import org.jexel.app.security.Person;
import org.jexel.core.care.BeforeTow;
import org.jexel.core.care.LookedOver;
import org.jexel.core.quantity.Verdict;

/** A list that was walked before a journey. Append-only; the newest one stands. */
@Entity
@Table(name = "before_tow")
class TowLine {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Job job;

  private String wrong;

  @ElementCollection
  @Immutable
  @CollectionTable(name = "before_tow_part", joinColumns = @JoinColumn(name = "list_id"))
  private Set<TowPart> parts = new HashSet<>();

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Person person;

  private Instant lookedAt;
  private Instant madeAt;
  private String requestKey;

  protected TowLine() {}

  /**
   * @param seen for each part that was asked
   * @param lookedAt when it was walked
   * @param now when it reached the server
   */
  TowLine(
      Job job,
      Map<BeforeTow.Part, Verdict> seen,
      String wrong,
      Person person,
      Instant lookedAt,
      Instant now,
      String requestKey) {
    this.job = job;
    seen.forEach((part, verdict) -> parts.add(new TowPart(part.name(), verdict.name())));
    this.wrong = wrong;
    this.person = person;
    this.lookedAt = lookedAt;
    this.madeAt = now;
    this.requestKey = requestKey;
  }

  /**
   * As the core knows it.
   *
   * @param zone of the workshop
   * @throws IllegalArgumentException if the row holds a word that is none
   */
  LookedOver list(ZoneId zone) {
    Map<BeforeTow.Part, Verdict> seen = new EnumMap<>(BeforeTow.Part.class);
    parts.forEach(
        part -> seen.put(BeforeTow.Part.valueOf(part.part()), Verdict.valueOf(part.verdict())));
    LocalDate day = LocalDate.ofInstant(lookedAt, zone);
    return new LookedOver(lookedAt, day, person.name(), seen, wrong);
  }
}
