package org.jexel.app.road;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.stream.IntStream;
import org.jexel.app.job.JobFiles;
import org.jexel.app.job.SumApi;
import org.jexel.app.security.Person;
import org.jexel.core.braking.Control;
import org.jexel.core.braking.Drag;
import org.jexel.core.braking.StopLimits;
import org.jexel.core.braking.StopRun;
import org.jexel.core.braking.Surface;
import org.jexel.core.braking.Train;
import org.jexel.core.job.RoadWork;
import org.jexel.core.quantity.Unit;
import org.jexel.core.road.BrakeCurve;
import org.jexel.core.road.GainAdvice;
import org.jexel.core.road.GainFinder;
import org.jexel.core.road.GainScale;
import org.jexel.core.road.GainStop;
import org.jexel.core.road.Outcome;
import org.jexel.core.road.RigTrain;
import org.jexel.core.road.StopTrial;
import org.jexel.core.road.TestStop;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The road's sums for programs: the next gain, and a stop computed. */
@RestController
@RequestMapping("/api/road")
class RoadApi extends SumApi {
  private static final int MOST_STOPS = 100;
  private static final int MOST_MARKS = 1000;

  private final JobFiles files;

  RoadApi(JobFiles files) {
    this.files = files;
  }

  /** A controller's grid; 0 to 10 by halves if it is left out. */
  record Scale(@Nullable Double least, @Nullable Double greatest, @Nullable Double step) {
    private static final Scale USUAL = new Scale(0.0, 10.0, 0.5);

    private GainScale scale() {
      double from = within("scale.least", given(least, "scale.least"), 0, 50);
      double to = within("scale.greatest", given(greatest, "scale.greatest"), 0.5, 100);
      double by = within("scale.step", given(step, "scale.step"), 0.01, 10);
      if ((to - from) / by > MOST_MARKS) {
        throw new IllegalArgumentException("scale.step: more than " + MOST_MARKS + " marks");
      }
      return new GainScale(from, to, by);
    }
  }

  /** What the plates say; a usual two-axle rig if it is left out. */
  record Plates(
      @Nullable Double vehicleKg,
      @Nullable Double trailerKg,
      @Nullable Integer brakedAxles,
      @Nullable Integer axles,
      @Nullable Double axleRatingKg,
      @Nullable Double tyreRadiusM) {
    private static final Plates USUAL = new Plates(2200.0, 2200.0, 2, 2, 1600.0, null);

    private double vehicle() {
      return within("rig.vehicleKg", given(vehicleKg, "rig.vehicleKg"), 400, 40_000);
    }

    private double trailer() {
      return within("rig.trailerKg", given(trailerKg, "rig.trailerKg"), 50, 40_000);
    }

    /** The tyre's radius is in the rated torque and in its force at the ground: it drops out. */
    private Train train() {
      int all = (int) within("rig.axles", given(axles, "rig.axles"), 1, 3);
      int braked = (int) within("rig.brakedAxles", given(brakedAxles, "rig.brakedAxles"), 1, all);
      double rating =
          within("rig.axleRatingKg", given(axleRatingKg, "rig.axleRatingKg"), 100, 10_000);
      return RigTrain.ofPlates(vehicle(), trailer(), all, braked, rating);
    }
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
    GainScale scale = known.scale;
    Train train = known.train;
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
            .flatMap(stop -> stop.gainStop(known.drag).stream())
            .toList();
    return answer(GainFinder.advise(scale, BrakeCurve.of(train, scale), surface, evidence));
  }

  private record Known(GainScale scale, Train train, Drag drag) {}

  private Known known(
      @Nullable String job, @Nullable Scale scale, @Nullable Plates rig, Person person) {
    if (job != null) {
      RoadWork road = files.open(job, person).work().road();
      return new Known(road.scale(), road.train(), road.drag());
    }
    return new Known(
        Objects.requireNonNullElse(scale, Scale.USUAL).scale(),
        Objects.requireNonNullElse(rig, Plates.USUAL).train(),
        Drag.USUAL);
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

  /** A word with dashes, as one of an enumeration's. */
  private static <E extends Enum<E>> E word(
      Class<E> type, @Nullable String word, String usual, String name) {
    String wanted = word == null ? usual : word;
    return Arrays.stream(type.getEnumConstants())
        .filter(value -> dashed(value).equals(wanted))
        .findFirst()
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    name
                        + ": one of "
                        + Arrays.stream(type.getEnumConstants()).map(RoadApi::dashed).toList()));
  }

  private static String dashed(Enum<?> value) {
    return value.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /**
   * A stop to compute.
   *
   * @param slope rise in metres for a metre; negative downhill; 0 if it is left out
   * @param way lever or pedal; lever if it is left out
   * @param pedal deceleration that the pedal asks the vehicle for, m/s²; 4 if it is left out
   * @param controller inertia, timed or pedal; inertia if it is left out
   */
  record Wanted(
      @Nullable Plates rig,
      @Nullable String job,
      @Nullable Scale scale,
      @Nullable Double gain,
      @Nullable Double speedKmh,
      @Nullable String surface,
      @Nullable Double slope,
      @Nullable String way,
      @Nullable Double pedal,
      @Nullable String controller) {}

  /** The greatest push of the trailer on the vehicle, and the greatest pull. */
  record Coupler(double push, double pull) {}

  record Lock(String wheel, double atS) {}

  record Point(double s, double speedMps, double deceleration, double couplerN) {}

  /**
   * @param stands whether it came to rest within a minute; distance and time are told up to there
   */
  record Computed(
      boolean stands,
      double distanceM,
      double timeS,
      double meanDeceleration,
      Coupler couplerForceN,
      List<Lock> locks,
      List<Point> series) {}

  @Operation(
      summary = "A stop computed: distance, time, coupler force, which wheels slide and when")
  @PostMapping("/simulate")
  Computed simulate(@RequestBody Wanted asked, @Parameter(hidden = true) Person person) {
    Known known = known(asked.job, asked.scale, asked.rig, person);
    GainScale scale = known.scale;
    Train train = known.train;
    double gain = within("gain", given(asked.gain, "gain"), 0, scale.greatest());
    double speed = within("speedKmh", given(asked.speedKmh, "speedKmh"), 5, 130);
    Surface surface = word(Surface.class, asked.surface, "dry-asphalt", "surface");
    double slope = within("slope", Objects.requireNonNullElse(asked.slope, 0.0), -0.3, 0.3);
    double pedal = within("pedal", Objects.requireNonNullElse(asked.pedal, StopTrial.FIRM), 0.5, 9);
    StopTrial trial =
        new StopTrial(
            gain,
            Unit.KILOMETRE_PER_HOUR.toSi(speed),
            surface,
            slope,
            word(TestStop.Way.class, asked.way, "lever", "way"),
            pedal,
            word(Control.Law.class, asked.controller, "inertia", "controller"),
            0,
            0,
            train.trailerMass());
    StopRun run = trial.run(train, scale);
    return new Computed(
        run.stands(),
        run.metres(),
        run.seconds(),
        run.meanDeceleration(),
        new Coupler(run.push(), run.pull()),
        run.locks().stream().map(l -> new Lock(train.wheel(l.brake()), l.seconds())).toList(),
        run.series().stream()
            .map(m -> new Point(m.seconds(), m.speed(), m.deceleration(), m.coupler()))
            .toList());
  }
}
