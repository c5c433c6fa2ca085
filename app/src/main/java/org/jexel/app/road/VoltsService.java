package org.jexel.app.road;

import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jexel.app.job.Drafts;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.RequestKey;
import org.jexel.app.job.TypedFields;
import org.jexel.app.library.ControllerEntry;
import org.jexel.app.library.ControllerLibrary;
import org.jexel.core.cab.ControllerModel;
import org.jexel.core.quantity.Measure;
import org.jexel.core.road.VoltsByGain;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Takes volts by gain, and keeps their curve with the controller. */
@Service
class VoltsService {
  static final String FORM = "gain-volts";

  /** No vehicle's supply gives more. */
  private static final double MOST_VOLTS = 16;

  private final VoltsLineRepository volts;
  private final ControllerLibrary library;
  private final Drafts drafts;
  private final Clock clock;

  VoltsService(VoltsLineRepository volts, ControllerLibrary library, Drafts drafts, Clock clock) {
    this.volts = volts;
    this.library = library;
    this.drafts = drafts;
    this.clock = clock;
  }

  Map<String, String> problems(JobFile file, Map<String, String> typed) {
    TypedFields fields = new TypedFields(typed, file.units());
    read(file, fields);
    return fields.problems();
  }

  private static VoltsByGain.@Nullable Reading read(JobFile file, TypedFields fields) {
    Double gain = fields.number("gain", Measure.GAIN);
    StopForm.onScale(file, gain, fields);
    if (gain != null && gain == 0) {
      fields.problem("gain", "Gain 0 is off: there is nothing to read.");
    }
    Double read = fields.within("volts", Measure.VOLTS, 0, MOST_VOLTS);
    return fields.sound() && gain != null && read != null
        ? new VoltsByGain.Reading(gain, read)
        : null;
  }

  /** Keeps a reading, or what was typed. */
  void record(JobFile file, Map<String, String> typed, @Nullable Long corrects, String requestKey) {
    String key = RequestKey.of(requestKey);
    if (volts.existsByJobIdAndRequestKey(file.job().id(), key)) {
      return;
    }
    VoltsByGain.Reading reading = read(file, new TypedFields(typed, file.units()));
    boolean stands =
        corrects == null
            || RoadRows.of(file).volts().stream().anyMatch(row -> row.id().equals(corrects));
    if (reading == null || !stands) {
      typed.forEach((field, text) -> drafts.keep(file.job(), file.person(), FORM, field, text, 1));
      return;
    }
    volts.save(new VoltsLine(file.job(), reading, corrects, file.person(), clock.instant(), key));
    drafts.dropForm(file.job(), file.person(), FORM);
    file.changed();
  }

  /** The library's entry of this job's controller; empty where no model is named. */
  Optional<ControllerEntry> entry(JobFile file) {
    Optional<String> label = file.work().cab().model().map(ControllerModel::label);
    return library.all(file.person()).stream()
        .filter(entry -> label.filter(entry.label()::equals).isPresent())
        .findFirst();
  }

  /** Puts the curve as read into the library, for every job with this controller. */
  void keep(JobFile file) {
    Optional<VoltsByGain> read = file.work().road().volts();
    Optional<ControllerEntry> entry = entry(file);
    if (read.isPresent() && entry.isPresent()) {
      List<ControllerModel.Point> curve =
          read.get().curve().stream()
              .map(point -> new ControllerModel.Point(point.gain(), point.volts()))
              .toList();
      ControllerModel model = entry.get().model().with(curve);
      library.keep(file.person(), entry.get().id(), entry.get().version(), model);
      file.changed();
    }
  }
}
