/**
 * Station 5: the breakaway and its battery.
 *
 * <p>May touch everything but another station.
 */
@NullMarked
package org.jexel.app.breakaway;

import org.jspecify.annotations.NullMarked;
