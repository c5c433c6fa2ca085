/** The rig as a moving mass. */
@NullMarked
package org.jexel.core.braking;

import org.jspecify.annotations.NullMarked;
