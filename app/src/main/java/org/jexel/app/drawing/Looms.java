package org.jexel.app.drawing;

import static org.jexel.app.drawing.Palette.INK;
import static org.jexel.app.drawing.Svg.n;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.jexel.core.connector.Convention;
import org.jexel.core.connector.WireColour;
import org.jexel.core.harness.Duty;
import org.jexel.core.harness.FramePoint;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.Span;
import org.jexel.core.rig.Lamp;

/** Conductors on the trailer, each in a lane of its own beside the others of its loom. */
public final class Looms {
  /** Height of a letter code, px. */
  private static final double CODE = 12;

  /** Lamps nearer to each other than this are told together, m. */
  private static final double ONE_SPOT = 0.32;

  private static final String DASHED = "9 4";

  private final PlanScale at;
  private final Svg svg;
  private final Convention convention;
  private final double lane;

  /**
   * @param lane distance between two wires that run side by side, px
   */
  public Looms(PlanScale at, Svg svg, Convention convention, double lane) {
    this.at = at;
    this.svg = svg;
    this.convention = convention;
    this.lane = lane;
  }

  /**
   * @param planned conductors that are still to be run: dashed; the others are there: solid
   */
  public void draw(Harness harness, double boxX, Predicate<Span> planned) {
    for (Span span : harness.spans()) {
      if (span.duty() == Duty.CORD) {
        double y = at.y(0) + lane(span);
        String d = "M%s %s L%s %s".formatted(n(at.x(-0.1)), n(y), n(at.x(boxX)), n(y));
        strand(svg, d, colour(span), planned.test(span) ? DASHED : "none");
      } else if (!span.path().isEmpty()) {
        strand(svg, along(span), colour(span), planned.test(span) ? DASHED : "none");
      }
    }
  }

  /** Letter codes at both ends: beside the cord's start, and outside of each lamp. */
  public void codes(Harness harness, List<Lamp> lamps) {
    // Lanes lie closer than letters: the codes keep the lanes' order, one line each.
    List<Span> cord =
        harness.spans().stream()
            .filter(span -> span.duty() == Duty.CORD)
            .sorted(Comparator.comparingDouble(this::lane))
            .toList();
    for (int i = 0; i < cord.size(); i++) {
      double y = at.y(0) + CODE * (i - (cord.size() - 1) / 2.0) + CODE / 3;
      code(at.x(-0.1) - 6, y, code(cord.get(i)), "end");
    }
    List<Lamp> outerFirst =
        lamps.stream()
            .sorted(Comparator.comparingDouble((Lamp lamp) -> -Math.abs(lamp.y())))
            .toList();
    List<Lamp> told = new ArrayList<>();
    for (Lamp lamp : outerFirst) {
      // Two lamps on one spot share the label of the outer one.
      boolean shared =
          told.stream().anyMatch(t -> Math.hypot(t.x() - lamp.x(), t.y() - lamp.y()) < ONE_SPOT);
      if (!shared) {
        told.add(lamp);
        boolean inside = Math.abs(lamp.y()) < Math.abs(outerFirst.get(0).y()) - ONE_SPOT;
        double out = inside ? CODE / 3 : lamp.y() >= 0 ? 20 : -13;
        code(
            at.x(lamp.x()) - (inside ? 9 : 0),
            at.y(lamp.y()) + out,
            codes(harness, lamp),
            inside ? "end" : "middle");
      }
    }
  }

  private String codes(Harness harness, Lamp lamp) {
    return harness.spans().stream()
        .filter(span -> leadsTo(span, lamp))
        .map(this::code)
        .distinct()
        .collect(Collectors.joining(" "));
  }

  private static boolean leadsTo(Span span, Lamp lamp) {
    List<FramePoint> path = span.path();
    return !path.isEmpty() && path.get(path.size() - 1).id().equals(lamp.node());
  }

  private void code(double x, double y, String words, String anchor) {
    svg.text(
        x,
        y,
        words,
        "class",
        "tiny",
        "text-anchor",
        anchor,
        "font-size",
        CODE,
        "font-family",
        Palette.LABEL_FONT,
        "font-weight",
        600,
        "fill",
        INK);
  }

  private String code(Span span) {
    return convention.colour(span.function()).map(WireColour::code).orElse("–");
  }

  private String along(Span span) {
    double off = lane(span);
    StringBuilder d = new StringBuilder();
    List<FramePoint> path = span.path();
    for (int i = 0; i < path.size(); i++) {
      FramePoint point = path.get(i);
      boolean before = i > 0 ? lengthwise(path.get(i - 1), point) : lengthwise(point, path.get(1));
      boolean after = i + 1 < path.size() ? lengthwise(point, path.get(i + 1)) : before;
      // Lanes lie inside the rails: towards the middle on either side.
      double inwards = point.y() > 0 ? -off : off;
      double x = at.x(point.x()) + (before && after ? 0 : off);
      double y = at.y(point.y()) + (before || after ? inwards : 0);
      d.append(i == 0 ? "M" : " L").append(n(x)).append(' ').append(n(y));
    }
    return d.toString();
  }

  private static boolean lengthwise(FramePoint a, FramePoint b) {
    return Math.abs(a.x() - b.x()) > 0.01;
  }

  private double lane(Span span) {
    return (span.function().ordinal() - 3.5) * lane;
  }

  private String colour(Span span) {
    return Palette.wire(convention.colour(span.function()).orElse(WireColour.BLACK));
  }

  /** A wire: coloured core on a dark outline, dashed while it is only planned. */
  public static void strand(Svg svg, String d, String colour, String dashes) {
    Object[] shape = {"fill", "none", "stroke-dasharray", dashes};
    svg.open("path", "d", d, "class", "ink", "stroke", INK, "stroke-width", 4.6)
        .with(shape)
        .close();
    svg.open("path", "d", d, "stroke", colour, "stroke-width", 3.0).with(shape).close();
  }
}
