package org.jexel.app.job;

import org.jexel.core.care.CarePlan;

/** Whoever knows what a trailer is cared for over the years. */
public interface Cared {
  /** As it stands now, in this job and those before. */
  CarePlan plan(JobFile file);
}
