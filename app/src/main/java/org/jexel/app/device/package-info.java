/**
 * Meter, tester and controller link as ports, with the simulated ones that ship.
 *
 * <p>May touch {@code workshop}.
 */
@NullMarked
package org.jexel.app.device;

import org.jspecify.annotations.NullMarked;
