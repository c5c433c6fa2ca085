/** Test stops, and the search for the gain. */
package org.jexel.core.road;
