package org.jexel.app.road;

import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import java.time.Instant;
import org.jexel.app.job.Job;
import org.jexel.app.security.Person;
import org.jexel.core.braking.Surface;
import org.jexel.core.road.Setting;

/** A settled gain with the load and surface that it holds for. Append-only. */
@Entity
public class GainSetting {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Job job;

  private double gain;

  private String surface;

  private String school;
  private double vehicleMassKg;
  private double trailerMassKg;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Person person;

  private Instant settledAt;
  private String requestKey;

  protected GainSetting() {}

  GainSetting(Job job, Setting setting, Person person, String requestKey) {
    this.job = job;
    this.gain = setting.gain();
    this.school = setting.school().name();
    this.surface = setting.surface().name();
    this.vehicleMassKg = setting.vehicleMass();
    this.trailerMassKg = setting.trailerMass();
    this.person = person;
    this.settledAt = setting.at();
    this.requestKey = requestKey;
  }

  /** The same for the next job on this trailer. */
  GainSetting forNext(Job next) {
    return new GainSetting(next, setting(), person, "handed on, " + id);
  }

  public Long id() {
    return id;
  }

  public double gain() {
    return gain;
  }

  /**
   * As the core knows it.
   *
   * @throws IllegalArgumentException if the row holds a word that is none
   */
  Setting setting() {
    return new Setting(
        gain,
        Setting.School.valueOf(school),
        Surface.valueOf(surface),
        vehicleMassKg,
        trailerMassKg,
        settledAt,
        person.name());
  }
}
