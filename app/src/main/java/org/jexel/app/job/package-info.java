/**
 * Jobs: one act at a time on one record, and the frame that every station's page stands in. It
 * knows stations by {@link org.jexel.app.job.StationRoom} alone.
 *
 * <p>May touch {@code drawing}, {@code exchange}, {@code workshop}, {@code security}, {@code
 * library}.
 */
@NullMarked
package org.jexel.app.job;

import org.jspecify.annotations.NullMarked;
