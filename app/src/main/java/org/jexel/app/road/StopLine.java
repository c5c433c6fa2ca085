package org.jexel.app.road;

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
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.Comparator;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import org.hibernate.annotations.Immutable;
import org.jexel.app.job.Job;
import org.jexel.app.security.Person;
import org.jexel.core.braking.Drag;
import org.jexel.core.braking.Surface;
import org.jexel.core.road.Observed;
import org.jexel.core.road.Outcome;
import org.jexel.core.road.TestStop;
import org.jspecify.annotations.Nullable;

/** One test stop in the record. Append-only; a correction names the old one. */
@Entity
@Table(name = "test_stop")
public class StopLine {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Job job;

  private double gain;

  private String way;

  private double speedMps;

  private String surface;

  private String outcome;

  @Column(name = "distance_m")
  private @Nullable Double distanceM;

  @Column(name = "time_s")
  private @Nullable Double timeS;

  private @Nullable Double decelerationMps2;
  private @Nullable Long traceId;

  @Column(name = "trace_from_s")
  private @Nullable Double traceFromS;

  @Column(name = "trace_to_s")
  private @Nullable Double traceToS;

  private double vehicleMassKg;
  private double trailerMassKg;
  private String note;
  private String how;
  private String pull;
  private String feel;
  private String place;
  private boolean cold;
  private Instant drivenAt;

  @ElementCollection
  @Immutable
  @CollectionTable(name = "test_stop_wheel", joinColumns = @JoinColumn(name = "stop_id"))
  private Set<StopWheel> wheels = new HashSet<>();

  private @Nullable Long correctsId;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Person person;

  private Instant madeAt;
  private String requestKey;

  protected StopLine() {}

  /**
   * @param corrects the stop that this one corrects; null for a new one
   * @param cut of a trace that it was measured from; null for none
   */
  StopLine(
      Job job,
      TestStop stop,
      @Nullable Long corrects,
      @Nullable TraceCut cut,
      Person person,
      Instant at,
      String requestKey) {
    this.job = job;
    this.gain = stop.gain();
    this.way = stop.way().name();
    this.speedMps = stop.speed();
    this.surface = stop.surface().name();
    this.outcome = stop.outcome().name();
    this.distanceM = stop.distance();
    this.timeS = stop.seconds();
    this.decelerationMps2 = stop.deceleration();
    if (cut != null) {
      this.traceId = cut.file();
      this.traceFromS = cut.from();
      this.traceToS = cut.to();
    }
    this.vehicleMassKg = stop.vehicleMass();
    this.trailerMassKg = stop.trailerMass();
    this.note = stop.note();
    this.how = stop.observed().how().name();
    this.pull = stop.observed().pull().name();
    this.feel = stop.observed().feel().name();
    this.place = stop.observed().place();
    this.cold = stop.cold();
    this.drivenAt = stop.at();
    stop.observed().wheels().forEach(wheel -> wheels.add(StopWheel.of(wheel)));
    this.correctsId = corrects;
    this.person = person;
    this.madeAt = at;
    this.requestKey = requestKey;
  }

  /**
   * As the core knows it.
   *
   * @throws IllegalArgumentException if the row holds a word that is none
   */
  public TestStop stop() {
    return new TestStop(
        gain,
        TestStop.Way.valueOf(way),
        speedMps,
        Surface.valueOf(surface),
        Outcome.valueOf(outcome),
        distanceM,
        timeS,
        decelerationMps2,
        vehicleMassKg,
        trailerMassKg,
        note,
        observed(),
        cold,
        drivenAt);
  }

  private Observed observed() {
    return new Observed(
        Observed.How.valueOf(how),
        Observed.Pull.valueOf(pull),
        Observed.Feel.valueOf(feel),
        wheels.stream()
            .map(StopWheel::wheel)
            .sorted(
                Comparator.comparingInt(Observed.Wheel::axle)
                    .thenComparing(Observed.Wheel::left, Comparator.reverseOrder()))
            .toList(),
        place);
  }

  /**
   * Reads everything that the core will ask of this row.
   *
   * @throws RuntimeException if it holds what is none
   */
  void digest() {
    stop().analysed(Drag.USUAL);
  }

  public Long id() {
    return id;
  }

  /** The part of a trace that it was measured from. */
  Optional<TraceCut> cut() {
    return traceId == null || traceFromS == null || traceToS == null
        ? Optional.empty()
        : Optional.of(new TraceCut(traceId, traceFromS, traceToS));
  }

  public double gain() {
    return gain;
  }

  public @Nullable Long correctsId() {
    return correctsId;
  }

  public Person person() {
    return person;
  }

  Instant drivenAt() {
    return drivenAt;
  }

  public Instant madeAt() {
    return madeAt;
  }
}
