package org.jexel.app.breakaway;

import static org.jexel.app.drawing.Palette.INK;

import java.util.List;
import java.util.function.ToDoubleFunction;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import org.jexel.app.drawing.Look;
import org.jexel.app.drawing.Palette;
import org.jexel.app.drawing.Svg;
import org.jexel.core.breakaway.CableFit;
import org.jexel.core.breakaway.Coupling;
import org.jexel.core.breakaway.Point;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.UnitSystem;

/**
 * Cable and chains to scale, from above with the trailer turned, and from the left with it straight
 * behind. Travel is to the left, as on the Towline.
 */
final class CableDrawing {
  private static final double WIDTH = 640;
  private static final double HEIGHT = 300;

  /** Middles of the two views, px. */
  private static final double PLAN_X = 170;

  private static final double SIDE_X = 480;
  private static final double MIDDLE = 145;

  /** Most that a view reaches from its middle, px. */
  private static final double REACH = 118;

  private static final Object[] CHAIN = {
    "class", "ink", "fill", "none", "stroke", INK, "stroke-width", 1.6, "stroke-dasharray", "4 3"
  };

  private final Svg svg;
  private final double scale;

  private CableDrawing(Svg svg, double scale) {
    this.svg = svg;
    this.scale = scale;
  }

  /**
   * @param turn of the trailer in the view from above, rad
   */
  static String draw(CableFit fit, double turn, UnitSystem units) {
    Coupling coupling = fit.window().coupling();
    Svg svg =
        new Svg(WIDTH, HEIGHT, "img", "Cable and chains, from above and from the side, to scale");
    CableDrawing drawing = new CableDrawing(svg, REACH / farthest(coupling));
    Point.Turn yaw = new Point.Turn(turn, 0);
    String taut = Measure.SMALL_LENGTH.text(coupling.cable(yaw, new Point(0, 0, 0)), units);
    drawing.view(
        coupling,
        yaw,
        PLAN_X,
        Point::y,
        Phrase.of("from above, turned by %.0f°: %s from eye to pin", Math.toDegrees(turn), taut));
    drawing.view(coupling, Point.Turn.STRAIGHT, SIDE_X, Point::z, "from the left, straight behind");
    return svg.finish();
  }

  private static double farthest(Coupling coupling) {
    Stream<Point> chains =
        coupling.chains().stream().flatMap(c -> Stream.of(c.vehicle(), c.trailer()));
    return Stream.concat(Stream.of(coupling.fixing(), coupling.pin()), chains)
        .flatMapToDouble(p -> DoubleStream.of(p.x(), p.y(), p.z()))
        .map(Math::abs)
        .max()
        .orElse(1);
  }

  private void view(
      Coupling coupling,
      Point.Turn turn,
      double middle,
      ToDoubleFunction<Point> across,
      String words) {
    Point end = new Point(-1.15 * REACH / scale, 0, 0).on(turn);
    svg.line(
        x(middle, new Point(0, 0, 0)),
        MIDDLE,
        x(middle, end),
        y(end, across),
        "class",
        "metal",
        "stroke",
        Palette.METAL,
        "stroke-width",
        12.0,
        "stroke-linecap",
        "round");
    svg.rect(x(middle, new Point(0.6, 0, 0)), MIDDLE - 6, 0.6 * scale, 12.0, Look.part(1.2));
    for (Coupling.Chain chain : coupling.chains()) {
      between(middle, chain.vehicle(), chain.trailer().on(turn), across, CHAIN);
    }
    between(middle, coupling.fixing(), coupling.pin().on(turn), across, Look.work(2.6));
    svg.circle(x(middle, new Point(0, 0, 0)), MIDDLE, 7.0, Look.part(2));
    for (Point eye : List.of(coupling.fixing(), coupling.pin().on(turn))) {
      svg.circle(x(middle, eye), y(eye, across), 4.5, "class", "work", "fill", Palette.WORK);
    }
    svg.label(middle, HEIGHT - 12, words, "middle", 14, INK);
  }

  private void between(
      double middle, Point one, Point other, ToDoubleFunction<Point> across, Object[] look) {
    svg.line(x(middle, one), y(one, across), x(middle, other), y(other, across), look);
  }

  /** Ahead is to the left. */
  private double x(double middle, Point point) {
    return middle - scale * point.x();
  }

  /** Left of travel is down when it is to the left, as on the Towline; up is up. */
  private double y(Point point, ToDoubleFunction<Point> across) {
    boolean side = across.applyAsDouble(new Point(0, 0, 1)) > 0;
    return MIDDLE + (side ? -1 : 1) * scale * across.applyAsDouble(point);
  }
}
