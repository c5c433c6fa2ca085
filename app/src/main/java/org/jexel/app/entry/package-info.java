/**
 * What people enter of a rig, on whatever station's card: a new job's outline, figures, lamps,
 * lines of load.
 *
 * <p>May touch {@code job} and what that may touch.
 */
@NullMarked
package org.jexel.app.entry;

import org.jspecify.annotations.NullMarked;
