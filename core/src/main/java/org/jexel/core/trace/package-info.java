/** A drive as an instrument recorded it, and the stops in it. */
@NullMarked
package org.jexel.core.trace;

import org.jspecify.annotations.NullMarked;
