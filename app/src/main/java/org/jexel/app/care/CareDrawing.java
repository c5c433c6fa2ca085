package org.jexel.app.care;

import static org.jexel.app.drawing.Palette.INK;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.stream.DoubleStream;
import org.jexel.app.drawing.Look;
import org.jexel.app.drawing.Marks;
import org.jexel.app.drawing.Palette;
import org.jexel.app.drawing.Svg;
import org.jexel.core.care.CareDone;
import org.jexel.core.care.CarePlan;
import org.jexel.core.quantity.CalendarDay;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;

/**
 * What was found of a part over the years. Of a figure: a line for each place, and dashed where it
 * fails. Of a word: a row for each place, with marks.
 */
final class CareDrawing {
  private static final double WIDTH = 460;
  private static final double LEFT = 96;
  private static final double RIGHT = 440;
  private static final double TOP = 16;
  private static final double HIGH = 130;
  private static final double ROW = 30;
  private static final double LETTER = 16;

  /** Less than a year is drawn as a year. */
  private static final long LEAST_DAYS = 365;

  private final CarePlan.Line line;
  private final List<CareDone> done;
  private final UnitSystem units;
  private final LocalDate first;
  private final long days;
  private final Svg svg;
  private final double bottom;

  private CareDrawing(CarePlan.Line line, List<CareDone> done, UnitSystem units) {
    this.line = line;
    this.done = done;
    this.units = units;
    this.first = done.get(0).day();
    this.days =
        Math.max(LEAST_DAYS, ChronoUnit.DAYS.between(first, done.get(done.size() - 1).day()));
    boolean words = !line.part().measure().words().isEmpty();
    this.bottom = TOP + (words ? ROW * line.places().size() : HIGH);
    this.svg = new Svg(WIDTH, bottom + 30, "img", line.part().label() + " over the years");
    if (words) {
      words();
    } else {
      figures();
    }
    svg.line(LEFT, bottom, RIGHT, bottom, "class", "ink", "stroke", INK, "stroke-width", 1.2);
    svg.label(LEFT, bottom + 20, text(first), "start", 14, INK);
    svg.label(RIGHT, bottom + 20, text(first.plusDays(days)), "end", 14, INK);
  }

  /** Empty where there is nothing to compare. */
  static String draw(CarePlan.Line line, List<CareDone> done, UnitSystem units) {
    return done.size() < 2 || line.part().measure() == Measure.DATE
        ? ""
        : new CareDrawing(line, done, units).svg.finish();
  }

  private String text(LocalDate day) {
    return CalendarDay.text(day);
  }

  private double x(CareDone one) {
    return LEFT + (RIGHT - LEFT) * ChronoUnit.DAYS.between(first, one.day()) / days;
  }

  private void words() {
    double y = TOP + ROW / 2;
    Marks marks = new Marks(svg);
    for (Map.Entry<Integer, String> place : line.places().entrySet()) {
      String name = place.getKey() == 0 ? "" : place.getValue();
      svg.label(LEFT - 14, y + 5, name, "end", 14, INK);
      svg.line(LEFT, y, RIGHT, y, "class", "rule", "stroke", Palette.RULE, "stroke-width", 1.0);
      for (CareDone one : done) {
        Double found = one.found().get(place.getKey());
        if (found != null) {
          marks.mark(x(one), y, line.judge(place.getKey(), found));
        }
      }
      y += ROW;
    }
  }

  private void figures() {
    double[] limits =
        line.limits().values().stream()
            .flatMapToDouble(limit -> DoubleStream.of(limit.least(), limit.greatest()))
            .filter(Double::isFinite)
            .distinct()
            .toArray();
    double[] all =
        DoubleStream.concat(
                DoubleStream.of(limits),
                done.stream().flatMap(one -> one.found().values().stream()).mapToDouble(v -> v))
            .sorted()
            .toArray();
    double span = Math.max(all[all.length - 1] - all[0], all[all.length - 1] * 1e-3);
    double least = all[0] - 0.12 * span;
    double scale = HIGH / (1.24 * span);
    for (double limit : limits) {
      double y = bottom - (limit - least) * scale;
      svg.line(
          LEFT,
          y,
          RIGHT,
          y,
          "class",
          "bad",
          "stroke",
          Palette.BAD,
          "stroke-width",
          1.4,
          "stroke-dasharray",
          "6 4");
      svg.label(LEFT - 8, y + 5, line.part().measure().text(limit, units), "end", 14, Palette.BAD);
    }
    double most =
        done.stream()
            .flatMap(one -> one.found().values().stream())
            .mapToDouble(v -> v)
            .max()
            .orElseThrow();
    double high = bottom - (most - least) * scale;
    if (DoubleStream.of(limits).noneMatch(limit -> Math.abs(limit - most) * scale < LETTER)) {
      svg.label(LEFT - 8, high + 5, line.part().measure().text(most, units), "end", 14, INK);
    }
    for (int place : line.places().keySet()) {
      StringBuilder path = new StringBuilder();
      done.stream()
          .filter(one -> one.found().containsKey(place))
          .forEach(
              one ->
                  path.append(path.isEmpty() ? "M" : " L")
                      .append(Svg.n(x(one)))
                      .append(' ')
                      .append(Svg.n(bottom - (one.found().get(place) - least) * scale)));
      svg.path(path.toString(), Look.work(1.6));
    }
    for (CareDone one : done) {
      one.found()
          .forEach(
              (place, value) -> {
                Verdict verdict = line.judge(place, value);
                svg.circle(
                    x(one),
                    bottom - (value - least) * scale,
                    4,
                    "class",
                    "mark",
                    "fill",
                    Palette.verdict(verdict),
                    "stroke",
                    Palette.PAPER,
                    "stroke-width",
                    1.5);
              });
    }
  }
}
