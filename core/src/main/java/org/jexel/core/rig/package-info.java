/**
 * The rig: tow vehicle, trailer, controller, lamps and load, every figure with its provenance.
 *
 * <p>Axes: x runs backwards from the coupling ball, y to the left of the direction of travel, both
 * in metres.
 */
@NullMarked
package org.jexel.core.rig;

import org.jspecify.annotations.NullMarked;
