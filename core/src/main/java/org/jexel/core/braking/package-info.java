/** The rig as a moving mass. */
package org.jexel.core.braking;
