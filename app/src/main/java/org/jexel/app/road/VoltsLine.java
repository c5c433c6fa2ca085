package org.jexel.app.road;

import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Table;
import java.time.Instant;
import org.jexel.app.job.Job;
import org.jexel.app.security.Person;
import org.jexel.core.road.VoltsByGain;
import org.jspecify.annotations.Nullable;

/** Volts at the connector at one gain. Append-only; a correction names the old row. */
@Entity
@Table(name = "gain_volts")
class VoltsLine {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Job job;

  private double gain;
  private double volts;
  private @Nullable Long correctsId;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Person person;

  private Instant readAt;
  private String requestKey;

  protected VoltsLine() {}

  /**
   * @param corrects the row that this one corrects; null for a new one
   */
  VoltsLine(
      Job job,
      VoltsByGain.Reading reading,
      @Nullable Long corrects,
      Person person,
      Instant at,
      String requestKey) {
    this.job = job;
    this.gain = reading.gain();
    this.volts = reading.volts();
    this.correctsId = corrects;
    this.person = person;
    this.readAt = at;
    this.requestKey = requestKey;
  }

  /** As the core knows it. */
  VoltsByGain.Reading reading() {
    return new VoltsByGain.Reading(gain, volts);
  }

  Long id() {
    return id;
  }

  @Nullable Long correctsId() {
    return correctsId;
  }

  Person person() {
    return person;
  }
}
