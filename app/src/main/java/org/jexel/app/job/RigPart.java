package org.jexel.app.job;

import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Version;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Optional;
import org.jexel.app.library.ControllerEntry;
import org.jexel.app.workshop.Workshop;
import org.jexel.core.care.CarePart;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.rig.Subject;
import org.jspecify.annotations.Nullable;

/** A tow vehicle, a trailer or a controller that the workshop knows. */
@Entity
public class RigPart {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Workshop workshop;

  private String subject;

  private String label;

  /** Of a controller: the model in the workshop's library, where somebody said which it is. */
  @ManyToOne(fetch = FetchType.LAZY)
  private @Nullable ControllerEntry model;

  /** Number of the part of the first job that knew this one; null where this is it. */
  private @Nullable Long firstId;

  /** Of a trailer: when the first part of it is due for care; null while nobody keeps its plan. */
  private @Nullable LocalDate careDue;

  private @Nullable String carePart;

  @Version private int version;

  protected RigPart() {}

  public RigPart(Workshop workshop, Subject subject, String label) {
    this.workshop = workshop;
    this.subject = subject.name();
    this.label = label;
  }

  /** The same vehicle, trailer or controller as the next job knows it; what is due moves there. */
  RigPart next() {
    RigPart next = new RigPart(workshop, subject(), label);
    next.firstId = life();
    next.model = model;
    next.careDue = careDue;
    next.carePart = carePart;
    care(null, null);
    return next;
  }

  /** Number of the part as the first job knew it: what belongs to all of its jobs hangs there. */
  public Long life() {
    return firstId == null ? id : firstId;
  }

  public Long id() {
    return id;
  }

  public Subject subject() {
    return Subject.valueOf(subject);
  }

  public String label() {
    return label;
  }

  public Optional<ControllerEntry> model() {
    return Optional.ofNullable(model);
  }

  void call(String name) {
    this.label = name;
  }

  public @Nullable LocalDate careDue() {
    return careDue;
  }

  /** Which part that is, as in “: hub grease”. */
  public String careWords() {
    return Arrays.stream(CarePart.values())
        .filter(part -> part.name().equals(carePart))
        .map(part -> ": " + Phrase.within(part.label()))
        .findFirst()
        .orElse("");
  }

  /** Says what of a trailer is due for care, and when. */
  public void care(@Nullable LocalDate due, @Nullable CarePart part) {
    this.careDue = due;
    this.carePart = part == null ? null : part.name();
  }

  /** Says which model this controller is. */
  public void is(@Nullable ControllerEntry said) {
    this.model = said;
  }
}
