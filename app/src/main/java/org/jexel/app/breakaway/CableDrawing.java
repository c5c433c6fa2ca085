package org.jexel.app.breakaway;

import static org.jexel.app.drawing.Palette.INK;

import java.util.Optional;
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
  private static final double WIDTH = 320;
  private static final double HEIGHT = 272;

  /** The ball, px. */
  private static final double BALL = 150;

  private static final double MIDDLE = 125;

  /** Most that a view reaches from its middle, px. */
  private static final double REACH = 112;

  /** Of the jack's post in the view from the side, px. */
  private static final double JACK_ABOVE = 52;

  private static final double JACK_BELOW = 34;

  /** Of the hitch ahead of the ball, px. */
  private static final double HITCH = 110;

  private static final Object[] CHAIN = {
    "class", "ink", "fill", "none", "stroke", INK, "stroke-width", 1.6, "stroke-dasharray", "4 3"
  };

  private final Svg svg;
  private final double scale;

  private CableDrawing(String label, double scale) {
    this.svg = new Svg(WIDTH, HEIGHT, "img", label);
    this.scale = scale;
  }

  /**
   * @param jack where its post stands on the trailer; empty while nobody measured it
   * @param turn of the trailer, rad
   */
  static String draw(CableFit fit, Optional<Point> jack, double turn, UnitSystem units) {
    Coupling coupling = fit.window().coupling();
    double scale = REACH / farthest(coupling);
    Point.Turn yaw = new Point.Turn(turn, 0);
    String apart = Measure.SMALL_LENGTH.text(coupling.cable(yaw, new Point(0, 0, 0)), units);
    return new CableDrawing("Cable and chains from above, to scale", scale)
            .view(
                coupling,
                jack,
                yaw,
                Point::y,
                Phrase.of("from above, turned by %.0f°: %s", Math.toDegrees(turn), apart))
        + new CableDrawing("Cable and chains from the left, to scale", scale)
            .view(
                coupling,
                jack,
                yaw,
                Point::z,
                Phrase.of("from the left, turned by %.0f°", Math.toDegrees(turn)));
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

  private String view(
      Coupling coupling,
      Optional<Point> jack,
      Point.Turn turn,
      ToDoubleFunction<Point> across,
      String words) {
    Point end = new Point(-1.15 * REACH / scale, 0, 0).on(turn);
    svg.line(
        x(new Point(0, 0, 0)),
        MIDDLE,
        x(end),
        y(end, across),
        "class",
        "metal",
        "stroke",
        Palette.METAL,
        "stroke-width",
        12.0,
        "stroke-linecap",
        "round");
    svg.rect(BALL - HITCH, MIDDLE - 6, HITCH, 12.0, Look.part(1.2));
    jack.ifPresent(foot -> jack(foot.on(turn), across));
    for (Coupling.Chain chain : coupling.chains()) {
      between(chain.vehicle(), chain.trailer().on(turn), across, CHAIN);
    }
    between(coupling.fixing(), coupling.pin().on(turn), across, Look.work(2.6));
    svg.circle(x(new Point(0, 0, 0)), MIDDLE, 7.0, Look.part(2));
    named(coupling.fixing(), across, "eye", "end", -9);
    named(coupling.pin().on(turn), across, "pin", "start", 9);
    svg.label(WIDTH / 2, HEIGHT - 10, words, "middle", 14, INK);
    return svg.finish();
  }

  /** Its post: a ring from above, two lines from the side. */
  private void jack(Point foot, ToDoubleFunction<Point> across) {
    if (isSide(across)) {
      svg.rect(x(foot) - 5, MIDDLE - JACK_ABOVE, 10, JACK_ABOVE + JACK_BELOW, Look.part(1.4));
    } else {
      svg.circle(x(foot), y(foot, across), 7.0, Look.part(1.4));
    }
    svg.label(
        x(foot),
        isSide(across) ? MIDDLE + JACK_BELOW + 14 : y(foot, across) + 22,
        "jack",
        "middle",
        13,
        INK);
  }

  private void named(
      Point point, ToDoubleFunction<Point> across, String name, String anchor, double aside) {
    svg.circle(x(point), y(point, across), 4.5, "class", "work", "fill", Palette.WORK);
    svg.label(x(point) + aside, y(point, across) + 5, name, anchor, 14, INK);
  }

  private void between(Point one, Point other, ToDoubleFunction<Point> across, Object[] look) {
    svg.line(x(one), y(one, across), x(other), y(other, across), look);
  }

  /** Ahead is to the left. */
  private double x(Point point) {
    return BALL - scale * point.x();
  }

  private static boolean isSide(ToDoubleFunction<Point> across) {
    return across.applyAsDouble(new Point(0, 0, 1)) > 0;
  }

  /** Left of travel is down when it is to the left, as on the Towline; up is up. */
  private double y(Point point, ToDoubleFunction<Point> across) {
    return MIDDLE + (isSide(across) ? -1 : 1) * scale * across.applyAsDouble(point);
  }
}
