package org.jexel.app.road;

import org.jexel.core.braking.Surface;
import org.jexel.core.road.Outcome;

/**
 * A stop as entered and understood, SI.
 *
 * @param distance m, or null
 * @param seconds s, or null
 * @param corrects the stop that this one corrects, or null
 */
public record StopEntry(
    double gain,
    TestStop.Way way,
    double speed,
    Surface surface,
    Outcome outcome,
    Double distance,
    Double seconds,
    double vehicleMass,
    double trailerMass,
    String note,
    Long corrects,
    String requestKey) {}
