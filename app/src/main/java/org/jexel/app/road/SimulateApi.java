package org.jexel.app.road;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import java.util.List;
import java.util.Objects;
import org.jexel.app.job.JobFiles;
import org.jexel.app.security.Person;
import org.jexel.core.braking.Control;
import org.jexel.core.braking.StopRun;
import org.jexel.core.braking.Surface;
import org.jexel.core.braking.Train;
import org.jexel.core.quantity.Unit;
import org.jexel.core.road.GainScale;
import org.jexel.core.road.StopTrial;
import org.jexel.core.road.TestStop;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The road's sums for programs: a stop computed. */
@RestController
@RequestMapping("/api/road")
class SimulateApi extends RoadSumApi {
  SimulateApi(JobFiles files) {
    super(files);
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
    GainScale scale = known.scale();
    Train train = known.train();
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
