package org.jexel.app.entry;

import java.time.Clock;
import org.jexel.app.job.JobFile;
import org.jexel.core.rig.Lamp;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what people say of a lamp. */
@Service
public class LampEntries {
  private final LampEntryRepository lamps;
  private final Clock clock;

  LampEntries(LampEntryRepository lamps, Clock clock) {
    this.lamps = lamps;
    this.clock = clock;
  }

  /** What was said stands from now on; the act says that the job changed. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void enter(JobFile file, Lamp lamp) {
    lamps.save(new LampEntry(file.job().trailer(), lamp, file.person(), clock.instant()));
  }
}
