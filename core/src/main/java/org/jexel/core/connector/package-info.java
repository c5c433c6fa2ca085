/** Connectors, their pins, and the colour conventions of the trade. Data, not code. */
package org.jexel.core.connector;
