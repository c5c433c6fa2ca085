package org.jexel.app.road;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import java.util.List;
import java.util.Objects;
import java.util.stream.IntStream;
import org.jexel.app.job.JobFiles;
import org.jexel.app.security.Person;
import org.jexel.core.braking.StopLimits;
import org.jexel.core.braking.Surface;
import org.jexel.core.braking.Train;
import org.jexel.core.quantity.Unit;
import org.jexel.core.road.BrakeCurve;
import org.jexel.core.road.GainAdvice;
import org.jexel.core.road.GainFinder;
import org.jexel.core.road.GainScale;
import org.jexel.core.road.GainStop;
import org.jexel.core.road.Outcome;
import org.jexel.core.road.TestStop;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The road's sums for programs: the next gain. */
@RestController
@RequestMapping("/api/road")
class NextGainApi extends RoadSumApi {
  private static final int MOST_STOPS = 100;

  NextGainApi(JobFiles files) {
    super(files);
  }

  /** A stop that was driven; surface dry-asphalt, wet-asphalt, gravel or packed-snow. */
  record Driven(
      @Nullable Double gain,
      @Nullable String way,
      @Nullable Double speedKmh,
      @Nullable String surface,
      @Nullable String outcome,
      @Nullable Double distanceM,
      @Nullable Double timeS) {}

  /**
   * What is known.
   *
   * @param job stands for scale and rig
   */
  record Search(
      @Nullable Scale scale,
      @Nullable Plates rig,
      @Nullable String job,
      @Nullable List<@Nullable Driven> stops) {}

  record Belief(double gain, double pLock) {}

  /**
   * @param act try, repeat, confirm, settle or stop-and-look
   * @param gain to drive, or to settle on; null where none is named
   */
  record Answer(String act, @Nullable Double gain, String reason, List<Belief> belief) {}

  @Operation(summary = "Which gain to try next, from the stops so far; for settle, the setting")
  @PostMapping("/next-gain")
  Answer nextGain(@RequestBody Search asked, @Parameter(hidden = true) Person person) {
    Known known = known(asked.job, asked.scale, asked.rig, person);
    GainScale scale = known.scale();
    Train train = known.train();
    List<Driven> driven =
        Objects.requireNonNullElse(asked.stops, List.<Driven>of()).stream()
            .map(stop -> given(stop, "stops"))
            .toList();
    if (driven.size() > MOST_STOPS) {
      throw new IllegalArgumentException("stops: more than " + MOST_STOPS);
    }
    List<TestStop> stops =
        IntStream.range(0, driven.size())
            .mapToObj(i -> stop(driven.get(i), "stops[" + i + "].", scale, train))
            .toList();
    Surface surface = stops.isEmpty() ? Surface.DRY_ASPHALT : stops.get(stops.size() - 1).surface();
    List<GainStop> evidence =
        stops.stream()
            .filter(stop -> stop.surface() == surface)
            .flatMap(stop -> stop.gainStop(known.drag()).stream())
            .toList();
    return answer(GainFinder.advise(scale, BrakeCurve.of(train, scale), surface, evidence));
  }

  private static Answer answer(GainAdvice advice) {
    String act =
        switch (advice.act()) {
          case TRY -> "try";
          case REPEAT -> "repeat";
          case CONFIRM -> "confirm";
          case SETTLE -> "settle";
          case LOOK_FOR_FAULT -> "stop-and-look";
        };
    return new Answer(
        act,
        Double.isNaN(advice.gain()) ? null : advice.gain(),
        advice.reason(),
        advice.chances().stream().map(c -> new Belief(c.gain(), c.locks())).toList());
  }

  private static TestStop stop(Driven driven, String at, GainScale scale, Train train) {
    double gain = onScale(given(driven.gain, at + "gain"), at + "gain", scale);
    double speed = believed(given(driven.speedKmh, at + "speedKmh"), at + "speedKmh");
    Double distance = driven.distanceM;
    if (distance != null) {
      within(at + "distanceM", distance, StopLimits.DISTANCE);
      if (!StopLimits.possible(speed, distance)) {
        throw new IllegalArgumentException(
            at + "distanceM: no tyre stops that short from this speed");
      }
    }
    if (driven.timeS != null) {
      within(at + "timeS", driven.timeS, StopLimits.SECONDS);
    }
    return new TestStop(
        gain,
        word(TestStop.Way.class, driven.way, "lever", at + "way"),
        speed,
        word(Surface.class, driven.surface, "dry-asphalt", at + "surface"),
        outcome(given(driven.outcome, at + "outcome"), at + "outcome"),
        distance,
        driven.timeS,
        train.vehicleMass(),
        train.trailerMass(),
        "");
  }

  private static Outcome outcome(String word, String name) {
    return word.equals("none") ? Outcome.NOTHING : word(Outcome.class, word, word, name);
  }

  private static double onScale(double gain, String name, GainScale scale) {
    if (!scale.isMark(gain)) {
      throw new IllegalArgumentException(
          "%s: %s is no mark; from %s to %s by %s"
              .formatted(name, gain, scale.least(), scale.greatest(), scale.step()));
    }
    return gain;
  }

  private static double believed(double kmh, String name) {
    double speed = Unit.KILOMETRE_PER_HOUR.toSi(kmh);
    within(name, speed, StopLimits.SPEED);
    return speed;
  }

  private static void within(String name, double si, StopLimits limits) {
    if (!limits.believes(si)) {
      throw new IllegalArgumentException(name + ": not plausible for a test stop");
    }
  }
}
