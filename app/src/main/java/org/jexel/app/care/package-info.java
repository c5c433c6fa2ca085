/**
 * What a trailer is cared for over the years: the plan, what was done, and when it is due again.
 *
 * <p>May touch everything but a station: what it needs of them it reads from the job's record.
 */
@NullMarked
package org.jexel.app.care;

import org.jspecify.annotations.NullMarked;
