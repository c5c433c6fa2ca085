package org.jexel.core.care;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jexel.core.rig.BrakeType;
import org.jexel.core.rig.BreakawayKit;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.Side;
import org.jexel.core.rig.TrailerKind;
import org.jexel.core.rig.Wheel;
import org.jexel.core.rig.YesNo;

/** What of all that is cared for a trailer has, and at how many places. */
final class CarePlaces {
  /** From here on axles stand far apart and scrub in a turn, m. */
  private static final double SPREAD = 1.2;

  private static final Wheel NO_WHEEL = new Wheel(0, Side.LEFT);

  private CarePlaces() {}

  /** Wheels are numbered from 1, from the front, left before right, braked or not. */
  static Map<Integer, String> of(Rig rig, CarePart part) {
    List<Wheel> wheels = Wheel.all(rig);
    List<Wheel> here =
        switch (part.of()) {
          case TRAILER -> List.of();
          case WHEELS -> wheels;
          case BRAKES -> Wheel.braked(rig);
        };
    if (here.isEmpty()) {
      return Map.of(0, part.label());
    }
    Map<Integer, String> places = new LinkedHashMap<>();
    here.forEach(wheel -> places.put(wheels.indexOf(wheel) + 1, wheel.label()));
    return places;
  }

  static boolean has(Rig rig, CarePart part) {
    return switch (part) {
      case RIMS -> rig.axleCount() > 1 && rig.sheet().si(RigField.AXLE_SPACING) >= SPREAD;
      case ADJUSTMENT, SHOES, DRUMS -> rig.brakedAxles().length > 0;
      case MAGNETS -> rig.hasMagnets();
      case FLUID -> rig.brakeType() == BrakeType.ELECTRIC_HYDRAULIC;
      case CHAINS -> rig.sheet().choice(RigField.CHAINS, YesNo.class) == YesNo.YES;
      case SWITCH, BATTERY ->
          rig.hasElectricBrakes()
              && rig.sheet().choice(RigField.BREAKAWAY_KIT, BreakawayKit.class)
                  != BreakawayKit.NONE;
      case RAMP ->
          switch (rig.sheet().choice(RigField.TRAILER_KIND, TrailerKind.class)) {
            case BOX, LIVESTOCK, PLANT -> true;
            default -> false;
          };
      case DOORS ->
          switch (rig.sheet().choice(RigField.TRAILER_KIND, TrailerKind.class)) {
            case BOX, LIVESTOCK, STALL, CABIN -> true;
            default -> false;
          };
      default -> true;
    };
  }

  /** Whose number it is; any for what is at none. */
  static Wheel wheel(Rig rig, int place) {
    List<Wheel> wheels = Wheel.all(rig);
    return place < 1 || place > wheels.size() ? NO_WHEEL : wheels.get(place - 1);
  }
}
