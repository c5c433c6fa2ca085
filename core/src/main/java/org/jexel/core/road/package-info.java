/** Test stops, and the search for the gain. */
@NullMarked
package org.jexel.core.road;

import org.jspecify.annotations.NullMarked;
