package org.jexel.core.harness;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import org.jexel.core.rig.Lamp;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.RouteStyle;

/**
 * Conductors that run side by side, stretch by stretch, and the holes that they pass.
 *
 * <p>A conductor's outer diameter is that of its copper, stranded, and 0.7 mm of insulation all
 * round. A bundle's is d for one, 2·d for two, else √(Σd²/0.75); a hole is the bundle ÷ 0.8.
 *
 * @param stretches frame stretches with their conductors, from the box on
 * @param holes that the looms pass
 * @param along whether the looms run along the frame, in clips, and not inside its tubes
 */
public record Loom(List<Stretch> stretches, List<Hole> holes, boolean along) {
  private static final double INSULATION_M = 0.0007;
  private static final double STRANDING = 1.15;
  private static final double PACKING = 0.75;
  private static final double FILL = 0.8;
  private static final double CLIP_EVERY_M = 0.3;

  /** Drills that a workshop has for sheet and frame, m. */
  private static final double[] DRILLS = {
    0.006, 0.008, 0.010, 0.012, 0.0125, 0.014, 0.016, 0.018, 0.020, 0.022, 0.025, 0.028, 0.032,
    0.038, 0.044, 0.051
  };

  /**
   * @param from nearer end
   * @param to farther end
   * @param conductors that share it
   * @param diameter of the bundle, m
   */
  public record Stretch(FramePoint from, FramePoint to, List<Span> conductors, double diameter) {}

  /**
   * @param where what it leads to
   * @param at its place
   * @param conductors how many pass
   * @param bundle diameter, m
   * @param drill m
   */
  public record Hole(String where, FramePoint at, int conductors, double bundle, double drill) {}

  public static Loom of(Rig rig, Harness harness) {
    Map<List<FramePoint>, List<Span>> shared = new LinkedHashMap<>();
    for (Span span : harness.spans()) {
      for (int i = 1; i < span.path().size(); i++) {
        FramePoint a = span.path().get(i - 1);
        FramePoint b = span.path().get(i);
        List<FramePoint> key = shared.containsKey(List.of(b, a)) ? List.of(b, a) : List.of(a, b);
        shared.computeIfAbsent(key, k -> new ArrayList<>()).add(span);
      }
    }
    List<Stretch> stretches = new ArrayList<>();
    shared.forEach((ends, spans) -> stretches.add(stretch(ends, spans)));
    boolean along = rig.sheet().choice(RigField.ROUTE_STYLE, RouteStyle.class) == RouteStyle.ALONG;
    return new Loom(List.copyOf(stretches), holes(rig, harness, stretches), along);
  }

  /** Clips for every stretch along the frame; none inside the tubes. */
  public int clips() {
    return clips(span -> true);
  }

  /** Clips for the stretches on which some of these conductors run. */
  int clips(Predicate<Span> some) {
    double metres =
        stretches.stream()
            .filter(stretch -> stretch.conductors().stream().anyMatch(some))
            .mapToDouble(s -> Math.hypot(s.from().x() - s.to().x(), s.from().y() - s.to().y()))
            .sum();
    return along ? (int) Math.ceil(metres / CLIP_EVERY_M) : 0;
  }

  /** The holes that a job makes: the new box's, the first way into the bed, those of its lamps. */
  List<Hole> toDrill(Scope scope) {
    Set<String> places = new HashSet<>();
    if (scope.newBox()) {
      places.add(Frame.BOX);
    }
    if (scope.newSpans().stream()
        .anyMatch(span -> span.path().stream().anyMatch(p -> p.id().equals(Frame.ENTRY)))) {
      places.add(Frame.ENTRY);
    }
    scope.wantedLamps().forEach(lamp -> places.add(lamp.node()));
    return holes.stream().filter(hole -> places.contains(hole.at().id())).toList();
  }

  private static Stretch stretch(List<FramePoint> ends, List<Span> spans) {
    return new Stretch(ends.get(0), ends.get(1), List.copyOf(spans), bundle(spans));
  }

  private static List<Hole> holes(Rig rig, Harness harness, List<Stretch> stretches) {
    List<Hole> holes = new ArrayList<>();
    List<Span> cord = harness.spans().stream().filter(s -> s.duty() == Duty.CORD).toList();
    FramePoint box =
        stretches.isEmpty()
            ? new FramePoint(
                Frame.BOX,
                FramePoint.Member.PART,
                "box",
                rig.sheet().si(RigField.BOX_X),
                rig.sheet().si(RigField.BOX_Y))
            : stretches.get(0).from();
    holes.add(hole("Box, cord in", box, cord));
    for (Stretch stretch : stretches) {
      if (stretch.from().id().equals(Frame.BOX)) {
        holes.add(
            hole(
                "Box, loom to " + stretch.to().member().label(),
                stretch.from(),
                stretch.conductors()));
      }
      if (stretch.from().id().equals(Frame.ENTRY)) {
        holes.add(
            hole(
                "Entry into " + stretch.to().member().label(),
                stretch.from(),
                stretch.conductors()));
      }
    }
    for (Lamp lamp : rig.fittedLamps()) {
      List<Span> ends =
          harness.spans().stream()
              .filter(s -> !s.path().isEmpty())
              .filter(s -> s.path().get(s.path().size() - 1).id().equals(lamp.node()))
              .toList();
      if (!ends.isEmpty()) {
        List<FramePoint> path = ends.get(0).path();
        holes.add(hole(rig.name(lamp), path.get(path.size() - 1), ends));
      }
    }
    return List.copyOf(holes);
  }

  private static Hole hole(String where, FramePoint at, List<Span> spans) {
    double bundle = bundle(spans);
    double wanted = bundle / FILL;
    double drill = DRILLS[DRILLS.length - 1];
    for (double each : DRILLS) {
      if (each >= wanted) {
        drill = each;
        break;
      }
    }
    return new Hole(where, at, spans.size(), bundle, drill);
  }

  /** Outer diameter of one conductor, m. */
  static double outer(WireSize size) {
    return STRANDING * 2 * Math.sqrt(size.area() / Math.PI) + 2 * INSULATION_M;
  }

  private static double bundle(List<Span> spans) {
    double squares = 0;
    double thickest = 0;
    for (Span span : spans) {
      double d = outer(span.size());
      squares += d * d;
      thickest = Math.max(thickest, d);
    }
    return switch (spans.size()) {
      case 0 -> 0;
      case 1 -> thickest;
      default -> Math.max(2 * thickest, Math.sqrt(squares / PACKING));
    };
  }
}
