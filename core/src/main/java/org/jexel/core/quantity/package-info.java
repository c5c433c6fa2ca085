/** Figures, units, provenance and sums: the ground that every other package stands on. */
@NullMarked
package org.jexel.core.quantity;

import org.jspecify.annotations.NullMarked;
