/** The rig as an electrical network, and its solution by modified nodal analysis. */
package org.jexel.core.network;
