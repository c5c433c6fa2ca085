package org.jexel.app.job;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import org.jexel.app.security.Person;
import org.jexel.app.security.PersonRepository;
import org.jexel.app.workshop.Workshop;
import org.jexel.app.workshop.WorkshopRepository;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.data.domain.Limit;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * The board shows how jobs stood after their last act. A new build may judge the same facts by
 * other rules, and on a new day some facts are too old: a look round holds for its day, a setting
 * for half a year. So every job that another build judged, or this one on another day, is judged
 * again soon after a start, and soon after midnight where its workshop is.
 */
@Component
class StandAnew {
  private static final Logger LOG = LoggerFactory.getLogger(StandAnew.class);
  private static final int ROWS = 100;

  private final JobRepository jobs;
  private final WorkshopRepository workshops;
  private final PersonRepository people;
  private final JobFiles files;
  private final Build build;
  private final Clock clock;

  StandAnew(
      JobRepository jobs,
      WorkshopRepository workshops,
      PersonRepository people,
      JobFiles files,
      Build build,
      Clock clock) {
    this.jobs = jobs;
    this.workshops = workshops;
    this.people = people;
    this.files = files;
    this.build = build;
    this.clock = clock;
  }

  @Scheduled(initialDelayString = "${jexel.stand-anew:PT2S}", fixedDelayString = "PT10M")
  void all() {
    for (Workshop workshop : workshops.findAll()) {
      people.findFirstByWorkshopIdOrderById(workshop.id()).ifPresent(this::all);
    }
  }

  /**
   * @param person in whose name nothing is recorded: judging needs somebody who looks
   */
  private void all(Person person) {
    Workshop workshop = person.workshop();
    String judge = build.on(LocalDate.now(clock.withZone(workshop.zone())));
    long behind = 0;
    List<JobRepository.Judged> found;
    do {
      found = jobs.judgedOtherwise(workshop.id(), judge, behind, Limit.of(ROWS));
      found.forEach(job -> again(job, person));
      behind = found.isEmpty() ? behind : found.get(found.size() - 1).id();
    } while (!found.isEmpty());
  }

  private void again(JobRepository.Judged job, Person person) {
    try {
      files.standAnew(job.ref(), person);
    } catch (RuntimeException cannot) {
      // The job opens all the same, and its next act judges it.
      LOG.warn("{} could not be judged anew: {}", job.ref(), cannot.getMessage());
    }
  }
}
