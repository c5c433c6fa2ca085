package org.jexel.app.harness;

import java.time.Clock;
import org.jexel.app.job.JobFile;
import org.jexel.core.harness.Step;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Ticks the steps of the work. */
@Service
public class Steps {
  private final StepTickRepository ticks;
  private final Clock clock;

  Steps(StepTickRepository ticks, Clock clock) {
    this.ticks = ticks;
    this.clock = clock;
  }

  /**
   * Ticks or unticks a step of this job, or one item of it; a step that it has not is left alone.
   * Of a step with items every one is ticked.
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public void tick(JobFile file, String step, boolean done) {
    for (Step each : file.work().harness().steps()) {
      if (each.id().equals(step)) {
        each.ticks().forEach(id -> set(file, id, done));
      } else if (each.ticks().contains(step)) {
        set(file, step, done);
      }
    }
    ticks.flush();
  }

  private void set(JobFile file, String id, boolean done) {
    boolean now = HarnessRows.tick(file, id).map(StepTick::done).orElse(false);
    if (now != done) {
      ticks.save(new StepTick(file.job(), id, done, file.person(), clock.instant()));
      file.changed();
    }
  }
}
