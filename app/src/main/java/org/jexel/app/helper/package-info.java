/**
 * A second phone in the cab that shows what to hold now.
 *
 * <p>May touch {@code job} and what that may touch.
 */
@NullMarked
package org.jexel.app.helper;

import org.jspecify.annotations.NullMarked;
