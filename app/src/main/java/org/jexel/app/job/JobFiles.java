package org.jexel.app.job;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Predicate;
import org.jexel.app.bench.ReadingRepository;
import org.jexel.app.cab.CabNoteRepository;
import org.jexel.app.harness.StepTickRepository;
import org.jexel.app.rig.LampEntryRepository;
import org.jexel.app.rig.LoadLineRepository;
import org.jexel.app.rig.RigFigureRepository;
import org.jexel.app.road.GainSettingRepository;
import org.jexel.app.road.TestStopRepository;
import org.jexel.app.security.Person;
import org.jexel.app.workshop.ControllerEntry;
import org.jexel.core.connector.ConnectorCatalog;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.server.ResponseStatusException;

/** Opens jobs. A job of another workshop does not exist for this person. */
@Service
public class JobFiles {
  private static final Logger LOG = LoggerFactory.getLogger(JobFiles.class);

  private final JobRepository jobs;
  private final ConnectorCatalog catalog;
  private final RigFigureRepository figures;
  private final LampEntryRepository lamps;
  private final LoadLineRepository loads;
  private final ReadingRepository readings;
  private final TestStopRepository stops;
  private final GainSettingRepository settings;
  private final StepTickRepository ticks;
  private final CabNoteRepository cabNotes;
  private final Drafts drafts;
  private final Plans plans;
  private final Again again;
  private final JobQueue queue;
  private final EntityManager entities;
  private final Clock clock;

  JobFiles(
      JobRepository jobs,
      ConnectorCatalog catalog,
      RigFigureRepository figures,
      LampEntryRepository lamps,
      LoadLineRepository loads,
      ReadingRepository readings,
      TestStopRepository stops,
      GainSettingRepository settings,
      StepTickRepository ticks,
      CabNoteRepository cabNotes,
      Drafts drafts,
      Plans plans,
      Again again,
      JobQueue queue,
      EntityManager entities,
      Clock clock) {
    this.jobs = jobs;
    this.catalog = catalog;
    this.figures = figures;
    this.lamps = lamps;
    this.loads = loads;
    this.readings = readings;
    this.stops = stops;
    this.settings = settings;
    this.ticks = ticks;
    this.cabNotes = cabNotes;
    this.drafts = drafts;
    this.plans = plans;
    this.again = again;
    this.queue = queue;
    this.entities = entities;
    this.clock = clock;
  }

  /** The job under this reference, or 404. */
  @Transactional(readOnly = true)
  public JobFile open(String ref, Person person) {
    Job job = find(ref, person);
    return read(job, person, rows(job));
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
    return queue.of(
        person.workshop().id() + " " + ref,
        () ->
            again.run(
                () -> {
                  jobs.hold(person.workshop().id(), ref);
                  Job job = find(ref, person);
                  Rows rows = rows(job);
                  JobFile file = read(job, person, rows).held();
                  T told = act.apply(file);
                  if (file.isChanged()) {
                    entities.flush();
                    Rows now =
                        file.onlyReadingsAdded() ? rows.with(readings.ofJob(job.id())) : rows(job);
                    job.stand(read(job, person, now).progress(), clock.instant());
                  }
                  return told;
                }));
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

  private Job find(String ref, Person person) {
    return jobs.find(person.workshop().id(), ref)
        .orElseThrow(
            () -> new ResponseStatusException(HttpStatus.NOT_FOUND, "There is no job " + ref));
  }

  /** The job as its rows tell it, without those that cannot be digested. */
  private JobFile read(Job job, Person person, Rows all) {
    List<LeftOut> leftOut = new ArrayList<>();
    Rows rows = all.digestible(catalog, leftOut);
    job.controller()
        .model()
        .filter(Predicate.not(ControllerEntry::readable))
        .map(entry -> new LeftOut("controller model “" + entry.label() + "”", "it cannot be read"))
        .ifPresent(leftOut::add);
    try {
      return digested(job, person, rows, leftOut);
    } catch (RuntimeException cannot) {
      LOG.warn("{} cannot be worked out from all of its rows: {}", job.ref(), cannot.getMessage());
      List<Object> kept = new ArrayList<>();
      goTogether(job, person, rows, rows.leaning(), kept, leftOut);
      return digested(job, person, rows.only(kept), leftOut);
    }
  }

  /** A file whose stations have been worked out: whatever does not go together shows here. */
  private JobFile digested(Job job, Person person, Rows rows, List<LeftOut> leftOut) {
    JobFile file =
        new JobFile(job, person, catalog, rows, leftOut, () -> drafts.of(job, person), plans);
    file.digest();
    return file;
  }

  /**
   * Takes some rows to those that go together so far; where they do not, each half by itself, down
   * to the one row that is named and left out. One bad row of n costs about 2 log n tries.
   */
  private void goTogether(
      Job job,
      Person person,
      Rows rows,
      List<Object> some,
      List<Object> kept,
      List<LeftOut> leftOut) {
    List<Object> more = new ArrayList<>(kept);
    more.addAll(some);
    try {
      digested(job, person, rows.only(more), leftOut);
      kept.addAll(some);
    } catch (RuntimeException cannot) {
      if (some.size() == 1) {
        String why = "it does not go with the rest: " + cannot.getMessage();
        leftOut.add(new LeftOut(Rows.name(some.get(0)), why));
      } else {
        int half = some.size() / 2;
        goTogether(job, person, rows, some.subList(0, half), kept, leftOut);
        goTogether(job, person, rows, some.subList(half, some.size()), kept, leftOut);
      }
    }
  }

  private Rows rows(Job job) {
    return new Rows(
        figures.ofParts(List.of(job.tow().id(), job.trailer().id(), job.controller().id())),
        lamps.ofPart(job.trailer().id()),
        loads.findByJobIdAndRemovedFalseOrderById(job.id()),
        readings.ofJob(job.id()),
        stops.ofJob(job.id()),
        settings.ofJob(job.id()),
        ticks.ofJob(job.id()),
        cabNotes.newestOf(job.id()));
  }
}
