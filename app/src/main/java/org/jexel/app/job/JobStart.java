package org.jexel.app.job;

import java.time.Clock;
import java.util.Optional;
import org.jexel.app.security.Person;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.rig.Subject;
import org.jexel.core.rig.Wish;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Begins jobs, within the transaction of whoever enters their first figures. */
@Service
@Transactional(propagation = Propagation.MANDATORY)
public class JobStart {
  private final JobRepository jobs;
  private final RigPartRepository parts;
  private final Clock clock;

  JobStart(JobRepository jobs, RigPartRepository parts, Clock clock) {
    this.jobs = jobs;
    this.parts = parts;
    this.clock = clock;
  }

  /**
   * What a job joins, and why.
   *
   * @param tow what people call the vehicle
   * @param trailer what people call the trailer
   * @param controller what people call the controller
   */
  public record Outline(String customer, Wish wish, String tow, String trailer, String controller) {
    private String title() {
      return trailer + ": " + Phrase.within(wish.label());
    }
  }

  /** The job that a request has begun already. */
  public Optional<Job> begun(Person person, String requestKey) {
    return jobs.findByWorkshopIdAndRequestKey(person.workshop().id(), requestKey);
  }

  /** A job with its parts, of which nothing is known yet. */
  public Job begin(Person person, Outline outline, String requestKey) {
    Job job =
        new Job(
            person.workshop(),
            outline.title(),
            outline.customer(),
            outline.wish(),
            requestKey,
            clock.instant());
    job.join(
        part(person, Subject.TOW, outline.tow()),
        part(person, Subject.TRAILER, outline.trailer()),
        part(person, Subject.CONTROLLER, outline.controller()));
    return numbered(job);
  }

  /** The next job on a trailer, before anything is handed on. */
  Job follow(Person person, Job last, Following.Wanted wanted, String requestKey) {
    boolean same = wanted.tow().isEmpty();
    String title = last.trailer().label() + ": " + Phrase.within(wanted.wish().label());
    Job job =
        new Job(
            person.workshop(),
            title,
            wanted.customer(),
            wanted.wish(),
            requestKey,
            clock.instant());
    job.join(
        parts.save(
            same ? last.tow().next() : new RigPart(person.workshop(), Subject.TOW, wanted.tow())),
        parts.save(last.trailer().next()),
        same
            ? parts.save(last.controller().next())
            : part(person, Subject.CONTROLLER, Subject.CONTROLLER.label()));
    job.after(last);
    return numbered(job);
  }

  /** Keeps a job, which is known by the number that it gets. */
  Job numbered(Job job) {
    jobs.saveAndFlush(job);
    job.number();
    jobs.flush();
    return job;
  }

  private RigPart part(Person person, Subject subject, String label) {
    return parts.save(new RigPart(person.workshop(), subject, label));
  }
}
