/**
 * Station 6: test stops and the gain.
 *
 * <p>May touch everything but another station.
 */
@NullMarked
package org.jexel.app.road;

import org.jspecify.annotations.NullMarked;
