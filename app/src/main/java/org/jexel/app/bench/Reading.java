package org.jexel.app.bench;

import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import java.time.Instant;
import java.util.Objects;
import java.util.OptionalDouble;
import org.jexel.app.job.Job;
import org.jexel.app.security.Person;
import org.jexel.core.check.Band;
import org.jexel.core.check.Check;
import org.jexel.core.job.Taken;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;
import org.jspecify.annotations.Nullable;

/**
 * A meter reading with the band it was held against. Append-only; a correction names the old one.
 */
@Entity
public class Reading {
  /** Of volts, amperes or ohms: no meter shows more. */
  private static final double MOST_SI = 1e12;

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Job job;

  private String checkId;
  private String title;

  private String measure;

  private double valueSi;
  private String typed;
  private double expectedSi;
  private double lowSi;
  private double highSi;

  private String verdict;

  private @Nullable Long correctsId;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Person person;

  private Instant takenAt;
  private String requestKey;

  private String source;
  private @Nullable Long logId;
  private @Nullable Integer rowCount;
  private @Nullable Double leastSi;
  private @Nullable Double greatestSi;
  private @Nullable Double pinVolts;

  /** How a reading came in. */
  public enum Source {
    TYPED(""),
    METER("simulated meter"),
    FILE("from a file"),
    /** Of a whole round of lamps in one act. */
    ROUND("all at once");

    private final String label;

    Source(String label) {
      this.label = label;
    }

    public String label() {
      return label;
    }
  }

  protected Reading() {}

  Reading(
      Job job,
      Check check,
      BenchService.Typed read,
      String typed,
      @Nullable Long correctsId,
      Person person,
      Instant at,
      String requestKey,
      BenchService.Origin origin) {
    this.job = job;
    this.checkId = check.id();
    this.title = check.title();
    this.measure = check.measure().name();
    this.valueSi = read.si();
    this.pinVolts = read.pinVolts();
    this.typed = typed;
    this.expectedSi = check.band().expected();
    this.lowSi = check.band().low();
    this.highSi = check.band().high();
    this.verdict = check.band().judge(read.atFull()).name();
    this.correctsId = correctsId;
    this.person = person;
    this.takenAt = at;
    this.requestKey = requestKey;
    this.source = origin.source().name();
    this.logId = origin.log();
    this.rowCount = origin.rows();
    this.leastSi = origin.least();
    this.greatestSi = origin.greatest();
  }

  /**
   * Reads everything that the core will ask of this row.
   *
   * @throws RuntimeException if it holds what is none
   */
  public void digest() {
    band();
    verdict();
    source();
    if (Double.isNaN(valueSi) || checkId == null || pinVolts != null && !(pinVolts > 0)) {
      throw new IllegalArgumentException("no value");
    }
    int words = measure().words().size();
    if (words == 0 ? !(Math.abs(valueSi) <= MOST_SI) : !isPlace(valueSi, words)) {
      throw new IllegalArgumentException("no reading is " + valueSi);
    }
  }

  private static boolean isPlace(double value, int words) {
    return value >= 0 && value < words && value == Math.rint(value);
  }

  /** As the core knows it. */
  Taken taken() {
    return new Taken(
        id,
        checkId,
        valueSi,
        takenAt,
        person.name(),
        source() == Source.ROUND,
        source() == Source.METER,
        pinVolts == null ? OptionalDouble.empty() : OptionalDouble.of(pinVolts));
  }

  public Long id() {
    return id;
  }

  String requestKey() {
    return requestKey;
  }

  /** The job in which it was taken. */
  Job job() {
    return job;
  }

  public String checkId() {
    return checkId;
  }

  public String title() {
    return title;
  }

  public Measure measure() {
    return Measure.valueOf(measure);
  }

  public double value() {
    return valueSi;
  }

  /** As it was read, with the output at which it was. */
  public String words(UnitSystem units) {
    return taken().words(measure(), units);
  }

  public String typed() {
    return typed;
  }

  public Band band() {
    return new Band(expectedSi, lowSi, highSi);
  }

  public Verdict verdict() {
    return Verdict.valueOf(verdict);
  }

  public Source source() {
    return Source.valueOf(source);
  }

  /** How it came in: from a file also how many rows it stands for, and between what they lay. */
  public String origin(UnitSystem units) {
    if (rowCount == null || rowCount < 2) {
      return source().label();
    }
    return Phrase.of(
        "%s, median of %d rows, %s to %s",
        source().label(),
        rowCount,
        measure().number(Objects.requireNonNull(leastSi), units),
        measure().text(Objects.requireNonNull(greatestSi), units));
  }

  public @Nullable Long correctsId() {
    return correctsId;
  }

  public Person person() {
    return person;
  }

  public Instant takenAt() {
    return takenAt;
  }
}
