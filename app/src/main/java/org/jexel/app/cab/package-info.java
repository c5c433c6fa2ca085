/**
 * Station 3: the controller in the vehicle.
 *
 * <p>May touch everything but another station.
 */
@NullMarked
package org.jexel.app.cab;

import org.jspecify.annotations.NullMarked;
