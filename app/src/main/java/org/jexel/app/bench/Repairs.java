package org.jexel.app.bench;

import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.UUID;
import org.jexel.app.harness.StepTick;
import org.jexel.app.harness.StepTickRepository;
import org.jexel.app.job.JobFile;
import org.jexel.core.diagnosis.Diagnosis;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Ticks repairs: whatever the mended fault would have changed is then to be read again. */
@Service
public class Repairs {
  private final StepTickRepository ticks;
  private final Clock clock;

  Repairs(StepTickRepository ticks, Clock clock) {
    this.ticks = ticks;
    this.clock = clock;
  }

  /**
   * Mends what stands under this key among the suspects; a key that none has is left alone, for the
   * readings may have changed since the page was made.
   *
   * @return whether anything was mended
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public boolean mend(JobFile file, String key) {
    for (Diagnosis.Group group : file.diagnosis().groups()) {
      if (!group.leading().healthy() && group.leading().key().equals(key)) {
        List<String> again =
            file.predictions().affectedBy(group.hypotheses()).stream()
                .filter(id -> file.lastReading(id).isPresent())
                .toList();
        // Readings keep milliseconds; what was read in this one was read before.
        Instant now = clock.instant().truncatedTo(ChronoUnit.MILLIS);
        ticks.saveAndFlush(
            StepTick.repair(
                file.job(),
                "mended." + UUID.randomUUID(),
                group.leading().words(file.units()),
                again,
                file.person(),
                now));
        file.changed();
        return true;
      }
    }
    return false;
  }
}
