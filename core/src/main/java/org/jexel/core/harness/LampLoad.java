package org.jexel.core.harness;

import java.util.LinkedHashMap;
import java.util.Map;
import org.jexel.core.connector.Connector;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.rig.Lamp;
import org.jexel.core.rig.LampTechnology;
import org.jexel.core.rig.Side;

/**
 * What a lamp draws on each pin, at 12.8 V: filament stop/turn 27 W, tail 8 W, marker 4 W, plate 5
 * W, reverse 27 W; LED 0.25 A stop/turn, 0.05 A tail, 0.06 A marker and plate, 0.25 A reverse.
 */
public final class LampLoad {
  /** Nominal lamp voltage, V. */
  public static final double NOMINAL_VOLTS = 12.8;

  private LampLoad() {}

  /** Nominal current by pin, A. */
  public static Map<PinFunction, Double> amps(Lamp lamp, Connector connector) {
    Map<PinFunction, Double> amps = new LinkedHashMap<>();
    switch (lamp.role()) {
      case COMBINED -> {
        amps.put(PinFunction.TAIL, current(lamp, 8, 0.05));
        PinFunction side = lamp.side() == Side.LEFT ? PinFunction.LEFT : PinFunction.RIGHT;
        amps.put(side, current(lamp, 27, 0.25));
        if (connector.has(PinFunction.STOP)) {
          amps.put(PinFunction.STOP, current(lamp, 27, 0.25));
        }
      }
      case PLATE -> amps.put(PinFunction.TAIL, current(lamp, 5, 0.06));
      case SIDE_MARKER, FRONT_MARKER, REAR_CLEARANCE ->
          amps.put(PinFunction.TAIL, current(lamp, 4, 0.06));
      case REVERSE -> amps.put(PinFunction.REVERSE, current(lamp, 27, 0.25));
    }
    amps.keySet().removeIf(function -> !connector.has(function));
    return amps;
  }

  private static double current(Lamp lamp, double watts, double ledAmps) {
    return lamp.technology() == LampTechnology.LED ? ledAmps : watts / NOMINAL_VOLTS;
  }
}
