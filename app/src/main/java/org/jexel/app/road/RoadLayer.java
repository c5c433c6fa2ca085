package org.jexel.app.road;

import static org.jexel.app.drawing.Svg.n;

import java.util.List;
import java.util.Locale;
import org.jexel.app.drawing.Canvas;
import org.jexel.app.drawing.Look;
import org.jexel.app.drawing.Palette;
import org.jexel.app.job.JobFile;
import org.jexel.core.braking.Stop;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.RigSheet;
import org.jexel.core.road.TestStop;

/** What the last stop did: the force of the brakes, and wheels that locked. */
final class RoadLayer {
  private final JobFile file;
  private final RigSheet sheet;
  private final UnitSystem units;
  private final Canvas canvas;

  RoadLayer(JobFile file, Canvas canvas) {
    this.file = file;
    this.sheet = file.rig().sheet();
    this.units = file.units();
    this.canvas = canvas;
  }

  void paint() {
    List<TestStop> stops = file.record().stops();
    if (stops.isEmpty()) {
      canvas.foot(canvas.at().x(0), "no stop yet", "middle");
      return;
    }
    TestStop last = stops.get(stops.size() - 1);
    Stop told = last.analysed().orElse(null);
    double axle = sheet.si(RigField.AXLE_CENTRE);
    if (told != null && !Double.isNaN(told.trailerForce())) {
      double x = canvas.at().x(axle);
      double length = Math.min(160, 14 * told.trailerForce() / 1000);
      canvas
          .svg()
          .path(
              "M%s %s l%s 0 m-9 -6 l9 6 l-9 6".formatted(n(x), n(canvas.at().y(0)), n(length)),
              Look.work(3.4));
      canvas.label(
          x + length + 8,
          canvas.at().y(0) + 5,
          "F " + Measure.FORCE.text(told.trailerForce(), units),
          "start",
          Palette.WORK);
    }
    if (last.outcome().locked()) {
      double half = sheet.si(RigField.OVERALL_WIDTH) / 2 + 0.06;
      for (int i : file.rig().brakedAxles()) {
        for (int side = -1; side <= 1; side += 2) {
          canvas
              .marks()
              .mark(
                  canvas.at().x(file.rig().axlePlaces()[i]),
                  canvas.at().y(side * half),
                  Verdict.FAILS);
        }
      }
    }
    canvas.foot(
        canvas.at().x(axle),
        "last stop: gain %s, %s%s"
            .formatted(
                Measure.GAIN.number(last.gain(), units),
                last.outcome().label().toLowerCase(Locale.ROOT),
                told == null ? "" : ", " + Measure.DECELERATION.text(told.deceleration(), units)),
        "middle");
  }
}
