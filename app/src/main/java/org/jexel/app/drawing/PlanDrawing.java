package org.jexel.app.drawing;

import static org.jexel.app.drawing.Palette.INK;

import java.util.List;
import java.util.Locale;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.Scope;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.Lamp;
import org.jexel.core.rig.Plan;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;

/** The trailer alone, large, with its looms and the parts that a hand can move. */
public final class PlanDrawing {
  private static final double WIDTH = 900;
  private static final double MARGIN = 30;
  private static final double TALLEST = 380;
  private static final double LANE = 5.4;

  /**
   * A part that can be moved.
   *
   * @param name as posted
   * @param label for people
   * @param x behind the ball, m
   * @param y left of the middle, m
   */
  public record Part(String name, String label, double x, double y) {}

  private PlanDrawing() {}

  /**
   * @param parts what can be moved; empty for paper
   */
  public static String draw(Scope scope, List<Part> parts, UnitSystem units) {
    Rig rig = scope.rig();
    Harness harness = scope.harness();
    Plan plan = Plan.of(rig.sheet());
    double pixels =
        Math.min(
            (WIDTH - 2 * MARGIN) / (plan.length() + 0.2),
            (TALLEST - 2 * MARGIN) / (2 * plan.half() + 0.3));
    // In whole units: what makes papers of drawings reads no others.
    double height = Math.ceil(pixels * (2 * plan.half() + 0.3) + 2 * MARGIN);
    double start = (WIDTH - pixels * plan.length()) / 2;
    PlanScale at = new PlanScale(pixels, start, height / 2);
    Svg svg = new Svg(WIDTH, height, "group", "Harness plan of the trailer, nose to the left");
    TrailerDrawing trailer = new TrailerDrawing(rig, at, svg);
    trailer.draw();
    Looms looms = new Looms(at, svg, rig.convention(), LANE);
    looms.draw(harness, rig.sheet().si(RigField.BOX_X), scope::isNew);
    looms.codes(harness, rig.fittedLamps());
    svg.open("g", "id", "plan-scale", "data-px", pixels, "data-ball", start)
        .with("data-middle", height / 2);
    for (Part part : parts) {
      movable(rig, trailer, svg, at, part, units);
    }
    svg.close();
    return svg.finish();
  }

  private static void movable(
      Rig rig, TrailerDrawing trailer, Svg svg, PlanScale at, Part part, UnitSystem units) {
    double x = at.x(part.x());
    double y = at.y(part.y());
    svg.open("g", "class", "movable", "id", "part-" + part.name(), "tabindex", "0")
        .with("role", "button", "data-part", part.name())
        .with("data-x", metres(part.x()), "data-y", metres(part.y()))
        .with(
            "aria-label",
            "%s, %s behind the ball, %s left of the middle. Arrow keys move it."
                .formatted(
                    part.label(),
                    Measure.LENGTH.text(part.x(), units),
                    Measure.LENGTH.text(part.y(), units)));
    svg.circle(x, y, 17, "class", "grip", "fill", INK, "fill-opacity", 0.0);
    Object[] look = Look.part(2.0);
    switch (part.name()) {
      case "box" -> {
        svg.rect(x - 11, y - 11, 22, 22, look);
        svg.text(x, y + 5, "B", letter());
      }
      case "entry" -> {
        svg.circle(x, y, 10, look);
        svg.text(x, y + 5, "E", letter());
      }
      case "breakaway" -> {
        svg.path("M%s %s l22 0 l-11 -20 z".formatted(Svg.n(x - 11), Svg.n(y + 9)), look);
        svg.text(x, y + 7, "S", letter());
      }
      default ->
          rig.fittedLamps().stream()
              .filter(lamp -> lamp.slot().equals(part.name()))
              .findFirst()
              .ifPresent((Lamp lamp) -> trailer.lamp(lamp));
    }
    svg.close();
  }

  private static Object[] letter() {
    return new Object[] {
      "class", "tiny", "text-anchor", "middle", "font-size", 14.0, "font-weight", 700, "fill", INK
    };
  }

  private static String metres(double value) {
    return String.format(Locale.ROOT, "%.3f", value);
  }
}
