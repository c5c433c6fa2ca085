/** What wears, works loose or ages, and the usual figures of the handbooks for it. */
@NullMarked
package org.jexel.core.care;

import org.jspecify.annotations.NullMarked;
