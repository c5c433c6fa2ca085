package org.jexel.app.road;

import static org.jexel.app.drawing.Palette.INK;

import java.util.List;
import org.jexel.app.drawing.Look;
import org.jexel.app.drawing.Palette;
import org.jexel.app.drawing.Svg;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.trace.BrakePhase;
import org.jexel.core.trace.Thinned;
import org.jexel.core.trace.Trace;
import org.jspecify.annotations.Nullable;

/**
 * Deceleration over time: the whole drive with its stops numbered, or the part that was chosen with
 * its surroundings. A thick line at the mean of each, as long as it was braked.
 */
final class TraceDrawing {
  private static final double WIDTH = 640;
  private static final double HEIGHT = 230;
  private static final double LEFT = 46;
  private static final double RIGHT = 628;
  private static final double TOP = 26;
  private static final double BOTTOM = 200;
  private static final int WRITTEN = 8;

  /** Round a part that was chosen, s. */
  private static final double ROUND_S = 4;

  private final Svg svg =
      new Svg(WIDTH, HEIGHT, "img", "Deceleration over time, with the stops in it");
  private final double from;
  private final double to;
  private final double least;
  private final double most;

  private TraceDrawing(List<Thinned.Point> points, double from, double to) {
    this.from = from;
    this.to = to;
    this.least =
        Math.min(-0.5, points.stream().mapToDouble(Thinned.Point::deceleration).min().orElse(0));
    this.most =
        Math.max(1, points.stream().mapToDouble(Thinned.Point::deceleration).max().orElse(1));
  }

  static String draw(Trace trace, List<BrakePhase> stops, @Nullable BrakePhase part) {
    double first = trace.seconds(0);
    double last = trace.seconds(trace.size() - 1);
    double from = part == null ? first : Math.max(first, part.from() - ROUND_S);
    double to = part == null ? last : Math.min(last, part.to() + ROUND_S);
    List<Thinned.Point> points = Thinned.of(trace, from, to, (int) (RIGHT - LEFT));
    return new TraceDrawing(points, from, to).draw(points, stops, part);
  }

  private String draw(
      List<Thinned.Point> points, List<BrakePhase> stops, @Nullable BrakePhase part) {
    svg.line(LEFT, y(0), RIGHT, y(0), "class", "rule", "stroke", Palette.RULE, "stroke-width", 1.0);
    svg.label(LEFT, 14, "m/s², braking is up", "start", 13, INK);
    svg.label(LEFT - 6, y(0) + 5, "0", "end", 13, INK);
    for (int a = 2; a < most; a += 2) {
      svg.line(
          LEFT, y(a), RIGHT, y(a), "class", "rule", "stroke", Palette.RULE, "stroke-width", 0.6);
      svg.label(LEFT - 6, y(a) + 5, String.valueOf(a), "end", 13, INK);
    }
    StringBuilder path = new StringBuilder();
    for (Thinned.Point point : points) {
      path.append(path.isEmpty() ? "M" : " L")
          .append(Svg.n(x(point.seconds())))
          .append(' ')
          .append(Svg.n(y(point.deceleration())));
    }
    svg.path(path.toString(), "class", "ink", "fill", "none", "stroke", INK, "stroke-width", 1.0);
    for (int i = 0; i < stops.size(); i++) {
      mark(stops.get(i), part == null ? String.valueOf(i + 1) : "");
    }
    if (part != null) {
      mark(part, "chosen");
    }
    times();
    return svg.finish();
  }

  private void mark(BrakePhase phase, String name) {
    if (phase.to() < from || phase.from() > to) {
      return;
    }
    double y = y(phase.deceleration());
    StringBuilder path = new StringBuilder("M");
    path.append(Svg.n(x(phase.from()))).append(' ').append(Svg.n(y));
    path.append(" L").append(Svg.n(x(phase.to()))).append(' ').append(Svg.n(y));
    svg.path(path.toString(), Look.work(4));
    svg.label((x(phase.from()) + x(phase.to())) / 2, Math.max(TOP, y - 8), name, "middle", 14, INK);
  }

  private void times() {
    double step = Math.max(1, Math.ceil((to - from) / WRITTEN));
    for (double t = Math.ceil(from); t <= to; t += step) {
      svg.label(x(t), BOTTOM + 22, Measure.SECONDS.number(t, UnitSystem.METRIC), "middle", 13, INK);
    }
    svg.label(RIGHT, BOTTOM + 22, "s", "end", 13, INK);
  }

  private double x(double t) {
    return LEFT + (RIGHT - LEFT) * (t - from) / Math.max(1e-9, to - from);
  }

  private double y(double a) {
    return BOTTOM - (BOTTOM - TOP) * (a - least) / (most - least);
  }
}
