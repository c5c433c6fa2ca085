package org.jexel.app.bench;

import java.time.LocalDate;
import java.util.Optional;
import org.jexel.app.job.JobFile;
import org.jexel.core.check.Check;
import org.jexel.core.quantity.CalendarDay;
import org.jexel.core.quantity.Phrase;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a check read the last time that this trailer was here: to compare with, and no proof. */
@Service
class LastTime {
  private final ReadingRepository readings;

  LastTime(ReadingRepository readings) {
    this.readings = readings;
  }

  /** In words; empty where it was not read in an earlier job. */
  @Transactional(readOnly = true)
  Optional<String> of(JobFile file, Check check) {
    if (!file.job().follows()) {
      return Optional.empty();
    }
    return readings
        .before(file.job().trailer().life(), file.job().id(), check.id(), Limit.of(1))
        .stream()
        .findFirst()
        .map(
            reading ->
                Phrase.of(
                    "%s %s on %s, %s",
                    reading.taken().told(reading.measure(), file.units()),
                    told(reading),
                    CalendarDay.text(
                        LocalDate.ofInstant(reading.takenAt(), file.job().workshop().zone())),
                    reading.job().ref()));
  }

  private static String told(Reading reading) {
    if (reading.taken().simulated()) {
      return "stood";
    }
    return switch (reading.verdict()) {
      case HOLDS -> "held";
      case WATCH -> "was to be watched";
      case FAILS -> "failed";
      case NOT_YET -> "was not judged";
    };
  }
}
