/** The brake controller in the vehicle and its supply. */
@NullMarked
package org.jexel.core.cab;

import org.jspecify.annotations.NullMarked;
