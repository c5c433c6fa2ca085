/** The brake controller in the vehicle and its supply. */
package org.jexel.core.cab;
