package org.jexel.core.road;

import java.time.Instant;
import org.jexel.core.braking.Surface;

/**
 * A settled gain, and what it holds for.
 *
 * @param gain on the controller's scale
 * @param surface on which it was found
 * @param trailerMass with load, kg
 * @param at when
 * @param who name of the person
 */
public record Setting(double gain, Surface surface, double trailerMass, Instant at, String who) {}
