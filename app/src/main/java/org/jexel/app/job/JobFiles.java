package org.jexel.app.job;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.Function;
import org.jexel.app.security.Person;
import org.jexel.core.job.Station;
import org.jexel.core.job.Work;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.server.ResponseStatusException;

/** Opens jobs. A job of another workshop does not exist for this person. */
@Service
public class JobFiles {
  private static final Logger LOG = LoggerFactory.getLogger(JobFiles.class);

  private final JobRepository jobs;
  private final Rooms rooms;
  private final Drafts drafts;
  private final Plans plans;
  private final Again again;
  private final Build build;
  private final JobQueue queue;
  private final EntityManager entities;
  private final Clock clock;
  private final List<Afterwards> afterwards;

  JobFiles(
      JobRepository jobs,
      Rooms rooms,
      Drafts drafts,
      Plans plans,
      Again again,
      Build build,
      JobQueue queue,
      EntityManager entities,
      Clock clock,
      List<Afterwards> afterwards) {
    this.jobs = jobs;
    this.rooms = rooms;
    this.drafts = drafts;
    this.plans = plans;
    this.again = again;
    this.build = build;
    this.queue = queue;
    this.entities = entities;
    this.clock = clock;
    this.afterwards = afterwards;
  }

  /** The job under this reference, or 404. */
  @Transactional(readOnly = true)
  public JobFile open(String ref, Person person) {
    Job job = find(ref, person);
    return read(job, person, rooms.rows(job));
  }

  /** Where a job opens: at the card of its next act. */
  @Transactional(readOnly = true)
  public NextCard next(String ref, Person person) {
    return rooms.card(open(ref, person).work().progress().next());
  }

  /**
   * One act on a job, the only way to change it: a lock that lets nobody else in, everything read
   * after that, the act's decision on what was read, and the stations worked out anew once. All of
   * it is one transaction.
   *
   * @param act what is done; a change of the job is told by {@link JobFile#changed()}
   * @return what the act gives
   */
  public <T> T act(String ref, Person person, Function<JobFile, T> act) {
    return locked(
        ref,
        person,
        job -> {
          Rows rows = rooms.rows(job);
          JobFile file = read(job, person, rows).held();
          T told = act.apply(file);
          if (!file.changes().isEmpty()) {
            entities.flush();
            // A signature leaves everything as it was signed.
            if (!file.changes().equals(EnumSet.of(Station.HANDOVER))) {
              job.changed(clock.instant());
            }
            JobFile after = read(job, person, file.after(rows, rooms));
            job.standing().judged(after.work().progress(), build.on(today(job)));
            afterwards.stream()
                .filter(one -> one.hangsOn(file, after))
                .forEach(one -> one.stood(after));
          }
          return told;
        });
  }

  /** With the job's lock in hand, in one transaction. */
  private <T> T locked(String ref, Person person, Function<Job, T> work) {
    return queue.of(
        person.workshop().id() + " " + ref,
        () ->
            again.run(
                () -> {
                  jobs.hold(person.workshop().id(), ref);
                  return work.apply(find(ref, person));
                }));
  }

  /** Works out anew how a job stands, where another build did so last. */
  void standAnew(String ref, Person person) {
    locked(ref, person, job -> standing(job, person));
  }

  /**
   * Works out how a job stands that came in a file, within the transaction that wrote its rows.
   *
   * @return rows of the file that say nothing to this version
   */
  @Transactional(propagation = Propagation.MANDATORY)
  List<LeftOut> brought(String ref, Person person) {
    return standing(find(ref, person), person).leftOut();
  }

  private JobFile standing(Job job, Person person) {
    JobFile now = read(job, person, rooms.rows(job));
    job.standing().judged(now.work().progress(), build.on(today(job)));
    afterwards.forEach(one -> one.stood(now));
    return now;
  }

  /** An act that gives nothing. */
  public void change(String ref, Person person, Consumer<JobFile> act) {
    act(
        ref,
        person,
        file -> {
          act.accept(file);
          return null;
        });
  }

  /** Says whether somebody works on this job without a helper. */
  public void alone(JobFile file, boolean alone) {
    file.job().work(alone);
    file.changed();
  }

  /** Calls a job and its parts by other names, or wants something else of it. */
  public void call(JobFile file, JobNames names) {
    file.job().call(names);
    file.changed();
  }

  /** The job under this reference, or 404; within a transaction. */
  Job find(String ref, Person person) {
    return jobs.find(person.workshop().id(), ref)
        .orElseThrow(
            () -> new ResponseStatusException(HttpStatus.NOT_FOUND, "There is no job " + ref));
  }

  /** The job as its rows tell it, without those that cannot be digested. */
  private JobFile read(Job job, Person person, Rows all) {
    List<LeftOut> leftOut = new ArrayList<>();
    Rows rows = all.digestible(leftOut);
    try {
      return digested(job, person, rows, leftOut);
    } catch (RuntimeException cannot) {
      LOG.warn("{} cannot be worked out from all of its rows: {}", job.ref(), cannot.getMessage());
      List<StoredRow> kept = new ArrayList<>();
      goTogether(job, person, rows, rows.stored(), kept, leftOut);
      return digested(job, person, rows.only(kept), leftOut);
    }
  }

  /** A file whose stations have been worked out: whatever does not go together shows here. */
  private JobFile digested(Job job, Person person, Rows rows, List<LeftOut> leftOut) {
    Work work = new Work(rows.record(job, today(job)), plans, person.units());
    work.digest();
    return new JobFile(job, person, rows, leftOut, work, drafts);
  }

  /** The day that it is where the workshop is. */
  private LocalDate today(Job job) {
    return LocalDate.now(clock.withZone(job.workshop().zone()));
  }

  /**
   * Takes some rows to those that go together so far; where they do not, each half by itself, down
   * to the one row that is named and left out. One bad row of n costs about 2 log n tries.
   */
  private void goTogether(
      Job job,
      Person person,
      Rows rows,
      List<StoredRow> some,
      List<StoredRow> kept,
      List<LeftOut> leftOut) {
    List<StoredRow> more = new ArrayList<>(kept);
    more.addAll(some);
    try {
      digested(job, person, rows.only(more), leftOut);
      kept.addAll(some);
    } catch (RuntimeException cannot) {
      if (some.size() == 1) {
        String why = "it does not go with the rest: " + cannot.getMessage();
        leftOut.add(new LeftOut(some.get(0).name(), why));
      } else {
        int half = some.size() / 2;
        goTogether(job, person, rows, some.subList(0, half), kept, leftOut);
        goTogether(job, person, rows, some.subList(half, some.size()), kept, leftOut);
      }
    }
  }
}
