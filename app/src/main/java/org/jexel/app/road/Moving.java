package org.jexel.app.road;

import java.util.List;
import java.util.Optional;
import org.jexel.app.job.JobFile;
import org.jexel.app.library.ControllerEntry;
import org.jexel.app.library.ControllerLibrary;
import org.jexel.core.cab.ControllerModel;
import org.jexel.core.cab.MovedGain;
import org.jexel.core.quantity.Measure;
import org.jexel.core.road.Profile;
import org.jspecify.annotations.Nullable;

/**
 * A settled gain carried to another vehicle's controller.
 *
 * @param models of the workshop with a measured curve
 * @param to the chosen one's number; null while none is chosen
 * @param words what the move says; empty while none is chosen
 */
public record Moving(List<Choice> models, @Nullable Long to, String words) {

  /** A model that may be moved to. */
  public record Choice(long id, String label) {}

  static Moving of(JobFile file, ControllerLibrary library, @Nullable Long to) {
    List<ControllerEntry> measured =
        library.all(file.person()).stream()
            .filter(entry -> entry.readable() && entry.model().curve().size() > 1)
            .toList();
    List<Choice> choices =
        measured.stream().map(entry -> new Choice(entry.id(), entry.label())).toList();
    Optional<ControllerModel> other =
        measured.stream()
            .filter(entry -> entry.id().equals(to))
            .map(ControllerEntry::model)
            .findFirst();
    return new Moving(choices, to, other.map(model -> words(file, model)).orElse(""));
  }

  private static String words(JobFile file, ControllerModel to) {
    Optional<Profile> newest = file.work().road().gains().newest();
    if (newest.isEmpty()) {
      return "Nothing is settled yet that could be moved.";
    }
    Optional<ControllerModel> here = file.work().cab().model();
    if (here.isEmpty() || here.get().curve().size() < 2) {
      return "The volts by gain of this job’s own controller are not known: name its model in the Cab, and measure its curve.";
    }
    double gain = newest.get().setting().gain();
    Optional<MovedGain> moved = MovedGain.of(here.get(), gain, to);
    if (moved.isEmpty()) {
      return "The curve of this job’s controller does not reach gain "
          + Measure.GAIN.number(gain, file.units())
          + ".";
    }
    String volts = Measure.VOLTS.text(moved.get().volts(), file.units());
    return moved.get().gain().isPresent()
        ? "Gain %s gave %s at the connector. On %s that is gain %s, rounded down to its step."
            .formatted(
                Measure.GAIN.number(gain, file.units()),
                volts,
                to.label(),
                Measure.GAIN.number(moved.get().gain().getAsDouble(), file.units()))
        : "Gain %s gave %s at the connector; by its curve %s has no mark for that, its most is %s."
            .formatted(
                Measure.GAIN.number(gain, file.units()),
                volts,
                to.label(),
                Measure.VOLTS.text(moved.get().most(), file.units()));
  }
}
