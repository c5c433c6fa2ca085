package org.jexel.app.job;

import java.util.List;
import org.jexel.app.security.Person;
import org.jexel.core.rig.Wish;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The next job on a trailer: it begins with what the last one left, in front of the same vehicle or
 * another. Each job keeps its own copy, so that what was true then stays to be read as it was; care
 * is the trailer's own, and goes on.
 */
@Service
public class Following {
  private final JobStart start;
  private final JobRepository jobs;
  private final JobFiles files;
  private final List<HandsOn> rooms;
  private final Again again;

  Following(JobStart start, JobRepository jobs, JobFiles files, List<HandsOn> rooms, Again again) {
    this.start = start;
    this.jobs = jobs;
    this.files = files;
    this.rooms = rooms;
    this.again = again;
  }

  /**
   * What is wanted next.
   *
   * @param tow what people call the other vehicle; empty for the same one
   */
  public record Wanted(Wish wish, String customer, String tow) {}

  /** Begins it where the newest one ended; the same request key gives the same job. */
  public Job begin(String ref, Wanted wanted, String requestKey, Person person) {
    String key = RequestKey.of(requestKey);
    return again.run(
        () -> start.begun(person, key).orElseGet(() -> fresh(ref, wanted, key, person)));
  }

  private Job fresh(String ref, Wanted wanted, String key, Person person) {
    JobFile asked = files.open(ref, person);
    JobFile from = files.open(life(asked.job()).get(0).ref(), person);
    boolean same = wanted.tow().isEmpty();
    Job job = start.follow(person, from.job(), wanted, key);
    rooms.forEach(room -> room.handOn(from, job, same));
    files.change(job.ref(), person, JobFile::changed);
    return job;
  }

  /** Every job on this trailer, newest first. */
  @Transactional(readOnly = true)
  public List<Job> life(Job job) {
    List<Job> life = jobs.onTrailer(job.workshop().id(), job.trailer().life());
    life.forEach(one -> one.standing().states());
    return life;
  }
}
