/**
 * The workshop that everything belongs to: its zone, its wire, its tongue band; and whether this
 * server works.
 *
 * <p>May touch nothing of the application.
 */
@NullMarked
package org.jexel.app.workshop;

import org.jspecify.annotations.NullMarked;
