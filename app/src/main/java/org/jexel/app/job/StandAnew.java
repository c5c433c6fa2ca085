package org.jexel.app.job;

import java.util.List;
import org.jexel.app.security.PersonRepository;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.data.domain.Limit;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * The board shows how jobs stood after their last act. A new build may judge the same facts by
 * other rules, so soon after a start every job that an earlier one judged is judged again.
 */
@Component
class StandAnew {
  private static final Logger LOG = LoggerFactory.getLogger(StandAnew.class);
  private static final int ROWS = 100;

  private final JobRepository jobs;
  private final PersonRepository people;
  private final JobFiles files;
  private final Build build;

  StandAnew(JobRepository jobs, PersonRepository people, JobFiles files, Build build) {
    this.jobs = jobs;
    this.people = people;
    this.files = files;
    this.build = build;
  }

  @Scheduled(initialDelayString = "${jexel.stand-anew:PT2S}", fixedDelayString = "P1D")
  void all() {
    long behind = 0;
    List<JobRepository.Judged> found = jobs.judgedByOthers(build.id(), behind, Limit.of(ROWS));
    while (!found.isEmpty()) {
      found.forEach(this::again);
      behind = found.get(found.size() - 1).id();
      found = jobs.judgedByOthers(build.id(), behind, Limit.of(ROWS));
    }
  }

  private void again(JobRepository.Judged job) {
    try {
      people
          .findFirstByWorkshopIdOrderById(job.workshop())
          .ifPresent(person -> files.standAnew(job.ref(), person));
    } catch (RuntimeException cannot) {
      // The job opens all the same, and its next act judges it.
      LOG.warn("{} could not be judged anew: {}", job.ref(), cannot.getMessage());
    }
  }
}
