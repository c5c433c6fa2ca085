package org.jexel.app.breakaway;

import static org.jexel.app.drawing.Palette.INK;

import org.jexel.app.drawing.Canvas;
import org.jexel.app.drawing.Look;
import org.jexel.app.drawing.Palette;
import org.jexel.app.drawing.Svg;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.Looked;
import org.jexel.core.breakaway.BreakawayLoad;
import org.jexel.core.breakaway.CableFit;
import org.jexel.core.breakaway.Coupling;
import org.jexel.core.breakaway.Point;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.RigField;

/**
 * Cable and chains as they hang, and how long the battery holds; on the card of the cable at the
 * turn of its own picture, with the window about the cable's eye.
 */
final class BreakawayLayer {
  private static final Point BALL = new Point(0, 0, 0);

  /** Half of the arc that is drawn of a cable's reach, rad. */
  private static final double ARC = Math.toRadians(25);

  private static final int ARC_PARTS = 6;

  private static final Object[] CHAIN = {
    "class", "ink", "fill", "none", "stroke", INK, "stroke-width", 1.8, "stroke-dasharray", "4 3"
  };

  private static final Object[] LEAST = {
    "class", "ink", "fill", "none", "stroke", INK, "stroke-width", 1.4
  };

  private static final Object[] DRAWBAR = {
    "class",
    "metal",
    "fill",
    "none",
    "stroke",
    Palette.METAL,
    "stroke-width",
    7.0,
    "stroke-linecap",
    "round"
  };

  private final JobFile file;
  private final UnitSystem units;
  private final Canvas canvas;

  BreakawayLayer(JobFile file, Canvas canvas) {
    this.file = file;
    this.units = file.units();
    this.canvas = canvas;
  }

  void paint(Looked looked) {
    CableFit fit = file.work().breakaway().cable();
    Coupling coupling = fit.window().coupling();
    Point.Turn turn = looked.shown(Point.Turn.class).orElse(Point.Turn.STRAIGHT);
    if (turn.yaw() != 0) {
      line(
          BALL, new Point(-file.rig().sheet().si(RigField.DRAWBAR_LENGTH), 0, 0).on(turn), DRAWBAR);
    }
    coupling.chains().forEach(c -> line(c.vehicle(), c.trailer().on(turn), CHAIN));
    Point pin = coupling.pin().on(turn);
    line(coupling.fixing(), pin, Look.work(2.6));
    if (looked.card().equals(BreakawayController.CABLE)) {
      reach(coupling.fixing(), pin, fit.window().least(), LEAST);
      reach(coupling.fixing(), pin, fit.window().greatest(), CHAIN);
      foot(
          "turned by %.0f°: %s from eye to pin · "
                  .formatted(
                      Math.toDegrees(turn.yaw()), length(coupling.cable(turn, new Point(0, 0, 0))))
              + cable(fit));
      return;
    }
    BreakawayLoad load = file.work().breakaway().load();
    String holds =
        load.holding()
            .map(h -> "the battery lasts " + Measure.MINUTES.text(h.seconds(), units))
            .orElse(load.amps() > 0 ? "no kit entered" : "nothing electric to hold");
    foot(
        file.rig().hasElectricBrakes() || fit.known()
            ? cable(fit) + " · chains dashed · " + holds
            : "chains dashed · " + holds);
  }

  private void foot(String words) {
    canvas.foot(canvas.at().x(0), words, "middle");
  }

  private String cable(CableFit fit) {
    String there = fit.known() ? "cable " + length(fit.length()) : "cable not measured";
    return "%s, may be %s to %s"
        .formatted(there, length(fit.window().least()), length(fit.window().greatest()));
  }

  /** Where a cable of a length ends, about the way to the pin: an arc about its eye. */
  private void reach(Point eye, Point pin, double length, Object[] look) {
    double middle = Math.atan2(pin.y() - eye.y(), pin.x() - eye.x());
    StringBuilder path = new StringBuilder();
    for (int i = -ARC_PARTS; i <= ARC_PARTS; i++) {
      double angle = middle + ARC * i / ARC_PARTS;
      Point end =
          new Point(eye.x() + length * Math.cos(angle), eye.y() + length * Math.sin(angle), 0);
      path.append(path.isEmpty() ? "M" : " L")
          .append(Svg.n(x(end)))
          .append(' ')
          .append(Svg.n(y(end)));
    }
    canvas.svg().path(path.toString(), look);
  }

  private String length(double metres) {
    return Measure.SMALL_LENGTH.text(metres, units);
  }

  private void line(Point one, Point other, Object[] look) {
    canvas.svg().line(x(one), y(one), x(other), y(other), look);
  }

  private double x(Point point) {
    return canvas.at().x(-point.x());
  }

  private double y(Point point) {
    return canvas.at().y(point.y());
  }
}
