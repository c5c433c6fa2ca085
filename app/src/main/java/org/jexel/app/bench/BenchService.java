package org.jexel.app.bench;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.function.Supplier;
import org.jexel.app.device.MeterPort;
import org.jexel.app.exchange.KeptFile;
import org.jexel.app.job.Drafts;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.RequestKey;
import org.jexel.app.job.Waited;
import org.jexel.core.check.Check;
import org.jexel.core.check.PartOutput;
import org.jexel.core.check.Plausible;
import org.jexel.core.job.Station;
import org.jexel.core.job.Taken;
import org.jexel.core.quantity.Parsed;
import org.jexel.core.quantity.QuantityParser;
import org.jexel.core.quantity.UnitSystem;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/**
 * Takes readings, within an act on their job. Once that returns, the reading is on disk; a repeated
 * post makes no second one. Shared by all requests; it keeps only what the meter showed last.
 */
@Service
public class BenchService {
  static final String FORM = "bench";
  private static final int LONGEST_TYPED = 40;
  private static final int SHOWN = 2000;

  private final ReadingRepository readings;
  private final Drafts drafts;
  private final Clock clock;
  private final MeterPort meter;
  private final Cache<String, String> shownLast =
      Caffeine.newBuilder().maximumSize(SHOWN).expireAfterWrite(Duration.ofHours(1)).build();

  BenchService(ReadingRepository readings, Drafts drafts, Clock clock, MeterPort meter) {
    this.meter = meter;
    this.readings = readings;
    this.drafts = drafts;
    this.clock = clock;
  }

  /**
   * A typed reading, or why it cannot be one.
   *
   * @param si as read
   * @param atFull what it comes to at full output; the same where it was read there
   * @param pinVolts at the brake pin, where it was read at less
   */
  record Typed(double si, double atFull, @Nullable Double pinVolts, @Nullable String problem) {
    private static Typed problem(String problem) {
      return new Typed(Double.NaN, Double.NaN, null, problem);
    }
  }

  static Typed read(JobFile file, Check check, String typed, UnitSystem units) {
    if (typed.isBlank()) {
      return Typed.problem("Type what the meter shows.");
    }
    if (typed.strip().length() > LONGEST_TYPED) {
      return Typed.problem("A reading has at most 40 letters.");
    }
    double full = file.work().bench().fullOutput();
    try {
      Optional<PartOutput> part =
          PartOutput.fits(check)
              ? PartOutput.of(typed, full, file.work().road()::voltsAt, units)
              : Optional.empty();
      Parsed parsed =
          QuantityParser.parse(part.map(PartOutput::reading).orElse(typed), check.measure(), units);
      if (parsed instanceof Parsed.Misread misread) {
        return Typed.problem(misread.message());
      }
      double si = ((Parsed.Value) parsed).si();
      return new Typed(
          si,
          part.map(output -> PartOutput.atFull(si, output.volts(), full)).orElse(si),
          part.map(PartOutput::volts).orElse(null),
          Plausible.problem(check.measure(), si).orElse(null));
    } catch (IllegalArgumentException e) {
      return Typed.problem(String.valueOf(e.getMessage()));
    }
  }

  /**
   * Keeps a reading, or keeps what was typed beside its problem.
   *
   * @param seen newest reading of this check when the page was made, 0 if there was none; another
   *     one since is shown first
   * @return whether a reading stands by this request
   */
  public boolean record(JobFile file, Check check, String typed, long seen, String requestKey) {
    return record(file, check, typed, seen, requestKey, Origin.of(source(file, check, typed)));
  }

  /** Keeps what was said of one lamp together with its whole round. */
  boolean recordAtOnce(JobFile file, Check check, String word, long seen, String requestKey) {
    return record(file, check, word, seen, requestKey, Origin.of(Reading.Source.ROUND));
  }

  /** Where a reading comes from; of a file also how many rows, and between what they lay. */
  record Origin(
      Reading.Source source,
      @Nullable Long log,
      @Nullable Integer rows,
      @Nullable Double least,
      @Nullable Double greatest) {
    static Origin of(Reading.Source source) {
      return new Origin(source, null, null, null, null);
    }
  }

