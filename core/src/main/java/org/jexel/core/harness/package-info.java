/** Conductors: their sizes, routes, loads and drops, planned from the rig. */
package org.jexel.core.harness;
