package org.jexel.app.road;

import java.time.Clock;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.jexel.app.device.RoadPort;
import org.jexel.app.job.Drafts;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.RequestKey;
import org.jexel.app.job.TypedFields;
import org.jexel.app.job.Waited;
import org.jexel.core.braking.StopLimits;
import org.jexel.core.braking.Surface;
import org.jexel.core.job.RoadWork;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.road.Gate;
import org.jexel.core.road.Observed;
import org.jexel.core.road.SimulatedRoad;
import org.jexel.core.road.StopTrial;
import org.jexel.core.road.TestStop;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Takes test stops. */
@Service
public class RoadService {
  static final String FORM = "stop";

  private final StopLineRepository stops;
  private final RoadPort port;
  private final Traces traces;
  private final Drafts drafts;
  private final Clock clock;

  RoadService(StopLineRepository stops, RoadPort port, Traces traces, Drafts drafts, Clock clock) {
    this.port = port;
    this.traces = traces;
    this.stops = stops;
    this.drafts = drafts;
    this.clock = clock;
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
    Optional<TestStop> old = old(file, corrects);
    TestStop understood = StopForm.read(file, typed, clock.instant()).stop();
    if (understood == null
        || !file.work().road().gate().open()
        || corrects != null && old.isEmpty()) {
      keep(file, typed, true);
      return;
    }
    save(file, old.map(understood::inPlaceOf).orElse(understood), corrects, cut(file, typed), key);
    drafts.dropForm(file.job(), file.person(), FORM);
  }

  private static Optional<TestStop> old(JobFile file, @Nullable Long corrects) {
    return RoadRows.of(file).stops().stream()
        .filter(stop -> stop.id().equals(corrects))
        .map(StopLine::stop)
        .findFirst();
  }

  private void save(
      JobFile file, TestStop stop, @Nullable Long corrects, @Nullable TraceCut cut, String key) {
    stops.save(new StopLine(file.job(), stop, corrects, cut, file.person(), clock.instant(), key));
    file.changed();
  }

  /**
   * The part of a trace that a form speaks of, if its deceleration still is what the trace says.
   */
  private @Nullable TraceCut cut(JobFile file, Map<String, String> typed) {
    Optional<TraceCut> cut =
        TraceCut.of(typed.getOrDefault("trace", ""))
            .filter(part -> tells(file, part, typed.getOrDefault("deceleration", "").strip()));
    cut.ifPresent(part -> traces.used(file, part));
    return cut.orElse(null);
  }

  /** Either way round. */
  private boolean tells(JobFile file, TraceCut part, String deceleration) {
    return Stream.of(false, true)
        .flatMap(turned -> traces.phase(file, part, turned).stream())
        .map(phase -> Measure.DECELERATION.number(phase.deceleration(), file.units()))
        .anyMatch(deceleration::equals);
  }

  /**
   * Keeps a stop that waited on a phone, if the gate was open when it was driven.
   *
   * @param units in which it was typed
   * @param at when it was driven
   */
  Waited.Told waited(
      JobFile file,
      Map<String, String> typed,
      UnitSystem units,
      Instant at,
      @Nullable Long corrects,
      String requestKey) {
    String key = RequestKey.of(requestKey);
    if (stops.existsByJobIdAndRequestKey(file.job().id(), key)) {
      return Waited.Told.TAKEN;
    }
    RoadWork then = file.asOf(at).road();
    StopForm.Understood understood = StopForm.read(file, new TypedFields(typed, units), then, at);
    TestStop stop = understood.stop();
    if (stop == null) {
      return Waited.Told.not(String.join(" ", understood.problems().values()));
    }
    Optional<Gate.Line> shut =
        then.gate().lines().stream().filter(line -> !line.open()).findFirst();
    if (shut.isPresent()) {
      return Waited.Told.not(
          "The gate was shut when it was driven: %s, %s."
              .formatted(shut.get().title(), shut.get().verdict().label()));
    }
    Optional<TestStop> old = old(file, corrects);
    if (corrects != null && old.isEmpty()) {
      return Waited.Told.not("The stop that it corrects was corrected already.");
    }
    save(file, old.map(stop::inPlaceOf).orElse(stop), corrects, cut(file, typed), key);
    return Waited.Told.TAKEN;
  }

  /**
   * Drives the stop that a form describes on the simulated road, and fills in what was seen;
   * nothing is recorded.
   */
  void simulate(JobFile file, Map<String, String> typed, String requestKey) {
    TypedFields fields = new TypedFields(typed, file.units());
    Double gain = fields.number("gain", Measure.GAIN);
    StopForm.onScale(file, gain, fields);
    Double speed = fields.number("speed", Measure.SPEED);
    StopForm.range("speed", speed, StopLimits.SPEED, Measure.SPEED, fields);
    Surface surface = fields.choice(Surface.class, "surface");
    TestStop.Way way = fields.choice(TestStop.Way.class, "way");
    RoadWork work = file.work().road();
    if (!fields.sound()
        || gain == null
        || speed == null
        || surface == null
        || way == null
        || !work.gate().open()) {
      keep(file, typed, true);
      return;
    }
    StopTrial trial =
        StopTrial.of(
            gain,
            speed,
            surface,
            way,
            file.rig().controllerKind(),
            file.work().rig().load().mass());
    SimulatedRoad.Seen seen =
        port.drive(
            file.job().id(),
            file.rig(),
            file.work().harness().plan(),
            work.train(),
            trial,
            work.scale());
    Map<String, String> filled = new LinkedHashMap<>(typed);
    filled.put("outcome", seen.outcome().name());
    boolean told = StopLimits.DISTANCE.believes(seen.metres());
    filled.put("distance", told ? Measure.DISTANCE.text(seen.metres(), file.units()) : "");
    filled.put("seconds", "");
    filled.put("deceleration", "");
    filled.put("trace", "");
    filled.put("how", seen.observed().how().name());
    filled.put("pull", seen.observed().pull().name());
    filled.put("feel", seen.observed().feel().name());
    filled.put("place", seen.observed().place());
    for (Observed.Wheel wheel : seen.observed().wheels()) {
      filled.put(StopForm.wheel(wheel.axle(), wheel.left()), wheel.outcome().name());
    }
    draft(file, filled, requestKey);
  }

  /** Puts what a part of a trace tells into the form; what was typed of the wheels stays. */
  void fromTrace(JobFile file, TraceCut cut, boolean turned) {
    traces
        .phase(file, cut, turned)
        .ifPresent(
            phase -> {
              Map<String, String> filled = new LinkedHashMap<>();
              if (StopLimits.SPEED.believes(phase.speed())) {
                filled.put("speed", Measure.SPEED.number(phase.speed(), file.units()));
              }
              filled.put(
                  "deceleration", Measure.DECELERATION.number(phase.deceleration(), file.units()));
              filled.put("trace", cut.written());
              filled.put("distance", "");
              filled.put("seconds", "");
              keep(file, filled, false);
            });
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
}
