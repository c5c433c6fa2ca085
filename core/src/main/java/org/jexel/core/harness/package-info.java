/** Conductors: their sizes, routes, loads and drops, planned from the rig. */
@NullMarked
package org.jexel.core.harness;

import org.jspecify.annotations.NullMarked;
