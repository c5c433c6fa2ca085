/** The trailer that comes off must stop itself. */
@NullMarked
package org.jexel.core.breakaway;

import org.jspecify.annotations.NullMarked;
