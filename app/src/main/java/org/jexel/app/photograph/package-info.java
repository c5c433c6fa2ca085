/**
 * Photographs of a job and of its trailer's care: taken in, kept, shown, told.
 *
 * <p>Stations show them by what {@code job} knows of them, {@link org.jexel.app.job.Photographed}.
 */
@NullMarked
package org.jexel.app.photograph;

import org.jspecify.annotations.NullMarked;
