package org.jexel.core.rig;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jexel.core.connector.PinFunction;

/**
 * The lamps a trailer of this size usually carries, offered for editing.
 *
 * <p>The thresholds follow the trade's common pattern: two combined rear lamps and a plate lamp on
 * every trailer; side markers at both ends once it is longer than 1.8 m, and one more between them
 * beyond 9.1 m (30 ft); front markers from 1.6 m width; rear clearance lamps from 2.03 m (80 in).
 * What is required depends on the place; the workshop's own law decides.
 */
public final class LampOffer {
  private static final double SIDE_MARKERS_FROM_M = 1.8;
  private static final double MIDDLE_MARKERS_FROM_M = 9.1;
  private static final double FRONT_MARKERS_FROM_M = 1.6;
  private static final double CLEARANCE_FROM_M = 2.03;

  /** Lamps sit this far inside the outline, m. */
  public static final double INSET_M = 0.08;

  private LampOffer() {}

  /**
   * The offer, with what people said of each lamp, and the lamps that they added.
   *
   * @param said newest last, by slot
   */
  public static List<Lamp> with(RigSheet sheet, List<Lamp> said) {
    boolean reversePin =
        sheet
            .catalog()
            .connector(sheet.choice(RigField.PLANNED_CONNECTOR).value())
            .has(PinFunction.REVERSE);
    Map<String, Lamp> bySlot = new LinkedHashMap<>();
    of(sheet, reversePin).forEach(lamp -> bySlot.put(lamp.slot(), lamp));
    said.forEach(lamp -> bySlot.merge(lamp.slot(), lamp, LampOffer::said));
    return List.copyOf(bySlot.values());
  }

  /** An offered lamp keeps its computed place and reason until somebody puts it elsewhere. */
  private static Lamp said(Lamp offered, Lamp said) {
    Lamp lamp = offered.with(said.state(), said.technology());
    return said.placed() ? lamp.at(said.x(), said.y()) : lamp;
  }

  public static List<Lamp> of(RigSheet sheet, boolean reversePin) {
    double length = sheet.si(RigField.OVERALL_LENGTH);
    double width = sheet.si(RigField.OVERALL_WIDTH);
    double front = sheet.si(RigField.DRAWBAR_LENGTH) + INSET_M;
    double rear = length - INSET_M;
    double edge = width / 2 - INSET_M;
    LampTechnology technology = sheet.choice(RigField.LAMP_TECHNOLOGY, LampTechnology.class);
    List<Lamp> lamps = new ArrayList<>();
    for (Side side : Side.values()) {
      double y = side.sign() * edge;
      String tail = "-" + side.label();
      lamps.add(lamp("rear" + tail, LampRole.COMBINED, side, rear, y, technology, "every trailer"));
      if (length > SIDE_MARKERS_FROM_M) {
        lamps.add(
            lamp(
                "marker-front" + tail,
                LampRole.SIDE_MARKER,
                side,
                front,
                y,
                technology,
                "longer than 1.8 m (6 ft)"));
        lamps.add(
            lamp(
                "marker-rear" + tail,
                LampRole.SIDE_MARKER,
                side,
                rear - 0.3,
                y,
                technology,
                "longer than 1.8 m (6 ft)"));
      }
      if (length > MIDDLE_MARKERS_FROM_M) {
        lamps.add(
            lamp(
                "marker-middle" + tail,
                LampRole.SIDE_MARKER,
                side,
                (front + rear) / 2,
                y,
                technology,
                "longer than 9.1 m (30 ft)"));
      }
      if (width >= FRONT_MARKERS_FROM_M) {
        lamps.add(
            lamp(
                "front" + tail,
                LampRole.FRONT_MARKER,
                side,
                front,
                y - side.sign() * 0.1,
                technology,
                "1.6 m (5 ft 3 in) wide or more"));
      }
      if (width >= CLEARANCE_FROM_M) {
        lamps.add(
            lamp(
                "clearance" + tail,
                LampRole.REAR_CLEARANCE,
                side,
                rear,
                y - side.sign() * 0.25,
                technology,
                "2.03 m (80 in) wide or more"));
      }
    }
    lamps.add(lamp("plate", LampRole.PLATE, Side.LEFT, rear, 0.3, technology, "every trailer"));
    if (reversePin && sheet.choice(RigField.TRAILER_KIND, TrailerKind.class) == TrailerKind.PLANT) {
      lamps.add(
          lamp(
              "reverse",
              LampRole.REVERSE,
              Side.LEFT,
              rear,
              0.5,
              technology,
              "plant is backed by ear and eye"));
    }
    return lamps;
  }

  private static Lamp lamp(
      String slot,
      LampRole role,
      Side side,
      double x,
      double y,
      LampTechnology technology,
      String reason) {
    return new Lamp(slot, role, side, x, y, technology, Lamp.State.PRESENT, reason, false);
  }
}
