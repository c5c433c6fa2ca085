package org.jexel.app.bench;

import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.UUID;
import org.jexel.app.harness.StepTick;
import org.jexel.app.harness.StepTickRepository;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.JobFiles;
import org.jexel.core.diagnosis.Diagnosis;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Ticks repairs: whatever the mended fault would have changed is then to be read again. */
@Service
public class Repairs {
  private static final int LONGEST = 300;
  private static final int LONGEST_LIST = 8000;

  private final StepTickRepository ticks;
  private final JobFiles files;
  private final Clock clock;

  Repairs(StepTickRepository ticks, JobFiles files, Clock clock) {
    this.ticks = ticks;
    this.files = files;
    this.clock = clock;
  }

  /**
   * Mends what stands under this label among the suspects; a label that none has is left alone, for
   * the readings may have changed since the page was made.
   *
   * @return whether anything was mended
   */
  @Transactional
  public boolean mend(JobFile file, String label) {
    files.hold(file);
    for (Diagnosis.Group group : file.diagnosis().groups()) {
      if (!group.leading().healthy() && group.leading().label().equals(label)) {
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
                cut(label),
                fitting(again),
                file.person(),
                now));
        files.refresh(file.job().ref(), file.person());
        return true;
      }
    }
    return false;
  }

  private static String cut(String label) {
    return label.length() > LONGEST ? label.substring(0, LONGEST) : label;
  }

  private static List<String> fitting(List<String> ids) {
    int length = 0;
    int n = 0;
    while (n < ids.size() && length + ids.get(n).length() + 1 < LONGEST_LIST) {
      length += ids.get(n++).length() + 1;
    }
    return ids.subList(0, n);
  }
}
