package org.jexel.app.road;

import static org.jexel.app.drawing.Palette.INK;

import java.util.function.ToDoubleFunction;
import org.jexel.app.drawing.Look;
import org.jexel.app.drawing.Marks;
import org.jexel.app.drawing.Palette;
import org.jexel.app.drawing.Svg;
import org.jexel.core.braking.StopRun;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;

/**
 * A stop over time, with trailer brakes as a thick line and without them as a dashed one: speed
 * above, the force at the coupling below. Squares stand where a wheel began to slide, a line where
 * the Towline's forces are told.
 */
final class TrialDrawing {
  private static final double WIDTH = 460;
  private static final double HEIGHT = 330;
  private static final double LEFT = 52;
  private static final double RIGHT = 450;
  private static final double TOP = 22;
  private static final double MIDDLE = 158;
  private static final double UPPER = 186;
  private static final double BOTTOM = 296;

  /** Seconds are written at most so many times. */
  private static final int WRITTEN = 6;

  private static final Object[] BARE = {
    "class", "ink", "fill", "none", "stroke", INK, "stroke-width", 1.8, "stroke-dasharray", "5 4"
  };

  private final Svg svg =
      new Svg(WIDTH, HEIGHT, "img", "The stop over time, with trailer brakes and without");
  private final TrialForm.Outcome told;
  private final UnitSystem units;
  private final double seconds;
  private final double most;
  private final double least;

  private TrialDrawing(TrialForm.Outcome told, UnitSystem units) {
    this.told = told;
    this.units = units;
    this.seconds = Math.max(told.run().seconds(), told.bare().seconds());
    this.most = Math.max(1, Math.max(told.run().push(), told.bare().push()));
    this.least = -Math.max(told.run().pull(), told.bare().pull());
  }

  static String draw(TrialForm.Outcome told, UnitSystem units) {
    return new TrialDrawing(told, units).draw();
  }

  private String draw() {
    double speed = told.trial().speed();
    axis(MIDDLE, "0");
    svg.label(LEFT - 6, TOP + 5, Measure.SPEED.number(speed, units), "end", 13, INK);
    svg.label(LEFT, TOP - 8, Measure.SPEED.unit(units).symbol() + ", speed", "start", 13, INK);
    line(told.bare(), m -> MIDDLE - (MIDDLE - TOP) * m.speed() / speed, BARE);
    line(told.run(), m -> MIDDLE - (MIDDLE - TOP) * m.speed() / speed, Look.work(2.8));
    axis(force(0), "0");
    svg.label(LEFT - 6, UPPER + 5, Measure.FORCE.number(most, units), "end", 13, INK);
    svg.label(
        LEFT,
        UPPER - 8,
        Measure.FORCE.unit(units).symbol() + ", the trailer's push on the coupling",
        "start",
        13,
        INK);
    line(told.bare(), m -> force(m.coupler()), BARE);
    line(told.run(), m -> force(m.coupler()), Look.work(2.8));
    Marks marks = new Marks(svg);
    told.run().locks().forEach(lock -> marks.mark(x(lock.seconds()), MIDDLE, Verdict.FAILS));
    double at = x(told.moment().seconds());
    svg.line(at, TOP, at, BOTTOM, "class", "ink", "stroke", INK, "stroke-width", 1.4);
    times();
    return svg.finish();
  }

  private void times() {
    double every = Math.max(1, Math.ceil(seconds / WRITTEN));
    for (double t = 0; t <= seconds; t += every) {
      svg.label(x(t), BOTTOM + 22, Measure.SECONDS.number(t, units), "middle", 13, INK);
    }
    svg.label(RIGHT, BOTTOM + 22, "s", "end", 13, INK);
  }

  private void axis(double y, String words) {
    svg.line(LEFT, y, RIGHT, y, "class", "rule", "stroke", Palette.RULE, "stroke-width", 1.0);
    svg.label(LEFT - 6, y + 5, words, "end", 13, INK);
  }

  private void line(StopRun run, ToDoubleFunction<StopRun.Moment> height, Object[] look) {
    StringBuilder path = new StringBuilder();
    for (StopRun.Moment moment : run.series()) {
      path.append(path.isEmpty() ? "M" : " L")
          .append(Svg.n(x(moment.seconds())))
          .append(' ')
          .append(Svg.n(height.applyAsDouble(moment)));
    }
    svg.path(path.toString(), look);
  }

  private double x(double at) {
    return LEFT + (RIGHT - LEFT) * at / seconds;
  }

  private double force(double newton) {
    return BOTTOM - (BOTTOM - UPPER) * (newton - least) / (most - least);
  }
}
