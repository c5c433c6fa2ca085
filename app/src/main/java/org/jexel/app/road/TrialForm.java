package org.jexel.app.road;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.TypedFields;
import org.jexel.core.braking.Control;
import org.jexel.core.braking.StopRun;
import org.jexel.core.braking.Surface;
import org.jexel.core.braking.Train;
import org.jexel.core.job.RoadWork;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.RigField;
import org.jexel.core.road.EvenPull;
import org.jexel.core.road.StopTrial;
import org.jexel.core.road.TestStop;
import org.jspecify.annotations.Nullable;

/**
 * A stop tried in the computer, as somebody set it up.
 *
 * @param typed each field's text; what this rig has where nothing was typed
 * @param problems by field
 * @param outcome null where there are problems
 */
record TrialForm(
    Map<String, String> typed, Map<String, String> problems, @Nullable Outcome outcome) {
  static final List<String> FIELDS =
      List.of(
          "gain", "speed", "surface", "slope", "way", "pedal", "law", "yaw", "pitch", "load", "at");

  /** What is tried unless somebody says otherwise, m/s and a brake that is asked for firmly. */
  private static final double SPEED = 80 / 3.6;

  /** Without a cursor the picture stands here, s. */
  private static final double AT = 1;

  /**
   * What came of it.
   *
   * @param bare the same stop by the vehicle alone
   * @param moment under the cursor
   */
  record Outcome(
      StopTrial trial,
      Train train,
      StopRun run,
      StopRun bare,
      StopRun.Moment moment,
      EvenPull even) {
    /** The forces of the moment. */
    public String words(UnitSystem units) {
      double coupler = moment.coupler();
      return "Trailer brakes %s, vehicle %s; the trailer %s %s."
          .formatted(
              Measure.FORCE.text(moment.trailer(), units),
              Measure.FORCE.text(moment.vehicle(), units),
              coupler >= 0 ? "pushes with" : "tugs with",
              Measure.FORCE.text(Math.abs(coupler), units));
    }

    /** Wheels that slid, in words. */
    public List<String> slid() {
      return run.locks().stream()
          .map(
              lock ->
                  train.wheel(lock.brake())
                      + ", after "
                      + Measure.SECONDS.text(lock.seconds(), UnitSystem.METRIC))
          .toList();
    }
  }

  static TrialForm of(JobFile file, Map<String, String> asked) {
    Map<String, String> typed = usual(file);
    FIELDS.forEach(
        field -> {
          if (!asked.getOrDefault(field, "").isBlank()) {
            typed.put(field, asked.getOrDefault(field, ""));
          }
        });
    TypedFields fields = new TypedFields(typed, file.units());
    StopTrial trial = read(file, fields);
    Double at = fields.within("at", Measure.SECONDS, 0, 60);
    if (!fields.sound() || trial == null || at == null) {
      return new TrialForm(typed, fields.problems(), null);
    }
    RoadWork road = file.work().road();
    Train train = road.trainAsFound();
    StopRun run = trial.run(train, road.scale());
    return new TrialForm(
        typed,
        fields.problems(),
        new Outcome(
            trial,
            train,
            run,
            trial.unbraked(train),
            run.at(at),
            EvenPull.of(train, road.scale(), trial)));
  }

  private static @Nullable StopTrial read(JobFile file, TypedFields fields) {
    Double gain = fields.number("gain", Measure.GAIN);
    if (gain != null && gain != 0) {
      StopForm.onScale(file, gain, fields);
    }
    Double speed = fields.within("speed", Measure.SPEED, 10 / 3.6, 130 / 3.6);
    Surface surface = fields.choice(Surface.class, "surface");
    Double slope = fields.within("slope", Measure.PERCENT, -0.3, 0.3);
    TestStop.Way way = fields.choice(TestStop.Way.class, "way");
    Double pedal = fields.within("pedal", Measure.DECELERATION, 0.5, 9);
    Control.Law law = fields.choice(Control.Law.class, "law");
    Double yaw = fields.within("yaw", Measure.DEGREES, Math.toRadians(-90), Math.toRadians(90));
    Double pitch = fields.within("pitch", Measure.DEGREES, Math.toRadians(-45), Math.toRadians(45));
    double empty = file.rig().sheet().si(RigField.EMPTY_MASS);
    Double load = fields.within("load", Measure.MASS, empty / 2, 10 * empty);
    if (gain == null
        || speed == null
        || surface == null
        || slope == null
        || way == null
        || pedal == null
        || law == null
        || yaw == null
        || pitch == null
        || load == null) {
      return null;
    }
    return new StopTrial(gain, speed, surface, slope, way, pedal, law, yaw, pitch, load);
  }

  private static Map<String, String> usual(JobFile file) {
    RoadWork road = file.work().road();
    double advised = road.advice().gain();
    double gain =
        road.gains()
            .holding()
            .map(setting -> setting.gain())
            .orElse(Double.isNaN(advised) ? road.scale().middle() : advised);
    Map<String, String> typed = new LinkedHashMap<>();
    typed.put("gain", Measure.GAIN.number(gain, file.units()));
    typed.put("speed", Measure.SPEED.number(SPEED, file.units()));
    typed.put("surface", road.surface().orElse(Surface.DRY_ASPHALT).name());
    typed.put("slope", "0");
    typed.put("way", TestStop.Way.PEDAL.name());
    typed.put("pedal", Measure.DECELERATION.number(StopTrial.FIRM, file.units()));
    typed.put("law", StopTrial.law(file.rig().controllerKind()).name());
    typed.put("yaw", "0");
    typed.put("pitch", "0");
    typed.put("load", Measure.MASS.number(file.work().rig().load().mass(), file.units()));
    typed.put("at", Measure.SECONDS.number(AT, file.units()));
    return typed;
  }
}
