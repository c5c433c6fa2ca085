package org.jexel.app.job;

import jakarta.persistence.criteria.Predicate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.jexel.app.security.Person;
import org.springframework.data.domain.Limit;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.PageRequest;
import org.springframework.data.domain.Sort;
import org.springframework.data.jpa.domain.Specification;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The jobs of a workshop, each with how its stations stand. */
@Service
public class JobList {
  private static final int ROWS = 40;
  private static final int MOST_PAGES = 100_000;
  private static final Sort BY_NEXT =
      Sort.by("standing.nextStation").and(Sort.by("updatedAt").descending()).and(Sort.by("id"));

  private final JobRepository jobs;

  JobList(JobRepository jobs) {
    this.jobs = jobs;
  }

  /**
   * A page of the board, by what is next.
   *
   * @param wanted words of the title, the customer, the vehicle, the trailer or the reference, in
   *     any order; empty for every job
   * @param page from 1
   */
  @Transactional(readOnly = true)
  public Page<Job> board(Person person, String wanted, int page) {
    PageRequest rows = PageRequest.of(Math.max(0, Math.min(page, MOST_PAGES) - 1), ROWS, BY_NEXT);
    Specification<Job> asked =
        (job, query, is) -> {
          if (query.getResultType() == Job.class) {
            job.fetch("trailer");
          }
          return is.equal(job.get("workshop"), person.workshop());
        };
    for (String word : wanted.strip().toLowerCase(Locale.ROOT).split("\\s+")) {
      asked = asked.and(called(word));
    }
    Page<Job> found = jobs.findAll(asked, rows);
    found.forEach(job -> job.standing().states());
    return found;
  }

  /** Jobs in whose reference, title, customer, vehicle or trailer a word stands. */
  private static Specification<Job> called(String word) {
    String like = "%" + escaped(word) + "%";
    return (job, query, is) ->
        is.or(
            Stream.of(
                    job.<String>get("ref"),
                    job.<String>get("title"),
                    job.<String>get("customer"),
                    job.get("tow").<String>get("label"),
                    job.get("trailer").<String>get("label"))
                .map(name -> is.like(is.lower(name), like))
                .toArray(Predicate[]::new));
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
          found.forEach(job -> job.standing().states());
          return found;
        });
  }
}
