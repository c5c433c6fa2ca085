/** The rig as an electrical network, and its solution by modified nodal analysis. */
@NullMarked
package org.jexel.core.network;

import org.jspecify.annotations.NullMarked;
