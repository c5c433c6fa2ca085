package org.jexel.core.harness;

import org.jexel.core.connector.PinFunction;
import org.jexel.core.quantity.Provenance;
import org.jexel.core.rig.LampRole;

/**
 * Something that draws current on the trailer.
 *
 * @param name a node-safe name
 * @param label name for people
 * @param function the pin that feeds it
 * @param spot what it is a part of
 * @param feed node of its live terminal
 * @param back node of its return terminal
 * @param ohms resistance at nominal voltage, Ω
 * @param amps design current, A
 * @param kind what it is, for its tolerance
 * @param provenance of the resistance
 */
public record Load(
    String name,
    String label,
    PinFunction function,
    Spot spot,
    String feed,
    String back,
    double ohms,
    double amps,
    Kind kind,
    Provenance provenance) {
  /** Name of an actuator's signal input. */
  public static final String ACTUATOR = "actuator";

  /** Name of its pump's own supply. */
  public static final String ACTUATOR_SUPPLY = "actuator_supply";

  /** The same load with another current. */
  Load drawing(double newAmps) {
    return new Load(name, label, function, spot, feed, back, ohms, newAmps, kind, provenance);
  }

  /** Whether it gives light. */
  public boolean lamp() {
    return kind == Kind.FILAMENT || kind == Kind.LED;
  }

  /** Whether it is a part of a rear lamp: that of tail, stop or turn. */
  public boolean isOfRearLamp() {
    return spot.lamp().filter(lamp -> lamp.role() == LampRole.COMBINED).isPresent();
  }

  /** What a load is; each kind has its own tolerance. */
  public enum Kind {
    FILAMENT(0.15),
    LED(0.30),
    MAGNET(0.10),
    ACTUATOR(0.10),
    CHARGE(0.30);

    private final double tolerance;

    Kind(double tolerance) {
      this.tolerance = tolerance;
    }

    /** Healthy spread as a share of the nominal resistance, two standard deviations. */
    public double tolerance() {
      return tolerance;
    }
  }
}
