package org.jexel.app.drawing;

import static org.jexel.app.drawing.Palette.INK;
import static org.jexel.app.drawing.Svg.n;

import org.jexel.core.rig.BatteryPlace;
import org.jexel.core.rig.ControllerKind;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.RigSheet;

/** The tow vehicle in plan, with its battery and its controller. */
public final class VehicleDrawing {
  private final Rig rig;
  private final RigSheet sheet;
  private final PlanScale at;
  private final Svg svg;

  VehicleDrawing(Rig rig, PlanScale at, Svg svg) {
    this.rig = rig;
    this.sheet = rig.sheet();
    this.at = at;
    this.svg = svg;
  }

  public void draw() {
    double length = sheet.si(RigField.TOW_LENGTH);
    double half = sheet.si(RigField.TOW_WIDTH) / 2;
    double rear = -sheet.si(RigField.REAR_OVERHANG);
    double front = rear - sheet.si(RigField.WHEELBASE);
    for (double axle : new double[] {front, rear}) {
      for (int side = -1; side <= 1; side += 2) {
        wheel(at, svg, axle, side * (half - 0.08), 0.68, 0.24);
      }
    }
    double left = at.x(-length);
    double right = at.x(-0.16);
    double top = at.y(-half);
    double bottom = at.y(half);
    double r = at.px(0.42);
    double q = at.px(0.14);
    svg.path(
        "M%s %s Q%s %s %s %s L%s %s Q%s %s %s %s L%s %s Q%s %s %s %s L%s %s Q%s %s %s %s Z"
            .formatted(
                n(left),
                n(top + r),
                n(left),
                n(top),
                n(left + r),
                n(top),
                n(right - q),
                n(top),
                n(right),
                n(top),
                n(right),
                n(top + q),
                n(right),
                n(bottom - q),
                n(right),
                n(bottom),
                n(right - q),
                n(bottom),
                n(left + r),
                n(bottom),
                n(left),
                n(bottom),
                n(left),
                n(bottom - r)),
        Look.body(1.6));
    double screen = front + 0.75;
    double back = Math.min(-0.5, rear + 0.25);
    glass(screen, screen + 0.42, half - 0.16, half - 0.3);
    glass(back - 0.1, back - 0.4, half - 0.2, half - 0.3);
    svg.line(at.x(-0.16), at.y(0), at.x(0), at.y(0), Look.ink(3.0));
    svg.circle(at.x(0), at.y(0), 4.2, Look.solid());
    double[] battery = battery();
    svg.rect(at.x(battery[0]) - 9, at.y(battery[1]) - 6, 18, 12, Look.box(1.3));
    svg.text(
        at.x(battery[0]),
        at.y(battery[1]) + 4,
        "+ –",
        "class",
        "tiny",
        "text-anchor",
        "middle",
        "font-size",
        11.0,
        "fill",
        INK);
    if (rig.hasElectricBrakes()) {
      double[] box = controller();
      svg.rect(at.x(box[0]) - 5, at.y(box[1]) - 5, 10, 10, Look.box(1.3));
    }
  }

  private void glass(double near, double far, double nearHalf, double farHalf) {
    svg.path(
        "M%s %s L%s %s L%s %s L%s %s Z"
            .formatted(
                n(at.x(near)),
                n(at.y(-nearHalf)),
                n(at.x(far)),
                n(at.y(-farHalf)),
                n(at.x(far)),
                n(at.y(farHalf)),
                n(at.x(near)),
                n(at.y(nearHalf))),
        "class",
        "glass",
        "fill",
        Palette.RULE,
        "stroke",
        INK,
        "stroke-width",
        0.8);
  }

  /** A wheel about a place, m. */
  static void wheel(PlanScale at, Svg svg, double x, double y, double length, double width) {
    svg.rect(
        at.x(x - length / 2),
        at.y(y - width / 2),
        at.px(length),
        at.px(width),
        "rx",
        2.5,
        "class",
        "solid",
        "fill",
        INK);
  }

  /** Where the battery sits: behind the ball and left of the middle, m. */
  public double[] battery() {
    double nose = -sheet.si(RigField.TOW_LENGTH);
    double side = sheet.si(RigField.TOW_WIDTH) / 2 - 0.42;
    return switch (sheet.choice(RigField.BATTERY_PLACE, BatteryPlace.class)) {
      case FRONT_LEFT -> new double[] {nose + 0.62, side};
      case FRONT_RIGHT -> new double[] {nose + 0.62, -side};
      case REAR -> new double[] {-0.45, side};
      case UNDER_SEAT ->
          new double[] {-sheet.si(RigField.REAR_OVERHANG) - sheet.si(RigField.WHEELBASE) / 2, side};
    };
  }

  /**
   * Where the controller hangs: under the dash on the driver's side; a wireless one by the socket.
   */
  public double[] controller() {
    if (sheet.choice(RigField.CONTROLLER_KIND, ControllerKind.class) == ControllerKind.WIRELESS) {
      return new double[] {-0.45, 0.3};
    }
    return new double[] {
      -sheet.si(RigField.REAR_OVERHANG) - sheet.si(RigField.WHEELBASE) + 1.3, 0.22
    };
  }
}
