/** What a reading should be before it is taken, and what it means afterwards. */
@NullMarked
package org.jexel.core.check;

import org.jspecify.annotations.NullMarked;
