package org.jexel.app.job;

import java.util.Arrays;
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
   * @param wanted words of the title, the customer, the vehicle, the trailer or the reference, in
   *     any order; the first three count; empty for every job
   * @param page from 1
   */
  @Transactional(readOnly = true)
  public Page<Job> board(Person person, String wanted, int page) {
    PageRequest rows = PageRequest.of(Math.max(0, Math.min(page, MOST_PAGES) - 1), ROWS);
    Long workshop = person.workshop().id();
    List<String> words =
        Arrays.stream(wanted.toLowerCase(Locale.ROOT).split("\\s+"))
            .filter(word -> !word.isEmpty())
            .toList();
    Page<Job> found =
        words.isEmpty()
            ? jobs.board(workshop, rows)
            : jobs.search(workshop, like(words, 0), like(words, 1), like(words, 2), rows);
    found.forEach(Job::states);
    return found;
  }

  private static String like(List<String> words, int place) {
    return place < words.size() ? "%" + escaped(words.get(place)) + "%" : "%";
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
