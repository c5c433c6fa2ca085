package org.jexel.app.drawing;

import static org.jexel.app.drawing.Palette.INK;

import org.jexel.core.rig.FieldKey;
import org.jexel.core.rig.Lamp;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.RigSheet;
import org.jexel.core.rig.TrailerKind;
import org.jexel.core.rig.YesNo;

/** The trailer in plan, with its box and its lamps. */
public final class TrailerDrawing {
  private final Rig rig;
  private final RigSheet sheet;
  private final PlanScale at;
  private final Svg svg;

  TrailerDrawing(Rig rig, PlanScale at, Svg svg) {
    this.rig = rig;
    this.sheet = rig.sheet();
    this.at = at;
    this.svg = svg;
  }

  public void draw() {
    double bar = sheet.si(RigField.DRAWBAR_LENGTH);
    double length = sheet.si(RigField.OVERALL_LENGTH);
    double half = sheet.si(RigField.OVERALL_WIDTH) / 2;
    for (int side = -1; side <= 1; side += 2) {
      boolean neck = kind() == TrailerKind.GOOSENECK;
      double from = neck ? side * 0.12 : 0;
      double to = neck ? side * 0.12 : side * half * 0.62;
      svg.line(at.x(0.06), at.y(from), at.x(bar), at.y(to), Look.ink(2.4));
    }
    double[] places = rig.axlePlaces();
    for (int i = 0; i < places.length; i++) {
      double axle = places[i];
      double radius = sheet.si(new FieldKey(RigField.TYRE_RADIUS, i));
      svg.line(at.x(axle), at.y(-half), at.x(axle), at.y(half), Look.ink(2.2));
      for (int side = -1; side <= 1; side += 2) {
        VehicleDrawing.wheel(at, svg, axle, side * (half + 0.06), 2 * radius, 0.22);
      }
    }
    svg.rect(
        at.x(bar),
        at.y(-half),
        at.px(length - bar),
        at.px(2 * half),
        "rx",
        2.0,
        "class",
        "body",
        "fill",
        Palette.METAL,
        "fill-opacity",
        0.72,
        "stroke",
        INK,
        "stroke-width",
        1.6);
    furniture(bar, length, half);
    if (sheet.choice(RigField.JUNCTION_BOX, YesNo.class) == YesNo.YES) {
      svg.rect(
          at.x(sheet.si(RigField.BOX_X)) - 6,
          at.y(sheet.si(RigField.BOX_Y)) - 6,
          12,
          12,
          Look.box(1.4));
    }
    rig.fittedLamps().forEach(this::lamp);
  }

  private TrailerKind kind() {
    return sheet.choice(RigField.TRAILER_KIND, TrailerKind.class);
  }

  /** Light marks that tell the kinds apart. */
  private void furniture(double bar, double length, double half) {
    Object[] thin = {
      "class", "ink faint", "stroke", INK, "stroke-width", 0.8, "stroke-opacity", 0.45
    };
    Object[] hollow = {
      "fill",
      "none",
      "class",
      "ink faint",
      "stroke",
      INK,
      "stroke-width",
      0.8,
      "stroke-opacity",
      0.45
    };
    switch (kind()) {
      case FLATBED -> {
        for (double y = -half + 0.25; y < half - 0.1; y += 0.25) {
          svg.line(at.x(bar), at.y(y), at.x(length), at.y(y), thin);
        }
      }
      case BOX -> {
        svg.line(at.x(bar + 0.12), at.y(-half), at.x(bar + 0.12), at.y(half), thin);
        svg.line(at.x(length - 0.12), at.y(-half), at.x(length - 0.12), at.y(half), thin);
        svg.line(at.x(length - 0.12), at.y(0), at.x(length), at.y(0), thin);
      }
      case LIVESTOCK -> {
        for (double x = bar + 0.3; x < length - 0.3; x += 0.3) {
          svg.line(at.x(x), at.y(-half), at.x(x), at.y(-half + 0.18), thin);
          svg.line(at.x(x), at.y(half - 0.18), at.x(x), at.y(half), thin);
        }
        svg.line(at.x((bar + length) / 2), at.y(-half), at.x((bar + length) / 2), at.y(half), thin);
      }
      case GOOSENECK -> {
        for (double x = bar + 0.4; x < length - 0.1; x += 0.4) {
          svg.line(at.x(x), at.y(-half), at.x(x), at.y(half), thin);
        }
      }
      case SKELETON -> {
        for (int side = -1; side <= 1; side += 2) {
          svg.line(
              at.x(bar), at.y(side * half * 0.45), at.x(length), at.y(side * half * 0.45), thin);
        }
        for (double x = bar + 0.9; x < length - 0.2; x += 0.9) {
          svg.line(at.x(x), at.y(-half * 0.45), at.x(x), at.y(half * 0.45), thin);
        }
      }
      case PLANT -> {
        for (int side = -1; side <= 1; side += 2) {
          svg.rect(
              at.x(length - 1.5), at.y(side * half * 0.55 - 0.22), at.px(1.5), at.px(0.44), hollow);
        }
      }
      case STALL ->
          svg.rect(
              at.x(bar + 0.5), at.y(half - 0.32), at.px(length - bar - 1), at.px(0.32), hollow);
      case CABIN -> {
        svg.line(at.x(length - 0.7), at.y(-half), at.x(length - 0.7), at.y(half), thin);
        svg.line(at.x(bar), at.y(0), at.x(length - 0.7), at.y(0), thin);
      }
      default -> throw new IllegalStateException(kind().name());
    }
  }

  void lamp(Lamp lamp) {
    String fill =
        switch (lamp.role()) {
          case COMBINED, REAR_CLEARANCE -> Palette.RED_LENS;
          case SIDE_MARKER, FRONT_MARKER -> Palette.AMBER_LENS;
          case PLATE, REVERSE -> Palette.CLEAR_LENS;
        };
    double x = at.x(lamp.x());
    double y = at.y(lamp.y());
    boolean wanted = lamp.state() == Lamp.State.WANTED;
    Object[] look = {
      "class",
      "lens",
      "fill",
      wanted ? Palette.PAPER : fill,
      "stroke",
      wanted ? fill : INK,
      "stroke-width",
      1.2
    };
    switch (lamp.role()) {
      case COMBINED -> svg.rect(x - 2, y - 7, 7, 14, look);
      case REAR_CLEARANCE, PLATE, REVERSE -> svg.rect(x - 1, y - 3, 5, 6, look);
      case SIDE_MARKER, FRONT_MARKER -> svg.circle(x, y, 3.2, look);
      default -> throw new IllegalStateException(lamp.role().name());
    }
  }
}
