package org.jexel.app.care;

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
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import org.hibernate.annotations.Immutable;
import org.jexel.app.job.RigPart;
import org.jexel.app.security.Person;
import org.jexel.core.care.CareDone;
import org.jexel.core.care.CarePart;
import org.jspecify.annotations.Nullable;

/** A part of a trailer, cared for. Append-only; a correction names the row that it corrects. */
@Entity
@Table(name = "care_act")
class CareAct {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private RigPart trailer;

  private String part;
  private @Nullable Double metres;
  private String note;
  private @Nullable Long correctsId;

  @ElementCollection
  @Immutable
  @CollectionTable(name = "care_found", joinColumns = @JoinColumn(name = "act_id"))
  private Set<CareFound> found = new HashSet<>();

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Person person;

  private Instant doneAt;
  private Instant madeAt;
  private String requestKey;

  protected CareAct() {}

  /**
   * @param understood what was found, and how far the trailer had come
   * @param corrects the row that this one corrects; null for a new one
   * @param now when it reached the server
   */
  CareAct(
      RigPart trailer,
      CarePart part,
      CareForm.Understood understood,
      @Nullable Long corrects,
      Person person,
      Instant now,
      String requestKey) {
    this.trailer = trailer;
    this.part = part.name();
    understood.found().forEach((place, si) -> found.add(new CareFound(place.byteValue(), si)));
    this.metres = understood.metres().isPresent() ? understood.metres().getAsDouble() : null;
    this.note = understood.note();
    this.correctsId = corrects;
    this.person = person;
    this.doneAt = understood.at();
    this.madeAt = now;
    this.requestKey = requestKey;
  }

  /**
   * As the core knows it.
   *
   * @param zone of the workshop
   * @throws IllegalArgumentException if the row holds a word that is none, or no figure
   */
  CareDone done(ZoneId zone) {
    Map<Integer, Double> figures = new HashMap<>();
    found.forEach(one -> figures.put((int) one.place(), one.si()));
    return new CareDone(
        id,
        CarePart.valueOf(part),
        doneAt,
        LocalDate.ofInstant(doneAt, zone),
        person.name(),
        figures,
        metres == null ? OptionalDouble.empty() : OptionalDouble.of(metres),
        note);
  }

  Long id() {
    return id;
  }

  @Nullable Long correctsId() {
    return correctsId;
  }
}
