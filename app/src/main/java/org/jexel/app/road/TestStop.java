package org.jexel.app.road;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import java.time.Instant;
import org.jexel.app.job.Job;
import org.jexel.app.security.Person;
import org.jexel.core.braking.Stop;
import org.jexel.core.braking.Surface;
import org.jexel.core.quantity.Sum;
import org.jexel.core.road.GainStop;
import org.jexel.core.road.Outcome;

/** One test stop. Append-only; a correction names the old one. */
@Entity
public class TestStop {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Job job;

  private double gain;

  @Enumerated(EnumType.STRING)
  private Way way;

  private double speedMps;

  @Enumerated(EnumType.STRING)
  private Surface surface;

  @Enumerated(EnumType.STRING)
  private Outcome outcome;

  @Column(name = "distance_m")
  private Double distanceM;

  @Column(name = "time_s")
  private Double timeS;

  private double vehicleMassKg;
  private double trailerMassKg;
  private String note;
  private Long correctsId;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Person person;

  private Instant madeAt;
  private String requestKey;

  /** How the brakes were asked for. */
  public enum Way {
    LEVER("Full lever"),
    PEDAL("Pedal");

    private final String label;

    Way(String label) {
      this.label = label;
    }

    public String label() {
      return label;
    }
  }

  protected TestStop() {}

  TestStop(Job job, StopEntry entry, Person person, Instant at) {
    this.job = job;
    this.gain = entry.gain();
    this.way = entry.way();
    this.speedMps = entry.speed();
    this.surface = entry.surface();
    this.outcome = entry.outcome();
    this.distanceM = entry.distance();
    this.timeS = entry.seconds();
    this.vehicleMassKg = entry.vehicleMass();
    this.trailerMassKg = entry.trailerMass();
    this.note = entry.note();
    this.correctsId = entry.corrects();
    this.person = person;
    this.madeAt = at;
    this.requestKey = entry.requestKey();
  }

  public Long id() {
    return id;
  }

  public double gain() {
    return gain;
  }

  public Way way() {
    return way;
  }

  public double speed() {
    return speedMps;
  }

  public Surface surface() {
    return surface;
  }

  public Outcome outcome() {
    return outcome;
  }

  public Double distance() {
    return distanceM;
  }

  public Double seconds() {
    return timeS;
  }

  public double trailerMass() {
    return trailerMassKg;
  }

  public String note() {
    return note;
  }

  public Long correctsId() {
    return correctsId;
  }

  public Person person() {
    return person;
  }

  public Instant madeAt() {
    return madeAt;
  }

  public GainStop gainStop() {
    return new GainStop(gain, outcome);
  }

  /** What this stop tells; null when neither distance nor time was taken. */
  public Stop analysed() {
    if (distanceM == null && timeS == null) {
      return null;
    }
    Sum a =
        distanceM != null ? Stop.fromDistance(speedMps, distanceM) : Stop.fromTime(speedMps, timeS);
    return way == Way.LEVER
        ? Stop.leverOnly(a, vehicleMassKg, trailerMassKg, 0)
        : Stop.withPedal(a);
  }
}
