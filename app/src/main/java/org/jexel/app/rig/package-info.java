/**
 * Station 1: plates, lengths, lamps, load, gaps.
 *
 * <p>May touch everything but another station.
 */
@NullMarked
package org.jexel.app.rig;

import org.jspecify.annotations.NullMarked;
