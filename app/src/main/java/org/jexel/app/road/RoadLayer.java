package org.jexel.app.road;

import static org.jexel.app.drawing.Svg.n;

import java.util.List;
import java.util.Locale;
import org.jexel.app.drawing.Canvas;
import org.jexel.app.drawing.Look;
import org.jexel.app.drawing.Palette;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.Looked;
import org.jexel.core.braking.Stop;
import org.jexel.core.braking.StopRun;
import org.jexel.core.braking.Train;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.RigSheet;
import org.jexel.core.road.TestStop;

/**
 * What the last stop did: the force of the brakes, and wheels that locked; on the card of a stop
 * that is tried, the forces of the moment under its cursor.
 */
final class RoadLayer {
  private static final double PX_PER_KN = 14;

  /** Of an arrow, px. */
  private static final double LONGEST = 160;

  /** Less is not drawn, N. */
  private static final double LEAST_FORCE = 20;

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

  void paint(Looked looked) {
    looked.shown(TrialForm.Outcome.class).ifPresentOrElse(this::moment, this::last);
  }

  /** The forces at one moment of a stop that is tried: of both brakes, and at the coupling. */
  private void moment(TrialForm.Outcome told) {
    StopRun.Moment now = told.moment();
    force(sheet.si(RigField.AXLE_CENTRE), now.trailer(), "F");
    force(-sheet.si(RigField.REAR_OVERHANG) - sheet.si(RigField.WHEELBASE), now.vehicle(), "F");
    if (Math.abs(now.coupler()) > LEAST_FORCE) {
      coupling(now.coupler());
    }
    for (int i = 0; i < told.train().brakes().size(); i++) {
      Train.Brake brake = told.train().brakes().get(i);
      if (now.slides(i)) {
        wheel(brake.axle(), brake.left() ? 1 : -1);
      }
    }
    canvas.foot(
        canvas.at().x(0),
        "after %s: %s, %s"
            .formatted(
                Measure.SECONDS.text(now.seconds(), units),
                Measure.SPEED.text(now.speed(), units),
                Measure.DECELERATION.text(now.deceleration(), units)),
        "middle");
  }

  /** Push of the trailer to the left, tug to the right. */
  private void coupling(double push) {
    double length = Math.max(14, Math.min(LONGEST, PX_PER_KN * Math.abs(push) / 1000));
    double x = canvas.at().x(0);
    double y = canvas.at().y(0) - 26;
    arrow(x, y, push > 0 ? -length : length);
    canvas.label(
        x,
        y - 10,
        (push > 0 ? "pushes " : "tugs ") + Measure.FORCE.text(Math.abs(push), units),
        "middle",
        Palette.WORK);
  }

  private void force(double place, double newton, String name) {
    if (newton < LEAST_FORCE) {
      return;
    }
    double length = Math.min(LONGEST, PX_PER_KN * newton / 1000);
    double x = canvas.at().x(place);
    arrow(x, canvas.at().y(0), length);
    canvas.label(
        x + length + 8,
        canvas.at().y(0) + 5,
        name + " " + Measure.FORCE.text(newton, units),
        "start",
        Palette.WORK);
  }

  private void arrow(double x, double y, double length) {
    double head = Math.copySign(9, length);
    canvas
        .svg()
        .path(
            "M%s %s l%s 0 m%s -6 l%s 6 l%s 6"
                .formatted(n(x), n(y), n(length), n(-head), n(head), n(-head)),
            Look.work(3.4));
  }

  private void wheel(int axle, int side) {
    double half = sheet.si(RigField.OVERALL_WIDTH) / 2 + 0.06;
    canvas
        .marks()
        .mark(
            canvas.at().x(file.rig().axlePlaces()[axle]),
            canvas.at().y(side * half),
            Verdict.FAILS);
  }

  private void last() {
    List<TestStop> stops = file.record().stops();
    if (stops.isEmpty()) {
      canvas.foot(canvas.at().x(0), "no stop yet", "middle");
      return;
    }
    TestStop last = stops.get(stops.size() - 1);
    Stop told = last.analysed(file.work().road().drag()).orElse(null);
    double axle = sheet.si(RigField.AXLE_CENTRE);
    if (told != null && !Double.isNaN(told.trailerForce())) {
      force(axle, told.trailerForce(), "F");
    }
    if (last.outcome().locked()) {
      for (int i : file.rig().brakedAxles()) {
        wheel(i, 1);
        wheel(i, -1);
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
