/**
 * Station 2: plan, steps, colours, box, faces, shelf.
 *
 * <p>May touch everything but another station.
 */
@NullMarked
package org.jexel.app.harness;

import org.jspecify.annotations.NullMarked;
