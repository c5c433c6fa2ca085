package org.jexel.app.bench;

import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import org.jexel.app.job.JobFile;
import org.jexel.core.diagnosis.Diagnosis;
import org.jexel.core.job.Station;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Keeps repairs: whatever the mended fault would have changed is then to be read again. */
@Service
public class Repairs {
  private final RepairRepository repairs;
  private final Clock clock;

  Repairs(RepairRepository repairs, Clock clock) {
    this.repairs = repairs;
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
    for (Diagnosis.Group group : file.work().bench().diagnosis().groups()) {
      if (!group.leading().healthy() && group.leading().key().equals(key)) {
        List<String> again =
            file.work().bench().predictions().affectedBy(group.hypotheses()).stream()
                .filter(id -> file.work().bench().last(id).isPresent())
                .toList();
        // Readings keep milliseconds; what was read in this one was read before.
        Instant now = clock.instant().truncatedTo(ChronoUnit.MILLIS);
        String words = group.leading().words(file.units());
        repairs.save(new Repair(file.job(), words, again, file.person(), now));
        file.changed(Station.BENCH);
        return true;
      }
    }
    return false;
  }
}
