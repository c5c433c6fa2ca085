package org.jexel.app.breakaway;

import static org.jexel.app.drawing.Palette.INK;

import org.jexel.app.drawing.Look;
import org.jexel.app.drawing.Palette;
import org.jexel.app.drawing.Svg;
import org.jexel.core.breakaway.BreakawayBattery;
import org.jexel.core.breakaway.BreakawayLoad;
import org.jexel.core.breakaway.HoldingTime;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.Unit;
import org.jexel.core.quantity.UnitSystem;

/**
 * Minutes that the battery holds over a year, midwinter in the middle: as old as it is, and dashed
 * two years older. What lies under 15 minutes is shaded.
 */
final class YearDrawing {
  private static final double WIDTH = 460;
  private static final double HEIGHT = 190;
  private static final double LEFT = 52;
  private static final double RIGHT = 448;
  private static final double TOP = 12;
  private static final double BOTTOM = 148;
  private static final int STEPS = 48;

  /** Older by so much in the dashed line, years. */
  private static final double OLDER = 2;

  /** Of the scale at least, s: room above the line of 15 min. */
  private static final double LEAST_SCALE = 20 * 60.0;

  private final BreakawayLoad load;
  private final double most;

  private YearDrawing(BreakawayLoad load) {
    this.load = load;
    this.most = Math.max(LEAST_SCALE, 1.1 * seconds(0, 0));
  }

  static String draw(BreakawayLoad load, UnitSystem units) {
    return new YearDrawing(load).draw(units);
  }

  private double seconds(double older, double ofYear) {
    BreakawayBattery battery = load.battery();
    return battery.holding(load.amps(), battery.years() + older, battery.celsius(ofYear)).seconds();
  }

  private String draw(UnitSystem units) {
    double least = y(HoldingTime.LEAST_S);
    String cold = Measure.TEMPERATURE.text(Unit.CELSIUS.toSi(load.battery().midwinter()), units);
    Svg svg =
        new Svg(WIDTH, HEIGHT, "img", "Holding time over the year, " + cold + " at midwinter");
    svg.rect(LEFT, least, RIGHT - LEFT, BOTTOM - least, "class", "short", "fill", Palette.RULE);
    svg.line(LEFT, BOTTOM, RIGHT, BOTTOM, "class", "ink", "stroke", INK, "stroke-width", 1.2);
    svg.line(LEFT, least, RIGHT, least, "class", "ink", "stroke", INK, "stroke-width", 1.2);
    svg.label(LEFT - 6, least + 5, "15 min", "end", 14, INK);
    svg.label(LEFT - 6, BOTTOM + 5, "0", "end", 14, INK);
    svg.path(curve(OLDER), Look.work(1.6));
    svg.path(curve(0), Look.work(3));
    svg.label(LEFT, BOTTOM + 20, "midsummer", "start", 14, INK);
    svg.label((LEFT + RIGHT) / 2, BOTTOM + 20, "midwinter, " + cold, "middle", 14, INK);
    svg.label(RIGHT, BOTTOM + 20, "midsummer", "end", 14, INK);
    svg.label(
        (LEFT + RIGHT) / 2,
        BOTTOM + 38,
        Phrase.of("thick: as it is; thin: %.0f years older; shaded: under 15 min", OLDER),
        "middle",
        14,
        INK);
    return svg.finish();
  }

  private String curve(double older) {
    StringBuilder path = new StringBuilder();
    for (int i = 0; i <= STEPS; i++) {
      double ofYear = (double) i / STEPS;
      path.append(i == 0 ? "M" : " L")
          .append(Svg.n(LEFT + (RIGHT - LEFT) * ofYear))
          .append(' ')
          .append(Svg.n(y(seconds(older, ofYear))));
    }
    return path.toString();
  }

  private double y(double seconds) {
    return BOTTOM - (BOTTOM - TOP) * Math.min(seconds, most) / most;
  }
}
