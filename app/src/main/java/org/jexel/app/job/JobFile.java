package org.jexel.app.job;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.UnaryOperator;
import org.jexel.app.security.Person;
import org.jexel.core.job.JobRecord;
import org.jexel.core.job.Station;
import org.jexel.core.job.Work;
import org.jexel.core.quantity.Must;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.Subject;
import org.jspecify.annotations.Nullable;

/**
 * One job at one moment, as one person sees it: the rows that the stations keep, and what the core
 * says of them. Of one request and one thread.
 */
public final class JobFile {
  private final Job job;
  private final Person person;
  private final Rows rows;
  private final List<LeftOut> leftOut;
  private final Work work;
  private final Drafts drafts;
  private final Set<Station> changed = EnumSet.noneOf(Station.class);
  private final Map<Station, UnaryOperator<StationRows>> grown = new EnumMap<>(Station.class);
  private Drafts.@Nullable Typed typed;
  private boolean held;

  JobFile(Job job, Person person, Rows rows, List<LeftOut> leftOut, Work work, Drafts drafts) {
    this.job = job;
    this.person = person;
    this.rows = rows;
    this.leftOut = leftOut;
    this.work = work;
    this.drafts = drafts;
  }

  public Job job() {
    return job;
  }

  public Person person() {
    return person;
  }

  public UnitSystem units() {
    return person.units();
  }

  /** Everything that is recorded of the job. */
  public JobRecord record() {
    return work.record();
  }

  /** What the core says of it. */
  public Work work() {
    return work;
  }

  /** What the core said of it at an earlier moment. */
  public Work asOf(Instant at) {
    return work.asOf(at, LocalDate.ofInstant(at, job.workshop().zone()));
  }

  public Rig rig() {
    return record().rig();
  }

  public RigPart part(Subject subject) {
    return job.part(subject);
  }

  /**
   * The rows that a station keeps, as its own type.
   *
   * @throws ClassCastException if the station keeps others
   */
  public <R extends StationRows> R rows(Station station, Class<R> type) {
    return type.cast(Must.have(rows.stations(), station));
  }

  /** Stored rows that this version cannot digest; the job stands without them. */
  public List<LeftOut> leftOut() {
    return leftOut;
  }

  /** What this person has typed and nobody has taken yet. */
  public Drafts.Typed typed() {
    if (typed == null) {
      typed = drafts.of(job, person);
    }
    return typed;
  }

  /** Marks this file as the one that an act decides on, with the job's lock in hand. */
  JobFile held() {
    this.held = true;
    return this;
  }

  /**
   * Says that an act changed the job: everything of it is read anew, and its stations worked out.
   *
   * @throws IllegalStateException outside an act, where the file may be older than the job
   */
  public void changed() {
    changed(Station.values());
  }

  /**
   * Says that an act changed the rows of some stations and nothing else: they alone are read anew.
   *
   * @throws IllegalStateException outside an act
   */
  public void changed(Station... stations) {
    mustBeHeld();
    changed.addAll(Arrays.asList(stations));
  }

  /**
   * Says that an act added rows to those of one station and changed nothing else: nothing is read
   * anew.
   *
   * @param more the station's rows with the new ones
   * @throws IllegalStateException outside an act
   */
  public <R extends StationRows> void grew(Station station, Class<R> type, UnaryOperator<R> more) {
    mustBeHeld();
    grown.merge(
        station,
        rows -> more.apply(type.cast(rows)),
        (before, then) -> rows -> then.apply(before.apply(rows)));
  }

  private void mustBeHeld() {
    if (!held) {
      throw new IllegalStateException("A job is changed by an act alone: see JobFiles.act");
    }
  }

  /** The stations whose rows an act changed, those that only grew among them. */
  Set<Station> changes() {
    Set<Station> all = EnumSet.noneOf(Station.class);
    all.addAll(changed);
    all.addAll(grown.keySet());
    return all;
  }

  /**
   * The job's rows after the act.
   *
   * @param before as they were when the act began
   */
  Rows after(Rows before, Rooms rooms) {
    Map<Station, StationRows> now = rooms.rows(job, changed);
    grown.forEach(
        (station, more) ->
            now.computeIfAbsent(station, it -> more.apply(Must.have(before.stations(), it))));
    return before.with(now);
  }
}
