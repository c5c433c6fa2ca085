/**
 * Station 4: the check sheet, readings, repairs and the finder.
 *
 * <p>May touch everything but another station.
 */
@NullMarked
package org.jexel.app.bench;

import org.jspecify.annotations.NullMarked;
