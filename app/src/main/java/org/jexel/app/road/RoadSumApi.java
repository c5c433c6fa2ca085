package org.jexel.app.road;

import java.util.Arrays;
import java.util.Locale;
import java.util.Objects;
import org.jexel.app.job.JobFiles;
import org.jexel.app.job.SumApi;
import org.jexel.app.security.Person;
import org.jexel.core.braking.Drag;
import org.jexel.core.braking.Train;
import org.jexel.core.job.RoadWork;
import org.jexel.core.road.GainScale;
import org.jexel.core.road.RigTrain;
import org.jspecify.annotations.Nullable;

/** What the road's sums for programs share: a scale and a rig by their plates, or a job. */
abstract class RoadSumApi extends SumApi {
  private static final int MOST_MARKS = 1000;

  private final JobFiles files;

  RoadSumApi(JobFiles files) {
    this.files = files;
  }

  /** A controller's grid; 0 to 10 by halves if it is left out. */
  record Scale(@Nullable Double least, @Nullable Double greatest, @Nullable Double step) {
    private static final Scale USUAL = new Scale(0.0, 10.0, 0.5);

    GainScale scale() {
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
    Train train() {
      int all = (int) within("rig.axles", given(axles, "rig.axles"), 1, 3);
      int braked = (int) within("rig.brakedAxles", given(brakedAxles, "rig.brakedAxles"), 1, all);
      double rating =
          within("rig.axleRatingKg", given(axleRatingKg, "rig.axleRatingKg"), 100, 10_000);
      return RigTrain.ofPlates(vehicle(), trailer(), all, braked, rating);
    }
  }

  record Known(GainScale scale, Train train, Drag drag) {}

  Known known(@Nullable String job, @Nullable Scale scale, @Nullable Plates rig, Person person) {
    if (job != null) {
      RoadWork road = files.open(job, person).work().road();
      return new Known(road.scale(), road.train(), road.drag());
    }
    return new Known(
        Objects.requireNonNullElse(scale, Scale.USUAL).scale(),
        Objects.requireNonNullElse(rig, Plates.USUAL).train(),
        Drag.USUAL);
  }

  /** A word with dashes, as one of an enumeration's. */
  static <E extends Enum<E>> E word(
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
                        + Arrays.stream(type.getEnumConstants()).map(RoadSumApi::dashed).toList()));
  }

  static String dashed(Enum<?> value) {
    return value.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }
}
