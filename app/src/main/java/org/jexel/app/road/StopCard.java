package org.jexel.app.road;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jexel.app.job.JobFile;
import org.jexel.core.braking.Surface;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.road.Observed;
import org.jexel.core.road.Outcome;
import org.jexel.core.road.TestStop;

/** The form of a test stop: its fields, and what stands in them before anybody types. */
final class StopCard {
  private static final List<String> FIELDS =
      List.of(
          "gain",
          "way",
          "speed",
          "surface",
          "outcome",
          "distance",
          "seconds",
          "deceleration",
          "trace",
          "note",
          "how",
          "pull",
          "feel",
          "place");

  /** Fields that are folded until somebody asks for them. */
  private static final List<String> MORE = List.of("how", "place");

  /** The usual speed of a test stop, 40 km/h. */
  static final double USUAL_SPEED = 40 / 3.6;

  private StopCard() {}

  /** A field for each braked wheel, with its name. */
  static Map<String, String> wheels(JobFile file) {
    Map<String, String> wheels = new LinkedHashMap<>();
    for (int axle : file.rig().brakedAxles()) {
      for (boolean left : new boolean[] {true, false}) {
        wheels.put(
            StopForm.wheel(axle, left), new Observed.Wheel(axle, left, Outcome.NOTHING).label());
      }
    }
    return wheels;
  }

  /** What somebody typed, else what is advised and usual. */
  static Map<String, String> typed(JobFile file) {
    Map<String, String> typed = new LinkedHashMap<>();
    FIELDS.forEach(field -> typed.put(field, file.typed().text(RoadService.FORM, field)));
    wheels(file)
        .keySet()
        .forEach(field -> typed.put(field, file.typed().text(RoadService.FORM, field)));
    double advised = file.work().road().advice().gain();
    if (typed.getOrDefault("gain", "").isEmpty() && !Double.isNaN(advised)) {
      typed.put("gain", Measure.GAIN.number(advised, UnitSystem.METRIC));
    }
    if (typed.getOrDefault("speed", "").isEmpty()) {
      typed.put("speed", Measure.SPEED.number(USUAL_SPEED, file.units()));
    }
    if (typed.getOrDefault("surface", "").isEmpty()) {
      List<TestStop> stops = file.record().stops();
      typed.put(
          "surface",
          (stops.isEmpty() ? Surface.DRY_ASPHALT : stops.get(stops.size() - 1).surface()).name());
    }
    if (typed.getOrDefault("way", "").isEmpty()) {
      typed.put("way", TestStop.Way.LEVER.name());
    }
    return typed;
  }

  /** The form's fields of what was posted. */
  static Map<String, String> fields(JobFile file, Map<String, String> posted) {
    Map<String, String> fields = new LinkedHashMap<>();
    FIELDS.forEach(field -> fields.put(field, posted.getOrDefault(field, "")));
    wheels(file).keySet().forEach(field -> fields.put(field, posted.getOrDefault(field, "")));
    return fields;
  }

  /** Whether something was typed in what is folded. */
  static boolean more(JobFile file, Map<String, String> typed) {
    return MORE.stream().anyMatch(f -> !typed.getOrDefault(f, "").isEmpty())
        || wheels(file).keySet().stream().anyMatch(w -> !typed.getOrDefault(w, "").isEmpty());
  }
}
