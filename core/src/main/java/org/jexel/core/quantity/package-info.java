/** Figures, units, provenance and sums: the ground that every other package stands on. */
package org.jexel.core.quantity;
