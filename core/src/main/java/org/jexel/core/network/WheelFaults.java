package org.jexel.core.network;

import java.util.Map;
import org.jexel.core.braking.BrakeCondition;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.Load;
import org.jexel.core.network.FaultFamily.OfWheel;
import org.jexel.core.network.FaultFamily.Trouble;
import org.jexel.core.rig.Side;

/** What can be the matter with the braked wheels that no meter shows. */
final class WheelFaults {
  /**
   * Adjustment drifts by itself, the rest is wear and water; lines and fluid stand for every wheel.
   * Against the weights of the catalog.
   */
  private static final Map<BrakeCondition, Double> WEIGHTS =
      Map.of(
          BrakeCondition.SET_SLACK, 6.0,
          BrakeCondition.LOAD_ASIDE, 4.0,
          BrakeCondition.AIR_IN_LINES, 8.0,
          BrakeCondition.FLUID_LEAKS, 8.0);

  private static final double OTHERS = 2.5;

  private WheelFaults() {}

  static void add(Harness harness, FaultList list) {
    for (Load load : harness.loads()) {
      for (BrakeCondition condition : BrakeCondition.values()) {
        if (canHave(load, condition)) {
          list.weigh(WEIGHTS.getOrDefault(condition, OTHERS));
          list.add(
              Fault.of(condition, load.name()),
              Trouble.of(condition),
              new OfWheel(load.name(), place(load, condition)));
        }
      }
    }
  }

  /** A side is named by its first wheel. */
  private static boolean canHave(Load load, BrakeCondition condition) {
    return switch (load.kind()) {
      case MAGNET ->
          !condition.ofAnActuator()
              && (condition != BrakeCondition.LOAD_ASIDE || load.spot().axle() == 0);
      case ACTUATOR -> condition.ofAnActuator();
      case FILAMENT, LED, CHARGE -> false;
    };
  }

  private static String place(Load load, BrakeCondition condition) {
    return condition.ofAnActuator()
        ? "actuator"
        : condition == BrakeCondition.LOAD_ASIDE
            ? load.spot().side().map(Side::label).orElse("")
            : load.spot().wheelLabel();
  }
}
