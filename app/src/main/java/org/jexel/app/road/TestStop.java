package org.jexel.app.road;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
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

  private String way;

  private double speedMps;

  private String surface;

  private String outcome;

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
    this.way = entry.way().name();
    this.speedMps = entry.speed();
    this.surface = entry.surface().name();
    this.outcome = entry.outcome().name();
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

  /**
   * Reads everything that the core will ask of this row.
   *
   * @throws RuntimeException if it holds what is none
   */
  public void digest() {
    gainStop();
    surface();
    analysed();
  }

  public Long id() {
    return id;
  }

  public double gain() {
    return gain;
  }

  public Way way() {
    return Way.valueOf(way);
  }

  public double speed() {
    return speedMps;
  }

  public Surface surface() {
    return Surface.valueOf(surface);
  }

  public Outcome outcome() {
    return Outcome.valueOf(outcome);
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
    return new GainStop(gain, outcome());
  }

  /** What this stop tells; null when neither distance nor time was taken. */
  public Stop analysed() {
    if (distanceM == null && timeS == null) {
      return null;
    }
    Sum a =
        distanceM != null ? Stop.fromDistance(speedMps, distanceM) : Stop.fromTime(speedMps, timeS);
    return way() == Way.LEVER
        ? Stop.leverOnly(a, vehicleMassKg, trailerMassKg, 0)
        : Stop.withPedal(a);
  }
}
