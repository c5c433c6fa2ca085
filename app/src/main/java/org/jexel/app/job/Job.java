package org.jexel.app.job;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.Column;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.MapKeyColumn;
import jakarta.persistence.Version;
import java.time.Instant;
import java.time.LocalDate;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ThreadLocalRandom;
import org.hibernate.annotations.BatchSize;
import org.jexel.app.workshop.Words;
import org.jexel.app.workshop.Workshop;
import org.jexel.core.job.Progress;
import org.jexel.core.job.Station;
import org.jexel.core.job.StationState;
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

  /** By name of the station: a word that this version does not know is no reason to stop. */
  @ElementCollection
  @CollectionTable(name = "job_station", joinColumns = @JoinColumn(name = "job_id"))
  @MapKeyColumn(name = "station")
  @Column(name = "state")
  @BatchSize(size = 100)
  private Map<String, String> states = new HashMap<>();

  private byte nextStation;
  private String nextAct;
  private String stoodBy = "";
  private @Nullable LocalDate breakawayDue;
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
    this.nextStation = 1;
    this.nextAct = "";
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

  /** By which build and on which day its stations were judged. */
  public String stoodBy() {
    return stoodBy;
  }

  /** How it stands by the rules of this build. */
  void stand(Progress progress, String build) {
    progress.states().forEach((station, state) -> states.put(station.name(), state.name()));
    this.nextStation = (byte) progress.next().station().number();
    this.nextAct = progress.next().text();
    this.breakawayDue = progress.breakawayDue().orElse(null);
    this.stoodBy = build;
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

  public String nextAct() {
    return nextAct;
  }

  public Station nextStation() {
    return Station.values()[Math.max(1, Math.min(Station.values().length, nextStation)) - 1];
  }

  /** When its pull test or its battery is due again, as far as anybody has recorded them. */
  public @Nullable LocalDate breakawayDue() {
    return breakawayDue;
  }

  public Instant updatedAt() {
    return updatedAt;
  }

  public Instant createdAt() {
    return createdAt;
  }

  /** How each station stood after the last act. */
  public Map<Station, StationState> states() {
    Map<Station, StationState> map = new EnumMap<>(Station.class);
    for (Station station : Station.values()) {
      String word = states.getOrDefault(station.name(), "");
      map.put(station, Words.of(StationState.class, word, StationState.NOT_YET));
    }
    return map;
  }
}
