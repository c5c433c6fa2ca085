package org.jexel.app.drawing;

import static org.jexel.app.drawing.Palette.INK;

import org.jexel.core.rig.TrailerKind;

/** The outline of each kind of trailer from the side, to one scale, for picking. */
public final class Outline {
  /** Pixels per metre. */
  private static final double SCALE = 27;

  private static final double GROUND = 90;

  private Outline() {}

  /** Length of the bed, height of the body above it, axles; m. */
  private record Shape(double bed, double body, int axles) {}

  public static String of(TrailerKind kind) {
    Shape shape =
        switch (kind) {
          case FLATBED -> new Shape(4.2, 0.14, 2);
          case BOX -> new Shape(3.4, 1.9, 1);
          case LIVESTOCK -> new Shape(3.7, 2.0, 2);
          case PLANT -> new Shape(5.0, 0.16, 3);
          case STALL -> new Shape(2.9, 2.0, 1);
          case CABIN -> new Shape(4.2, 2.2, 2);
          case SKELETON -> new Shape(4.6, 0.1, 2);
          case GOOSENECK -> new Shape(4.4, 0.18, 2);
        };
    Svg svg = new Svg(186, 98, "img", kind.label());
    double start = 34;
    double bed = GROUND - 0.62 * SCALE;
    double length = shape.bed() * SCALE;
    Object[] ink = Look.ink(1.6);
    svg.line(4, GROUND, 182, GROUND, "class", "axis", "stroke", Palette.RULE, "stroke-width", 1.2);
    if (kind == TrailerKind.GOOSENECK) {
      neck(svg, start, bed, ink);
    } else {
      svg.line(8, bed + 3, start, bed, ink);
      svg.circle(8, bed + 3, 2.6, Look.solid());
    }
    double body = shape.body() * SCALE;
    svg.rect(
        start,
        bed - body,
        length,
        body,
        "rx",
        1.5,
        "class",
        "body",
        "fill",
        Palette.METAL,
        "stroke",
        INK,
        "stroke-width",
        1.6);
    switch (kind) {
      case LIVESTOCK -> {
        for (double x = start + 10; x < start + length - 6; x += 14) {
          svg.rect(
              x,
              bed - body + 9,
              9,
              11,
              "class",
              "glass",
              "fill",
              Palette.PAPER,
              "stroke",
              INK,
              "stroke-width",
              0.9);
        }
      }
      case STALL ->
          svg.rect(
              start + 12,
              bed - body + 8,
              length - 24,
              20,
              "class",
              "glass",
              "fill",
              Palette.PAPER,
              "stroke",
              INK,
              "stroke-width",
              1.0);
      case CABIN -> {
        svg.rect(
            start + 10,
            bed - body + 14,
            20,
            15,
            "class",
            "glass",
            "fill",
            Palette.PAPER,
            "stroke",
            INK,
            "stroke-width",
            1.0);
        svg.rect(
            start + length - 32,
            bed - body + 12,
            18,
            body - 14,
            "class",
            "glass",
            "fill",
            Palette.PAPER,
            "stroke",
            INK,
            "stroke-width",
            1.0);
        svg.rect(start + 40, bed - body - 9, 6, 9, Look.body(1.2));
      }
      case PLANT -> svg.line(start + length, bed - 2, start + length + 12, bed - 22, ink);
      case SKELETON -> {
        for (double x = start + 22; x < start + length - 10; x += 27) {
          svg.line(x, bed, x, bed + 6, ink);
        }
        svg.line(start + 6, bed - 2, start + 6, bed - 16, ink);
      }
      case FLATBED, BOX, GOOSENECK -> {
        // the plain outline tells them well enough
      }
      default -> throw new IllegalStateException(kind.name());
    }
    double centre = start + 0.58 * length;
    for (int i = 0; i < shape.axles(); i++) {
      double x = centre + (i - (shape.axles() - 1) / 2.0) * 0.82 * SCALE;
      svg.circle(x, GROUND - 9.5, 9.5, Look.solid());
      svg.circle(x, GROUND - 9.5, 3.4, "class", "part", "fill", Palette.PAPER);
    }
    return svg.finish();
  }

  /** Up from the bed, forward over the vehicle, and down to the ball between its axles. */
  private static void neck(Svg svg, double start, double bed, Object... ink) {
    double high = bed - 30;
    svg.line(start, bed, start, high, ink);
    svg.line(start, high, 10, high, ink);
    svg.line(10, high, 10, high + 12, ink);
    svg.circle(10, high + 14, 2.6, Look.solid());
  }
}
