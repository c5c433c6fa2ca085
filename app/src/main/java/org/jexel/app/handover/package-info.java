/**
 * Station 7: the report.
 *
 * <p>May touch everything but another station: what it tells of them it reads from the job's
 * record.
 */
@NullMarked
package org.jexel.app.handover;

import org.jspecify.annotations.NullMarked;
