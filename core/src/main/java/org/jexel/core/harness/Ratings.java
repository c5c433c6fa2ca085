package org.jexel.core.harness;

import java.util.EnumMap;
import java.util.Map;
import org.jexel.core.connector.Connector;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.rig.LampFeed;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;

/**
 * What the parts of a rig are rated for, and the volts at which they are held to it: a trailer is
 * towed with the engine running.
 *
 * @param pins greatest continuous current of each pin, A; of two halves that mate the weaker
 * @param module whether a module's outputs feed the lamp pins
 * @param magnetAxles axles braked by magnets, for the rule by axles; 0 without any
 * @param lampVolts at the lamps' feed with the engine running, V
 * @param brakeVolts of the controller at full output with the engine running, V
 */
record Ratings(
    Map<PinFunction, Double> pins,
    boolean module,
    int magnetAxles,
    double lampVolts,
    double brakeVolts) {
  /** An output of a converter or isolating module gives so much, A; a good one the second. */
  static final double LEAST_OUTPUT = 6;

  static final double MOST_OUTPUT = 8;

  /** Exponent of a filament's current over volts, I = I0·(V/V0)^0.55. */
  private static final double FILAMENT_EXPONENT = 0.55;

  static Ratings of(Rig rig) {
    Map<PinFunction, Double> pins = new EnumMap<>(PinFunction.class);
    rate(rig.connector(), pins);
    if (rig.towConnector().takes(rig.connector())) {
      rate(rig.towConnector(), pins);
    } else {
      behindTheOldSocket(rig, pins);
    }
    double running = rig.sheet().si(RigField.RUNNING_VOLTS);
    return new Ratings(
        pins,
        rig.sheet().choice(RigField.LAMP_FEED, LampFeed.class) != LampFeed.DIRECT,
        rig.hasMagnets() ? rig.brakedAxles().length : 0,
        running,
        running - rig.sheet().si(RigField.CONTROLLER_DROP));
  }

  private static void rate(Connector half, Map<PinFunction, Double> pins) {
    half.pins().forEach(pin -> pins.merge(pin.function(), pin.ratingAmps(), Math::min));
  }

  /** A new socket's lamps are fed by the leads of the one that the vehicle has. */
  private static void behindTheOldSocket(Rig rig, Map<PinFunction, Double> pins) {
    rig.towConnector().pins().stream()
        .filter(pin -> PinFunction.LIGHTS.contains(pin.function()))
        .forEach(
            pin -> pins.computeIfPresent(pin.function(), (f, a) -> Math.min(a, pin.ratingAmps())));
  }

  /** Rating of a function's pin, A; without end where no pin is on its way. */
  double pin(PinFunction function) {
    return pins.getOrDefault(function, Double.POSITIVE_INFINITY);
  }

  /**
   * A load with the current that it draws while the engine runs.
   *
   * @param drop what a magnet's copper loses at the design current, V: its current is V/(R + U/I)
   */
  Load running(Load load, double drop) {
    double share =
        switch (load.kind()) {
          case FILAMENT -> Math.pow(lampVolts / LampLoad.NOMINAL_VOLTS, FILAMENT_EXPONENT);
          case MAGNET -> brakeVolts / (LampLoad.NOMINAL_VOLTS + drop);
          case LED, ACTUATOR, CHARGE -> 1;
        };
    return load.drawing(load.amps() * Math.max(1, share));
  }
}
