package org.jexel.core.harness;

import java.util.LinkedHashMap;
import java.util.Map;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.quantity.Figure;
import org.jexel.core.quantity.Provenance;
import org.jexel.core.rig.Assumption;
import org.jexel.core.rig.Lamp;
import org.jexel.core.rig.LampTechnology;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.Side;

/**
 * What a lamp draws on each pin, at 12.8 V. Of rear lamps the watts are figures of the rig, assumed
 * until their stamps are read: filament tail 8 W, stop and turn 27 W; LED 0.05 A and 0.25 A. Of all
 * others they are assumed: filament marker 4 W, plate 5 W, reverse 27 W; LED 0.06 A marker and
 * plate, 0.25 A reverse.
 */
public final class LampLoad {
  /** Nominal lamp voltage, V. */
  public static final double NOMINAL_VOLTS = 12.8;

  private LampLoad() {}

  /** Nominal current by pin, A. */
  public static Map<PinFunction, Figure> amps(Lamp lamp, Rig rig) {
    Map<PinFunction, Figure> amps = new LinkedHashMap<>();
    switch (lamp.role()) {
      case COMBINED -> {
        Figure stop = stamped(RigField.REAR_STOP_WATTS, lamp, rig);
        amps.put(PinFunction.TAIL, stamped(RigField.REAR_TAIL_WATTS, lamp, rig));
        amps.put(lamp.side() == Side.LEFT ? PinFunction.LEFT : PinFunction.RIGHT, stop);
        amps.put(PinFunction.STOP, stop);
      }
      case PLATE -> amps.put(PinFunction.TAIL, assumed(lamp, 5, 0.06));
      case SIDE_MARKER, FRONT_MARKER, REAR_CLEARANCE ->
          amps.put(PinFunction.TAIL, assumed(lamp, 4, 0.06));
      case REVERSE -> amps.put(PinFunction.REVERSE, assumed(lamp, 27, 0.25));
    }
    amps.keySet().removeIf(function -> !rig.connector().has(function));
    return amps;
  }

  /** By its stamp, once somebody has read it: that is told of lamps of the kind that is listed. */
  private static Figure stamped(RigField field, Lamp lamp, Rig rig) {
    LampTechnology kind = lamp.technology();
    Figure watts = rig.sheet().figure(field);
    if (watts.assumed()
        || kind != rig.sheet().choice(RigField.LAMP_TECHNOLOGY, LampTechnology.class)) {
      Assumption usual = field == RigField.REAR_TAIL_WATTS ? kind.tail() : kind.stop();
      return new Figure(usual.si() / NOMINAL_VOLTS, Provenance.ASSUMED, usual.reason());
    }
    // A stamp is no reading: what is stamped alike draws within a lamp's tolerance.
    return new Figure(watts.si() / NOMINAL_VOLTS, Provenance.PLATE, "");
  }

  private static Figure assumed(Lamp lamp, double watts, double ledAmps) {
    double amps = lamp.technology() == LampTechnology.LED ? ledAmps : watts / NOMINAL_VOLTS;
    return new Figure(amps, Provenance.ASSUMED, "usual of its kind");
  }
}
