package org.jexel.app.job;

import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.HexFormat;
import java.util.Optional;
import java.util.concurrent.ThreadLocalRandom;
import org.jexel.app.workshop.Words;
import org.jexel.app.workshop.Workshop;
import org.jexel.core.rig.Subject;
import org.jexel.core.rig.Wish;
import org.jspecify.annotations.Nullable;

/** A job: a tow vehicle, a trailer, a controller and a reason. */
@Entity
public class Job {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Workshop workshop;

  private String ref;
  private String title;
  private String customer;

  private String wish;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private RigPart tow;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private RigPart trailer;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private RigPart controller;

  @Embedded private Standing standing = new Standing();

  private String requestKey;
  private boolean alone;
  private Instant createdAt;
  private Instant updatedAt;
  private @Nullable Instant signedAt;

  /** The job before this one on the same trailer. */
  @ManyToOne(fetch = FetchType.LAZY)
  private @Nullable Job after;

  @Embedded private @Nullable Begun begun;

  @Version private int version;

  protected Job() {}

  Job(Workshop workshop, String title, String customer, Wish wish, String requestKey, Instant at) {
    this.workshop = workshop;
    this.title = title;
    this.customer = customer;
    this.wish = wish.name();
    this.requestKey = requestKey;
    this.ref = "t" + HexFormat.of().toHexDigits(ThreadLocalRandom.current().nextLong(), 10);
    this.createdAt = at;
    this.updatedAt = at;
  }

  void join(RigPart towPart, RigPart trailerPart, RigPart controllerPart) {
    this.tow = towPart;
    this.trailer = trailerPart;
    this.controller = controllerPart;
  }

  void after(Job last) {
    this.after = last;
  }

  /** Whether it began with what another job left. */
  public boolean follows() {
    return after != null;
  }

  /** The reference follows the row's own number, which the database gives. */
  void number() {
    this.ref = "J" + (1000 + id);
  }

  void call(JobNames names) {
    this.title = names.title();
    this.customer = names.customer();
    this.wish = names.wish().name();
    this.tow.call(names.tow());
    this.trailer.call(names.trailer());
  }

  void work(boolean withoutHelper) {
    this.alone = withoutHelper;
  }

  /** Whether somebody works on it without a helper in the cab. */
  public boolean alone() {
    return alone;
  }

  /** Something of it is not as it was: nobody has signed that. */
  void changed(Instant at) {
    this.updatedAt = at;
    this.signedAt = null;
  }

  /** A report of just what stands was signed, by everybody whose name it wants. */
  public void sign(Instant at) {
    this.signedAt = at;
  }

  Optional<Instant> signedAt() {
    return Optional.ofNullable(signedAt);
  }

  /** Whether a report of just what stands was signed. */
  public boolean isSigned() {
    return signedAt != null;
  }

  /** Says that it came in a file. */
  void brought(Begun from) {
    this.begun = from;
  }

  /** Where it was begun, if it came in a file. */
  public Optional<Begun> begun() {
    return Optional.ofNullable(begun);
  }

  /** How it stood after the last act. */
  public Standing standing() {
    return standing;
  }

  public Long id() {
    return id;
  }

  public Workshop workshop() {
    return workshop;
  }

  public String ref() {
    return ref;
  }

  public String title() {
    return title;
  }

  public String customer() {
    return customer;
  }

  /** What is wanted; a word that this version does not know is read as the widest wish. */
  public Wish wish() {
    return Words.of(Wish.class, wish, Wish.ANNUAL);
  }

  /** One of the three that it joins. */
  public RigPart part(Subject subject) {
    return switch (subject) {
      case TOW -> tow;
      case TRAILER -> trailer;
      case CONTROLLER -> controller;
    };
  }

  public RigPart tow() {
    return tow;
  }

  public RigPart trailer() {
    return trailer;
  }

  public RigPart controller() {
    return controller;
  }

  public Instant updatedAt() {
    return updatedAt;
  }

  public Instant createdAt() {
    return createdAt;
  }
}
