package org.jexel.app.road;

import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.Map;
import org.jexel.app.job.Drafts;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.JobFiles;
import org.jexel.core.braking.StopLimits;
import org.jexel.core.braking.Surface;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Parsed;
import org.jexel.core.quantity.QuantityParser;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.RigField;
import org.jexel.core.road.GainAdvice;
import org.jexel.core.road.Outcome;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** Takes test stops and settles the gain. */
@Service
public class RoadService {
  static final String FORM = "stop";

  private final TestStopRepository stops;
  private final GainSettingRepository settings;
  private final JobFiles files;
  private final Drafts drafts;
  private final Clock clock;
  private final TransactionTemplate transaction;

  RoadService(
      TestStopRepository stops,
      GainSettingRepository settings,
      JobFiles files,
      Drafts drafts,
      Clock clock,
      PlatformTransactionManager transactions) {
    this.stops = stops;
    this.settings = settings;
    this.files = files;
    this.drafts = drafts;
    this.clock = clock;
    this.transaction = new TransactionTemplate(transactions);
  }

  /** A form as understood: the entry, or the problems by field. */
  record Understood(StopEntry entry, Map<String, String> problems) {}

  Understood read(JobFile file, Map<String, String> typed, Long corrects, String requestKey) {
    Map<String, String> problems = new LinkedHashMap<>();
    UnitSystem units = file.units();
    Double gain = number(typed, "gain", Measure.GAIN, units, problems, true);
    if (gain != null && !file.scale().isMark(gain)) {
      problems.put(
          "gain",
          "No such mark. This controller goes from %s to %s in steps of %s."
              .formatted(
                  Measure.GAIN.number(file.scale().least(), units),
                  Measure.GAIN.number(file.scale().greatest(), units),
                  Measure.GAIN.number(file.scale().step(), units)));
    }
    Double speed = number(typed, "speed", Measure.SPEED, units, problems, true);
    range("speed", speed, StopLimits.SPEED, Measure.SPEED, units, problems);
    Double distance = number(typed, "distance", Measure.DISTANCE, units, problems, false);
    range("distance", distance, StopLimits.DISTANCE, Measure.DISTANCE, units, problems);
    Double seconds = number(typed, "seconds", Measure.SECONDS, units, problems, false);
    range("seconds", seconds, StopLimits.SECONDS, Measure.SECONDS, units, problems);
    if (speed != null && distance != null && !StopLimits.possible(speed, distance)) {
      problems.putIfAbsent("distance", "No tyre stops that short from this speed. Check both.");
    }
    Surface surface = choice(Surface.class, typed.get("surface"), "surface", problems);
    Outcome outcome = choice(Outcome.class, typed.get("outcome"), "outcome", problems);
    TestStop.Way way = choice(TestStop.Way.class, typed.get("way"), "way", problems);
    String note = typed.getOrDefault("note", "").strip();
    if (note.length() > 200) {
      problems.put("note", "At most 200 letters.");
    }
    return problems.isEmpty()
        ? new Understood(
            new StopEntry(
                gain,
                way,
                speed,
                surface,
                outcome,
                distance,
                seconds,
                file.rig().sheet().si(RigField.KERB_MASS),
                file.load().mass(),
                note,
                corrects,
                requestKey),
            problems)
        : new Understood(null, problems);
  }

  private static Double number(
      Map<String, String> typed,
      String field,
      Measure measure,
      UnitSystem units,
      Map<String, String> problems,
      boolean needed) {
    String text = typed.getOrDefault(field, "");
    if (text.isBlank()) {
      if (needed) {
        problems.put(field, "This is missing.");
      }
      return null;
    }
    Parsed parsed = QuantityParser.parse(text, measure, units);
    if (parsed instanceof Parsed.Misread misread) {
      problems.put(field, misread.message());
      return null;
    }
    return ((Parsed.Value) parsed).si();
  }

  private static void range(
      String field,
      Double si,
      StopLimits limits,
      Measure measure,
      UnitSystem units,
      Map<String, String> problems) {
    if (si != null && !limits.believes(si)) {
      problems.put(
          field,
          "Not plausible for a test stop. Expected %s to %s."
              .formatted(
                  measure.number(limits.least(), units), measure.text(limits.greatest(), units)));
    }
  }

  private static <E extends Enum<E>> E choice(
      Class<E> type, String name, String field, Map<String, String> problems) {
    for (E value : type.getEnumConstants()) {
      if (value.name().equals(name)) {
        return value;
      }
    }
    problems.put(field, "Choose one.");
    return null;
  }

  /** Keeps a stop, or what was typed. Refused while the gate is shut. */
  public void record(JobFile file, Map<String, String> typed, Long corrects, String requestKey) {
    if (stops.existsByRequestKey(requestKey)) {
      return;
    }
    Understood understood = read(file, typed, corrects, requestKey);
    if (understood.entry() == null || !file.gate().open()) {
      keep(file, typed, true);
      return;
    }
    try {
      transaction.executeWithoutResult(status -> enter(file, understood.entry()));
    } catch (DataIntegrityViolationException refused) {
      if (!stops.existsByRequestKey(requestKey)) {
        throw refused;
      }
      return;
    }
    files.refresh(file.job().ref(), file.person());
  }

  private void enter(JobFile file, StopEntry entry) {
    files.hold(file);
    stops.saveAndFlush(new TestStop(file.job(), entry, file.person(), clock.instant()));
    drafts.dropForm(file.job(), file.person(), FORM);
  }

  /** Remembers a half-filled form, unless that form was recorded meanwhile. */
  void draft(JobFile file, Map<String, String> typed, String requestKey) {
    transaction.executeWithoutResult(
        status -> {
          files.hold(file);
          if (!stops.existsByRequestKey(requestKey)) {
            keep(file, typed, false);
          }
        });
  }

  private void keep(JobFile file, Map<String, String> typed, boolean asked) {
    typed.forEach(
        (field, text) -> drafts.keep(file.job(), file.person(), FORM, field, text, asked ? 1 : 0));
  }

  /** Settles on the advised gain; does nothing when the advice is another by now. */
  public void settle(JobFile file, String requestKey) {
    GainAdvice advice = file.advice();
    if (advice.act() != GainAdvice.Act.SETTLE || settings.existsByRequestKey(requestKey)) {
      return;
    }
    Surface surface = file.stops().get(file.stops().size() - 1).surface();
    transaction.executeWithoutResult(
        status ->
            settings.saveAndFlush(
                new GainSetting(
                    file.job(),
                    advice.gain(),
                    surface,
                    file.load().mass(),
                    file.person(),
                    clock.instant(),
                    requestKey)));
    files.refresh(file.job().ref(), file.person());
  }
}
