package org.jexel.app.road;

import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.Map;
import org.jexel.app.job.Drafts;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.RequestKey;
import org.jexel.core.braking.StopLimits;
import org.jexel.core.braking.Surface;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Parsed;
import org.jexel.core.quantity.QuantityParser;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.RigField;
import org.jexel.core.road.GainAdvice;
import org.jexel.core.road.Outcome;
import org.jexel.core.road.TestStop;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Takes test stops and settles the gain. */
@Service
public class RoadService {
  static final String FORM = "stop";

  private final StopLineRepository stops;
  private final GainSettingRepository settings;
  private final Drafts drafts;
  private final Clock clock;

  RoadService(
      StopLineRepository stops, GainSettingRepository settings, Drafts drafts, Clock clock) {
    this.stops = stops;
    this.settings = settings;
    this.drafts = drafts;
    this.clock = clock;
  }

  /** A form as understood: the entry, or the problems by field. */
  record Understood(@Nullable TestStop stop, Map<String, String> problems) {}

  Understood read(JobFile file, Map<String, String> typed) {
    Map<String, String> problems = new LinkedHashMap<>();
    UnitSystem units = file.units();
    Double gain = number(typed, "gain", Measure.GAIN, units, problems, true);
    if (gain != null && !file.work().road().scale().isMark(gain)) {
      problems.put(
          "gain",
          "No such mark. This controller goes from %s to %s in steps of %s."
              .formatted(
                  Measure.GAIN.number(file.work().road().scale().least(), units),
                  Measure.GAIN.number(file.work().road().scale().greatest(), units),
                  Measure.GAIN.number(file.work().road().scale().step(), units)));
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
    Surface surface = choice(Surface.class, typed.getOrDefault("surface", ""), "surface", problems);
    Outcome outcome = choice(Outcome.class, typed.getOrDefault("outcome", ""), "outcome", problems);
    TestStop.Way way = choice(TestStop.Way.class, typed.getOrDefault("way", ""), "way", problems);
    String note = typed.getOrDefault("note", "").strip();
    if (note.length() > 200) {
      problems.put("note", "At most 200 letters.");
    }
    if (!problems.isEmpty()
        || gain == null
        || way == null
        || speed == null
        || surface == null
        || outcome == null) {
      return new Understood(null, problems);
    }
    return new Understood(
        new TestStop(
            gain,
            way,
            speed,
            surface,
            outcome,
            distance,
            seconds,
            file.rig().sheet().si(RigField.KERB_MASS),
            file.work().rig().load().mass(),
            note),
        problems);
  }

  private static @Nullable Double number(
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
      @Nullable Double si,
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

  private static <E extends Enum<E>> @Nullable E choice(
      Class<E> type, String name, String field, Map<String, String> problems) {
    for (E value : type.getEnumConstants()) {
      if (value.name().equals(name)) {
        return value;
      }
    }
    problems.put(field, "Choose one.");
    return null;
  }

  /**
   * Keeps a stop, or what was typed. Refused while the gate is shut.
   *
   * @param corrects the stop that this one corrects; null for a new one
   */
  public void record(
      JobFile file, Map<String, String> typed, @Nullable Long corrects, String requestKey) {
    String key = RequestKey.of(requestKey);
    if (stops.existsByJobIdAndRequestKey(file.job().id(), key)) {
      return;
    }
    boolean stands =
        corrects == null
            || RoadRows.of(file).stops().stream().anyMatch(stop -> stop.id().equals(corrects));
    Understood understood = read(file, typed);
    if (understood.stop() == null || !file.work().road().gate().open() || !stands) {
      keep(file, typed, true);
      return;
    }
    stops.save(
        new StopLine(file.job(), understood.stop(), corrects, file.person(), clock.instant(), key));
    drafts.dropForm(file.job(), file.person(), FORM);
    file.changed();
  }

  /** Remembers a half-filled form, unless that form was recorded meanwhile. */
  void draft(JobFile file, Map<String, String> typed, String requestKey) {
    if (!stops.existsByJobIdAndRequestKey(file.job().id(), RequestKey.of(requestKey))) {
      keep(file, typed, false);
    }
  }

  private void keep(JobFile file, Map<String, String> typed, boolean asked) {
    typed.forEach(
        (field, text) -> drafts.keep(file.job(), file.person(), FORM, field, text, asked ? 1 : 0));
  }

  /** Settles on the advised gain; does nothing when the advice is another by now. */
  public void settle(JobFile file, String requestKey) {
    GainAdvice advice = file.work().road().advice();
    String key = RequestKey.of(requestKey);
    if (advice.act() != GainAdvice.Act.SETTLE
        || settings.existsByJobIdAndRequestKey(file.job().id(), key)) {
      return;
    }
    Surface surface = file.record().stops().get(file.record().stops().size() - 1).surface();
    settings.save(
        new GainSetting(
            file.job(),
            advice.gain(),
            surface,
            file.work().rig().load().mass(),
            file.person(),
            clock.instant(),
            key));
    file.changed();
  }
}
