package org.jexel.core.network;

import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Provenance;

/**
 * How far the parameter of one element may be from its nominal value and still be healthy, at two
 * standard deviations.
 *
 * @param element name in the network
 * @param label for people
 * @param way what it is on the way of
 * @param nominal SI
 * @param below how much lower, ≥ 0
 * @param above how much higher, ≥ 0
 * @param measure of the parameter
 * @param provenance of the nominal value
 */
public record Tolerance(
    String element,
    String label,
    Way way,
    double nominal,
    double below,
    double above,
    Measure measure,
    Provenance provenance) {

  /** What a part is on the way of, for the terms of a sum. */
  public enum Way {
    /** The vehicle's battery. */
    SUPPLY,
    CONTROLLER,
    MAGNET,
    /** A rear lamp, whose stamp tells what it is. */
    REAR_LAMP,
    /** Conductors and contacts of the brakes, out and back. */
    BRAKES,
    OTHER
  }
}
