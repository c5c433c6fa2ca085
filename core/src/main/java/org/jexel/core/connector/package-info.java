/** Connectors, their pins, and the colour conventions of the trade. Data, not code. */
@NullMarked
package org.jexel.core.connector;

import org.jspecify.annotations.NullMarked;
