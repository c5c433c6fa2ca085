/** The trailer that comes off must stop itself. */
package org.jexel.core.breakaway;
