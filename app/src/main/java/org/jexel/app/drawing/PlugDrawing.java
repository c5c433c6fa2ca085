package org.jexel.app.drawing;

import static org.jexel.app.drawing.Palette.INK;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jexel.core.cab.CavityMatch;
import org.jexel.core.quantity.Must;

/** Two plug ends side by side; a line leads from each terminal to the cavity where it belongs. */
public final class PlugDrawing {
  private static final double ROW = 34;
  private static final double WIDTH = 640;
  private static final double LEFT = 210;
  private static final double RIGHT = 430;

  private PlugDrawing() {}

  public static String draw(CavityMatch match) {
    List<CavityMatch.Line> lines = match.lines();
    double height = ROW * (lines.size() + 1) + 10;
    Svg svg = new Svg(WIDTH, height, "img", "Vehicle's plug left, bought harness right");
    svg.label(LEFT, 20, "vehicle", "end", 15, INK);
    svg.label(RIGHT, 20, "harness", "start", 15, INK);
    Map<Integer, Double> at = new HashMap<>();
    for (int i = 0; i < lines.size(); i++) {
      at.put(lines.get(i).cavity(), ROW * (i + 1.2) + 4);
    }
    for (CavityMatch.Line line : lines) {
      Integer home = match.insert().get(line.cavity());
      if (home != null) {
        lead(svg, Must.have(at, home), Must.have(at, line.cavity()), Palette.ACCENT, 3.2);
      } else if (line.kind() == CavityMatch.Kind.AGREE) {
        lead(svg, Must.have(at, line.cavity()), Must.have(at, line.cavity()), Palette.WORK, 2.2);
      }
    }
    for (CavityMatch.Line line : lines) {
      double y = Must.have(at, line.cavity());
      cavity(svg, LEFT, y, line.cavity(), !line.vehicle().isEmpty());
      cavity(svg, RIGHT, y, line.cavity(), !line.harness().isEmpty());
      svg.label(LEFT - 24, y + 5, shown(line.vehicle()), "end", 15, INK);
      svg.label(RIGHT + 24, y + 5, shown(line.harness()), "start", 15, INK);
    }
    return svg.finish();
  }

  private static String shown(String function) {
    return function.isEmpty() ? "–" : function;
  }

  private static void lead(Svg svg, double from, double to, String colour, double width) {
    svg.line(
        LEFT + 14, from, RIGHT - 14, to, "class", "work", "stroke", colour, "stroke-width", width);
  }

  private static void cavity(Svg svg, double x, double y, int number, boolean filled) {
    svg.rect(
        x - 13,
        y - 12,
        26,
        24,
        "rx",
        3.0,
        "class",
        "part",
        "fill",
        filled ? Palette.METAL : Palette.PAPER,
        "stroke",
        INK,
        "stroke-width",
        1.6);
    svg.label(x, y + 5, String.valueOf(number), "middle", 15, INK);
  }
}
