package org.jexel.app.road;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.TypedFields;
import org.jexel.core.braking.StopLimits;
import org.jexel.core.braking.Surface;
import org.jexel.core.job.RoadWork;
import org.jexel.core.quantity.Measure;
import org.jexel.core.rig.RigField;
import org.jexel.core.road.GainScale;
import org.jexel.core.road.Observed;
import org.jexel.core.road.Outcome;
import org.jexel.core.road.TestStop;
import org.jspecify.annotations.Nullable;

/** Understands the form of a test stop, as it was typed. */
final class StopForm {
  private StopForm() {}

  /** A form as understood: the entry, or the problems by field. */
  record Understood(@Nullable TestStop stop, Map<String, String> problems) {}

  /** What is the matter with what was typed; when it was driven is no part of that. */
  static Map<String, String> problems(JobFile file, Map<String, String> typed) {
    return read(file, typed, Instant.EPOCH).problems();
  }

  /** As typed now, in the units of whoever typed it. */
  static Understood read(JobFile file, Map<String, String> typed, Instant now) {
    TypedFields fields = new TypedFields(typed, file.units());
    return read(file, fields, file.work().road(), now);
  }

  /**
   * @param then how the road stood when it was driven
   */
  static Understood read(JobFile file, TypedFields fields, RoadWork then, Instant at) {
    Double gain = fields.number("gain", Measure.GAIN);
    onScale(file, gain, fields);
    Double speed = fields.number("speed", Measure.SPEED);
    range("speed", speed, StopLimits.SPEED, Measure.SPEED, fields);
    Double distance = fields.optional("distance", Measure.DISTANCE);
    range("distance", distance, StopLimits.DISTANCE, Measure.DISTANCE, fields);
    Double seconds = fields.optional("seconds", Measure.SECONDS);
    range("seconds", seconds, StopLimits.SECONDS, Measure.SECONDS, fields);
    if (speed != null
        && distance != null
        && !fields.problems().containsKey("distance")
        && !StopLimits.possible(speed, distance)) {
      fields.problem("distance", "No tyre stops that short from this speed. Check both.");
    }
    Double deceleration = fields.optional("deceleration", Measure.DECELERATION);
    range("deceleration", deceleration, StopLimits.DECELERATION, Measure.DECELERATION, fields);
    Surface surface = fields.choice(Surface.class, "surface");
    Outcome outcome = fields.choice(Outcome.class, "outcome");
    TestStop.Way way = fields.choice(TestStop.Way.class, "way");
    String note = fields.atMost("note", 200);
    Observed observed = observed(file, fields);
    if (!fields.sound()
        || gain == null
        || way == null
        || speed == null
        || surface == null
        || outcome == null) {
      return new Understood(null, fields.problems());
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
            deceleration,
            file.rig().sheet().si(RigField.KERB_MASS),
            file.work().rig().load().mass(),
            note,
            observed,
            !then.warmUp().done(),
            at),
        fields.problems());
  }

  private static Observed observed(JobFile file, TypedFields fields) {
    List<Observed.Wheel> wheels = new ArrayList<>();
    for (int axle : file.rig().brakedAxles()) {
      for (boolean left : new boolean[] {true, false}) {
        Outcome seen = fields.chosen(Outcome.class, wheel(axle, left));
        if (seen != null) {
          wheels.add(new Observed.Wheel(axle, left, seen));
        }
      }
    }
    return new Observed(
        fields.chosen(Observed.How.class, "how", Observed.How.UNSAID),
        fields.chosen(Observed.Pull.class, "pull", Observed.Pull.UNSAID),
        fields.chosen(Observed.Feel.class, "feel", Observed.Feel.UNSAID),
        wheels,
        fields.atMost("place", 80));
  }

  /** The field in which one wheel's outcome is said. */
  static String wheel(int axle, boolean left) {
    return "wheel" + (axle + 1) + (left ? "L" : "R");
  }

  /** Tells of a gain that is no mark of this controller. */
  static void onScale(JobFile file, @Nullable Double gain, TypedFields fields) {
    GainScale scale = file.work().road().scale();
    if (gain != null && !scale.isMark(gain)) {
      fields.problem(
          "gain",
          "No such mark. This controller goes from %s to %s in steps of %s."
              .formatted(
                  Measure.GAIN.number(scale.least(), fields.units()),
                  Measure.GAIN.number(scale.greatest(), fields.units()),
                  Measure.GAIN.number(scale.step(), fields.units())));
    }
  }

  static void range(
      String field, @Nullable Double si, StopLimits limits, Measure measure, TypedFields fields) {
    if (si != null && !limits.believes(si)) {
      fields.problem(
          field,
          "Not plausible for a test stop. Expected %s to %s."
              .formatted(
                  measure.number(limits.least(), fields.units()),
                  measure.text(limits.greatest(), fields.units())));
    }
  }
}
