package org.jexel.app.harness;

import java.time.Clock;
import org.jexel.app.job.JobFile;
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

  /** Ticks or unticks a step of this job; a step that it has not is left alone. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void tick(JobFile file, String step, boolean done) {
    boolean known = file.work().harness().steps().stream().anyMatch(s -> s.id().equals(step));
    boolean now = HarnessRows.tick(file, step).map(StepTick::done).orElse(false);
    if (known && now != done) {
      ticks.save(new StepTick(file.job(), step, done, file.person(), clock.instant()));
      ticks.flush();
      file.changed();
    }
  }
}
