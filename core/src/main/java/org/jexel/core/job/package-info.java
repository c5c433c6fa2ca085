/**
 * A job as one record, and the rules over it: how its stations stand, what is done, what is asked
 * again, what comes next. Everything that a station of the application stores is told to {@link
 * org.jexel.core.job.JobRecord}; everything that its pages say of the job is asked of {@link
 * org.jexel.core.job.Work}.
 *
 * <p>May touch every other room of the core; none touches it.
 */
@NullMarked
package org.jexel.core.job;

import org.jspecify.annotations.NullMarked;
