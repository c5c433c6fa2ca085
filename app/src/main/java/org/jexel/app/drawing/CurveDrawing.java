package org.jexel.app.drawing;

import static org.jexel.app.drawing.Palette.INK;

import java.util.List;
import org.jexel.core.cab.ControllerModel;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;

/** Volts at the connector over the marks of a controller's scale. */
public final class CurveDrawing {
  private static final double WIDTH = 360;
  private static final double HEIGHT = 200;
  private static final double LEFT = 44;
  private static final double BOTTOM = 168;
  private static final double TOP = 14;
  private static final double RIGHT = 346;
  private static final double FULL = 12;

  private CurveDrawing() {}

  public static String draw(ControllerModel model) {
    return draw(model.curve(), List.of(), model.greatest(), model.label());
  }

  /**
   * @param odd readings that do not belong to the curve
   * @param greatest mark of the scale
   */
  public static String draw(
      List<ControllerModel.Point> curve,
      List<ControllerModel.Point> odd,
      double greatest,
      String label) {
    Svg svg = new Svg(WIDTH, HEIGHT, "img", "Volts at the connector by gain, " + label);
    double most = Math.max(FULL, curve.stream().mapToDouble(p -> p.volts()).max().orElse(FULL));
    Marks marks = new Marks(svg);
    for (double volts = 0; volts <= most; volts += 4) {
      double y = y(volts, most);
      svg.line(LEFT, y, RIGHT, y, "class", "rule", "stroke", Palette.RULE, "stroke-width", 1.0);
      svg.label(
          LEFT - 6, y + 5, Measure.GAIN.number(volts, UnitSystem.METRIC) + " V", "end", 13, INK);
    }
    StringBuilder path = new StringBuilder();
    for (ControllerModel.Point point : curve) {
      double x = LEFT + (RIGHT - LEFT) * point.gain() / greatest;
      path.append(path.isEmpty() ? "M" : " L")
          .append(Svg.n(x))
          .append(' ')
          .append(Svg.n(y(point.volts(), most)));
    }
    svg.path(path.toString(), Look.work(2.4));
    for (ControllerModel.Point point : curve) {
      double x = LEFT + (RIGHT - LEFT) * point.gain() / greatest;
      svg.circle(
          x,
          y(point.volts(), most),
          4,
          "class",
          "part",
          "fill",
          Palette.PAPER,
          "stroke",
          Palette.WORK,
          "stroke-width",
          2.0);
      svg.label(x, 188, Measure.GAIN.number(point.gain(), UnitSystem.METRIC), "middle", 13, INK);
    }
    for (ControllerModel.Point point : odd) {
      double x = LEFT + (RIGHT - LEFT) * point.gain() / greatest;
      marks.mark(x, y(Math.min(most, point.volts()), most), Verdict.WATCH);
    }
    return svg.finish();
  }

  private static double y(double volts, double most) {
    return BOTTOM - (BOTTOM - TOP) * volts / most;
  }
}
