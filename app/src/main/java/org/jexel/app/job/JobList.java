package org.jexel.app.job;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jexel.app.security.Person;
import org.springframework.data.domain.Limit;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.PageRequest;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The jobs of a workshop, each with how its stations stand. */
@Service
public class JobList {
  private static final int ROWS = 40;
  private static final int MOST_PAGES = 100_000;

  private final JobRepository jobs;

  JobList(JobRepository jobs) {
    this.jobs = jobs;
  }

  /**
   * A page of the board, by what is next.
   *
   * @param wanted part of a title, a customer or a reference; empty for every job
   * @param page from 1
   */
  @Transactional(readOnly = true)
  public Page<Job> board(Person person, String wanted, int page) {
    PageRequest rows = PageRequest.of(Math.max(0, Math.min(page, MOST_PAGES) - 1), ROWS);
    Long workshop = person.workshop().id();
    String words = wanted.strip().toLowerCase(Locale.ROOT);
    Page<Job> found =
        words.isEmpty()
            ? jobs.board(workshop, rows)
            : jobs.search(workshop, "%" + escaped(words) + "%", rows);
    found.forEach(Job::states);
    return found;
  }

  private static String escaped(String text) {
    return text.replace("\\", "\\\\").replace("%", "\\%").replace("_", "\\_");
  }

  /**
   * Jobs in the order in which they were begun.
   *
   * @param after reference of the job to begin behind; empty for the first
   * @return empty if there is no such job
   */
  @Transactional(readOnly = true)
  public Optional<List<Job>> after(Person person, String after, int most) {
    Long workshop = person.workshop().id();
    Optional<Long> behind =
        after.isEmpty() ? Optional.of(0L) : jobs.find(workshop, after).map(Job::id);
    return behind.map(
        id -> {
          List<Job> found =
              jobs.findByWorkshopIdAndIdGreaterThanOrderById(workshop, id, Limit.of(most));
          found.forEach(Job::states);
          return found;
        });
  }
}
