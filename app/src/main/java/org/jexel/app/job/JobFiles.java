package org.jexel.app.job;

import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jexel.app.bench.ReadingRepository;
import org.jexel.app.cab.CabNoteRepository;
import org.jexel.app.harness.StepTickRepository;
import org.jexel.app.rig.LampEntryRepository;
import org.jexel.app.rig.LoadLineRepository;
import org.jexel.app.rig.RigFigureRepository;
import org.jexel.app.road.GainSettingRepository;
import org.jexel.app.road.TestStopRepository;
import org.jexel.app.security.Person;
import org.jexel.core.connector.ConnectorCatalog;
import org.jexel.core.rig.Lamp;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.server.ResponseStatusException;

/** Opens jobs. A job of another workshop does not exist for this person. */
@Service
public class JobFiles {
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
    this.clock = clock;
  }

  /** The job under this reference, or 404. */
  @Transactional(readOnly = true)
  public JobFile open(String ref, Person person) {
    return read(find(ref, person), person);
  }

  /**
   * Lets nobody else change this job until the transaction ends. The first thing that an act does:
   * two acts at once then follow each other, and the second sees what the first left.
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public void hold(JobFile file) {
    jobs.hold(file.person().workshop().id(), file.job().ref());
  }

  /**
   * Works the station states and the next act out anew and stores them for the board.
   *
   * @return the job as it stands now
   */
  @Transactional
  public JobFile refresh(String ref, Person person) {
    jobs.hold(person.workshop().id(), ref);
    Job job = find(ref, person);
    JobFile file = read(job, person);
    job.stand(file.progress(), clock.instant());
    return file;
  }

  /** Says whether somebody works on this job without a helper. */
  @Transactional
  public void alone(JobFile file, boolean alone) {
    hold(file);
    find(file.job().ref(), file.person()).work(alone);
  }

  private Job find(String ref, Person person) {
    return jobs.find(person.workshop().id(), ref)
        .orElseThrow(
            () -> new ResponseStatusException(HttpStatus.NOT_FOUND, "There is no job " + ref));
  }

  private JobFile read(Job job, Person person) {
    Map<String, Lamp> newestLamps = new LinkedHashMap<>();
    lamps
        .ofPart(job.trailer().id())
        .forEach(entry -> newestLamps.put(entry.lamp().slot(), entry.lamp()));
    return new JobFile(
        job,
        person,
        catalog,
        figures.ofParts(List.of(job.tow().id(), job.trailer().id(), job.controller().id())),
        List.copyOf(newestLamps.values()),
        loads.findByJobIdAndRemovedFalseOrderById(job.id()),
        readings.ofJob(job.id()),
        stops.ofJob(job.id()),
        settings.ofJob(job.id()),
        ticks.ofJob(job.id()),
        cabNotes.newestOf(job.id()),
        () -> drafts.of(job, person),
        plans);
  }
}
