package org.jexel.app.road;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jexel.app.drawing.CurveDrawing;
import org.jexel.app.job.JobFile;
import org.jexel.app.library.ControllerEntry;
import org.jexel.core.cab.ControllerModel;
import org.jexel.core.road.VoltsByGain;

/** The card of volts by gain. */
final class VoltsCard {
  static final List<String> FIELDS = List.of("gain", "volts");

  private VoltsCard() {}

  /**
   * A reading of volts by gain.
   *
   * @param off the line, V; NaN while there is none
   */
  record VoltsRow(long id, double gain, double volts, double off, boolean odd, String who) {}

  static void show(JobFile file, VoltsService volts, Map<String, Object> view) {
    Map<String, String> typed = new LinkedHashMap<>();
    for (String field : FIELDS) {
      typed.put(field, file.typed().text(VoltsService.FORM, field));
    }
    boolean asked = typed.values().stream().anyMatch(text -> !text.isEmpty());
    view.put("voltsTyped", typed);
    view.put("voltsProblems", asked ? volts.problems(file, typed) : Map.<String, String>of());
    Optional<VoltsByGain> line = file.work().road().volts();
    List<VoltsLine> rows = RoadRows.of(file).volts();
    List<VoltsRow> told = new ArrayList<>();
    for (int i = 0; i < rows.size(); i++) {
      int at = i;
      VoltsByGain.Reading read = rows.get(i).reading();
      told.add(
          new VoltsRow(
              rows.get(i).id(),
              read.gain(),
              read.volts(),
              line.map(l -> l.residuals().get(at)).orElse(Double.NaN),
              line.map(l -> l.odd(at)).orElse(false),
              rows.get(i).person().name()));
    }
    view.put("voltRows", told);
    view.put("line", line.orElse(null));
    view.put("entry", volts.entry(file).map(ControllerEntry::label).orElse(null));
    List<ControllerModel.Point> curve =
        file.work().road().curve().stream()
            .map(r -> new ControllerModel.Point(r.gain(), r.volts()))
            .toList();
    List<ControllerModel.Point> odd =
        told.stream()
            .filter(VoltsRow::odd)
            .map(row -> new ControllerModel.Point(row.gain(), row.volts()))
            .toList();
    view.put(
        "curve",
        curve.size() < 2
            ? null
            : CurveDrawing.draw(
                curve, odd, file.work().road().scale().greatest(), "as it is known"));
  }
}
