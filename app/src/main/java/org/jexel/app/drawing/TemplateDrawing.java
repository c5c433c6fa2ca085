package org.jexel.app.drawing;

import java.util.Locale;
import org.jexel.core.quantity.Phrase;

/** A drilling template, true to scale: one unit of the drawing is one millimetre on paper. */
public final class TemplateDrawing {
  /** Of the drawing, mm. */
  public static final double WIDTH = 170;

  public static final double HEIGHT = 150;

  private static final double INCH = 25.4;

  private final Svg svg = new Svg(WIDTH, HEIGHT, "img", "Drilling template, 1 to 1");

  private TemplateDrawing() {}

  /** All lengths in mm; a lamp of 0 is left out. */
  public static String draw(double spindle, double lamp, double right, double down) {
    TemplateDrawing drawing = new TemplateDrawing();
    drawing.svg.with("width", WIDTH + "mm", "height", HEIGHT + "mm");
    double x = WIDTH / 2;
    double y = 55;
    drawing.hole(x, y, spindle, "spindle");
    if (lamp > 0) {
      drawing.hole(x + right, y + down, lamp, "lamp");
    }
    drawing.bar(15, 118, 100, 10, "100 mm");
    drawing.bar(15, 136, 4 * INCH, INCH, "4 in");
    return drawing.svg.finish();
  }

  private void hole(double x, double y, double diameter, String name) {
    svg.open("circle", "cx", mm(x), "cy", mm(y), "r", mm(diameter / 2)).with(thin(0.25)).close();
    double reach = diameter / 2 + 6;
    line(x - reach, y, x + reach, y, 0.15);
    line(x, y - reach, x, y + reach, 0.15);
    word(x + reach + 1, y - 1.5, Phrase.of("%s ⌀ %.2f mm", name, diameter));
  }

  private void bar(double x, double y, double length, double tick, String words) {
    line(x, y, x + length, y, 0.3);
    for (int i = 0; i * tick <= length + 1e-9; i++) {
      line(x + i * tick, y - 2, x + i * tick, y + 2, 0.2);
    }
    word(x + length + 2, y + 1.4, words);
  }

  private void line(double x1, double y1, double x2, double y2, double width) {
    svg.open("line", "x1", mm(x1), "y1", mm(y1), "x2", mm(x2), "y2", mm(y2))
        .with(thin(width))
        .close();
  }

  private static Object[] thin(double width) {
    return new Object[] {"fill", "none", "stroke", "#000000", "stroke-width", mm(width)};
  }

  private void word(double x, double y, String words) {
    svg.text(x, y, words, "font-size", "4", "font-family", Palette.LABEL_FONT, "fill", "#000000");
  }

  private static String mm(double value) {
    return String.format(Locale.ROOT, "%.4f", value);
  }
}
