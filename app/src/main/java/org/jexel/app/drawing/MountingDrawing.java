package org.jexel.app.drawing;

import static org.jexel.app.drawing.Palette.INK;

import java.util.Locale;
import org.jexel.core.quantity.Phrase;

/** A controller's box seen from above and from the side, with the limits of its angles. */
public final class MountingDrawing {
  private static final double WIDTH = 560;
  private static final double HEIGHT = 190;
  private static final double RADIUS = 80;

  private MountingDrawing() {}

  /** All angles in degrees. */
  public static String draw(double yaw, double pitch, double yawLimit, double pitchLimit) {
    Svg svg = new Svg(WIDTH, HEIGHT, "img", "Box from above and from the side, travel to the left");
    view(svg, 150, Phrase.of("from above: turned %.0f°", yaw), yaw, yawLimit);
    view(svg, 420, Phrase.of("from the side: pitched %.0f°", pitch), pitch, pitchLimit);
    return svg.finish();
  }

  private static void view(Svg svg, double x, String words, double angle, double limit) {
    double y = 88;
    svg.line(x + 60, y, x - 120, y, Look.ink(1.2))
        .path("M%s %s l12 -6 l0 12 z".formatted(Svg.n(x - 124), Svg.n(y)), Look.solid());
    for (int side = -1; side <= 1; side += 2) {
      double a = Math.toRadians(side * limit);
      svg.line(
          x,
          y,
          x - 120 * Math.cos(a),
          y + 120 * Math.sin(a) * 0.66,
          "class",
          "ink",
          "stroke",
          INK,
          "stroke-width",
          1.0,
          "stroke-dasharray",
          "4 4");
    }
    svg.open("g", "transform", String.format(Locale.ROOT, "rotate(%.1f %.1f %.1f)", angle, x, y));
    svg.rect(
        x - RADIUS / 2,
        y - 22,
        RADIUS,
        44,
        "rx",
        4.0,
        "class",
        "part",
        "fill",
        Palette.METAL,
        "stroke",
        Math.abs(angle) > Math.abs(limit) ? Palette.RED_LENS : INK,
        "stroke-width",
        2.4);
    svg.path(
        "M%s %s l14 -8 l0 16 z".formatted(Svg.n(x - RADIUS / 2 + 6), Svg.n(y)),
        "class",
        "work",
        "fill",
        Palette.WORK);
    svg.close();
    svg.label(x, HEIGHT - 14, words, "middle", 15, INK);
  }
}
