package org.jexel.app.road;

import static org.jexel.app.drawing.Palette.INK;

import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import org.jexel.app.drawing.Look;
import org.jexel.app.drawing.Palette;
import org.jexel.app.drawing.Svg;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.road.GainAdvice;
import org.jexel.core.road.GainStop;

/**
 * How likely each mark of the scale locks, by all that is known: a bar from below. Stops stand on
 * it, a ring for one that held, a square for one that locked; an arrow shows the next.
 */
final class BeliefDrawing {
  private static final double WIDTH = 460;
  private static final double HEIGHT = 214;
  private static final double LEFT = 46;
  private static final double RIGHT = 452;
  private static final double TOP = 26;
  private static final double BOTTOM = 172;

  /** Bars at most. */
  private static final int BARS = 50;

  /** Marks that are written below the bars, at most. */
  private static final int WRITTEN = 10;

  private BeliefDrawing() {}

  static String draw(GainAdvice advice, List<GainStop> stops) {
    List<GainAdvice.Chance> chances = shown(advice.chances());
    Svg svg = new Svg(WIDTH, HEIGHT, "img", "How likely each gain locks, by all that is known");
    double step = (RIGHT - LEFT) / chances.size();
    int every = (chances.size() + WRITTEN - 1) / WRITTEN;
    for (int i = 0; i < chances.size(); i++) {
      double x = LEFT + i * step;
      double height = (BOTTOM - TOP) * chances.get(i).locks();
      svg.rect(
          x + 1.5,
          BOTTOM - height,
          step - 3,
          height,
          "class",
          "metal",
          "fill",
          Palette.METAL,
          "stroke",
          INK,
          "stroke-width",
          1.0);
      if ((i + 1) % every == 0) {
        svg.label(
            x + step / 2,
            BOTTOM + 18,
            Measure.GAIN.number(chances.get(i).gain(), UnitSystem.METRIC),
            "middle",
            14,
            INK);
      }
      int at = i;
      stops(
          svg,
          stops.stream().filter(stop -> nearest(chances, stop.gain()) == at).toList(),
          x + step / 2);
      if (nearest(chances, advice.gain()) == at) {
        next(svg, x + step / 2);
      }
    }
    svg.line(LEFT, BOTTOM, RIGHT, BOTTOM, Look.ink(1.2));
    svg.label(LEFT - 6, BOTTOM + 5, "never", "end", 14, INK);
    svg.label(LEFT - 6, TOP + 5, "always", "end", 14, INK);
    svg.label((LEFT + RIGHT) / 2, BOTTOM + 38, "gain", "middle", 14, INK);
    return svg.finish();
  }

  /** Of a fine scale every so many marks, the last among them. */
  private static List<GainAdvice.Chance> shown(List<GainAdvice.Chance> all) {
    int every = (all.size() + BARS - 1) / BARS;
    return IntStream.range(0, all.size())
        .filter(i -> (all.size() - 1 - i) % every == 0)
        .mapToObj(all::get)
        .toList();
  }

  /** The bar that stands for a gain; none for one that is not. */
  private static int nearest(List<GainAdvice.Chance> bars, double gain) {
    return IntStream.range(0, Double.isNaN(gain) ? 0 : bars.size())
        .boxed()
        .min(Comparator.comparingDouble(i -> Math.abs(bars.get(i).gain() - gain)))
        .orElse(-1);
  }

  private static void stops(Svg svg, List<GainStop> stops, double x) {
    double y = BOTTOM - 9;
    for (GainStop stop : stops) {
      if (stop.outcome().locked()) {
        svg.rect(x - 5, y - 5, 10, 10.0, "class", "bad", "fill", Palette.BAD);
      } else {
        svg.circle(x, y, 5.0, "class", "good", "fill", Palette.GOOD);
      }
      y -= 14;
    }
  }

  private static void next(Svg svg, double x) {
    svg.path(
        "M%s %s l7 -12 l-14 0 Z".formatted(Svg.n(x), Svg.n(TOP - 4)),
        "class",
        "accent",
        "fill",
        Palette.ACCENT);
  }
}