  private boolean record(
      JobFile file, Check check, String typed, long seen, String requestKey, Origin origin) {
    Long newest = file.work().bench().last(check.id()).map(Taken::id).orElse(null);
    long now = newest == null ? 0 : newest;
    String key = RequestKey.of(requestKey);
    if (BenchRows.of(file).keys().contains(key)) {
      return true;
    }
    Typed value = read(file, check, typed, file.units());
    if (value.problem() != null || seen != now) {
      drafts.keep(file.job(), file.person(), FORM, check.id(), typed.strip(), seen);
      return false;
    }
    keep(
        file,
        new Reading(
            file.job(),
            check,
            value,
            typed.strip(),
            newest,
            file.person(),
            clock.instant(),
            key,
            origin));
    drafts.drop(file.job(), file.person(), FORM, check.id());
    return true;
  }

  /**
   * Keeps a reading that waited on a phone, unless somebody read the same later.
   *
   * @param units in which it was typed
   * @param at when it was read
   * @param source how it came onto the phone
   */
  Waited.Told waited(
      JobFile file,
      Check check,
      String typed,
      UnitSystem units,
      Instant at,
      String requestKey,
      Reading.Source source) {
    String key = RequestKey.of(requestKey);
    if (BenchRows.of(file).keys().contains(key)) {
      return Waited.Told.TAKEN;
    }
    Optional<Taken> newest = file.work().bench().last(check.id());
    if (newest.filter(taken -> taken.at().isAfter(at)).isPresent()) {
      return Waited.Told.not(
          "%s read it later: %s. That one stands."
              .formatted(newest.get().who(), newest.get().words(check.measure(), file.units())));
    }
    Typed value = read(file, check, typed, units);
    if (value.problem() != null) {
      return Waited.Told.not(value.problem());
    }
    keep(
        file,
        new Reading(
            file.job(),
            check,
            value,
            typed.strip(),
            newest.map(Taken::id).orElse(null),
            file.person(),
            at,
            key,
            Origin.of(source)));
    return Waited.Told.TAKEN;
  }

  private void keep(JobFile file, Reading reading) {
    Reading kept = readings.save(reading);
    file.grew(Station.BENCH, BenchRows.class, rows -> rows.and(kept));
  }

  /** Puts what the meter shows into the field. */
  void meter(JobFile file, Check check) {
    double shown =
        meter.read(
            file.job().id(), file.work().bench().asRead(), file.work().harness().plan(), check);
    String typed = check.measure().text(shown, UnitSystem.METRIC).replace('−', '-');
    long seen = file.work().bench().last(check.id()).map(Taken::id).orElse(0L);
    drafts.keep(file.job(), file.person(), FORM, check.id(), typed, seen);
    shownLast.put(place(file, check), typed);
  }

  private static String place(JobFile file, Check check) {
    return file.job().id() + " " + file.person().id() + " " + check.id();
  }

  /** What the meter showed last and nobody changed came from the meter. */
  private Reading.Source source(JobFile file, Check check, String typed) {
    return typed.strip().equals(shownLast.getIfPresent(place(file, check)))
        ? Reading.Source.METER
        : Reading.Source.TYPED;
  }

  /**
   * Keeps the readings of a logging meter's file that can be kept. A file that was recorded stands:
   * its rows without a check would fit other ones now.
   *
   * @return how many
   */
  int record(JobFile file, Supplier<LogRows> rows, KeptFile log) {
    if (log.isRecorded()) {
      return readings.countByLogId(log.id());
    }
    int kept = 0;
    for (LogRows.Line line : rows.get().lines()) {
      long seen = file.work().bench().last(line.check().id()).map(Taken::id).orElse(0L);
      String key = RequestKey.of("log " + log.id(), line.check().id());
      Origin origin =
          new Origin(Reading.Source.FILE, log.id(), line.rows(), line.least(), line.greatest());
      kept += record(file, line.check(), line.typed(), seen, key, origin) ? 1 : 0;
    }
    return kept;
  }

  /** Remembers what is being typed, unless it was recorded meanwhile. */
  void draft(JobFile file, Check check, String typed, long seen, String requestKey) {
    if (BenchRows.of(file).keys().contains(RequestKey.of(requestKey))) {
      return;
    }
    if (typed.isBlank()) {
      drafts.drop(file.job(), file.person(), FORM, check.id());
    } else {
      drafts.keep(file.job(), file.person(), FORM, check.id(), typed.strip(), seen);
    }
  }
}
