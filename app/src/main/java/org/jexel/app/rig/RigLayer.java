package org.jexel.app.rig;

import static org.jexel.app.drawing.Palette.INK;
import static org.jexel.app.drawing.Svg.n;

import org.jexel.app.drawing.Canvas;
import org.jexel.app.drawing.Look;
import org.jexel.app.drawing.Palette;
import org.jexel.app.job.JobFile;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.RigSheet;

/** Lengths, and the loads that stand on ball and axles. */
final class RigLayer {
  private final JobFile file;
  private final RigSheet sheet;
  private final UnitSystem units;
  private final Canvas canvas;

  RigLayer(JobFile file, Canvas canvas) {
    this.file = file;
    this.sheet = file.rig().sheet();
    this.units = file.units();
    this.canvas = canvas;
  }

  private static final double DIMENSIONS = 206;

  void paint() {
    dimension(-sheet.si(RigField.TOW_LENGTH), -0.02, DIMENSIONS, RigField.TOW_LENGTH);
    dimension(0.02, sheet.si(RigField.OVERALL_LENGTH), DIMENSIONS, RigField.OVERALL_LENGTH);
    down(
        canvas.at().x(0),
        "tongue " + Measure.MASS.text(file.work().rig().load().tongue(), units),
        40);
    down(
        canvas.at().x(sheet.si(RigField.AXLE_CENTRE)),
        "axles " + Measure.MASS.text(file.work().rig().load().axleGroup(), units),
        40);
  }

  private void dimension(double from, double to, double y, RigField field) {
    double a = canvas.at().x(from);
    double b = canvas.at().x(to);
    Object[] look = Look.ink(1.0);
    canvas.svg().line(a, y, b, y, look);
    canvas.svg().line(a, y - 5, a, y + 5, look);
    canvas.svg().line(b, y - 5, b, y + 5, look);
    String words = field.measure().text(sheet.si(field), units);
    canvas.label(
        (a + b) / 2, y + 16, words + (sheet.figure(field).assumed() ? " ?" : ""), "middle", INK);
  }

  /** A load arrow that points down onto the rig from above. */
  private void down(double x, String words, double tip) {
    canvas
        .svg()
        .path(
            "M%s 20 L%s %s M%s %s L%s %s L%s %s"
                .formatted(
                    n(x), n(x), n(tip), n(x - 5), n(tip - 8), n(x), n(tip), n(x + 5), n(tip - 8)),
            Look.work(2.2));
    canvas.label(x + 9, 33, words, "start", Palette.WORK);
  }
}
