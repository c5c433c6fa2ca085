package org.jexel.app.entry;

import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.Map;
import org.jexel.app.job.Again;
import org.jexel.app.job.Job;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.JobFiles;
import org.jexel.app.job.JobStart;
import org.jexel.app.job.RequestKey;
import org.jexel.app.job.RigPart;
import org.jexel.app.security.Person;
import org.jexel.core.connector.ConnectorCatalog;
import org.jexel.core.quantity.Provenance;
import org.jexel.core.rig.BrakeType;
import org.jexel.core.rig.ControllerKind;
import org.jexel.core.rig.Entry;
import org.jexel.core.rig.FieldKey;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.TrailerKind;
import org.jexel.core.rig.Wish;
import org.springframework.stereotype.Service;

/** Starts a job from an outline and a handful of entries; everything else is assumed. */
@Service
public class NewJobs {
  private static final int LONGEST = 120;

  private final JobStart jobs;
  private final RigFigureRepository figures;
  private final JobFiles files;
  private final ConnectorCatalog catalog;
  private final Again again;
  private final Clock clock;

  NewJobs(
      JobStart jobs,
      RigFigureRepository figures,
      JobFiles files,
      ConnectorCatalog catalog,
      Again again,
      Clock clock) {
    this.jobs = jobs;
    this.figures = figures;
    this.files = files;
    this.catalog = catalog;
    this.again = again;
    this.clock = clock;
  }

  /** Why the form cannot start a job, by field; empty if it can. */
  public Map<String, String> problems(Map<String, String> typed) {
    Map<String, String> problems = new LinkedHashMap<>();
    text(typed, "tow", "Name the tow vehicle, so that you know it again.", problems);
    text(typed, "trailer", "Name the trailer, so that you know it again.", problems);
    text(typed, "customer", "Whose is it?", problems);
    option(typed, "wish", Wish.class, problems);
    option(typed, "kind", TrailerKind.class, problems);
    option(typed, "brakes", BrakeType.class, problems);
    option(typed, "controller", ControllerKind.class, problems);
    if (!typed.getOrDefault("axles", "").matches("[123]")) {
      problems.put("axles", "One, two or three.");
    }
    for (String field : new String[] {"towConnector", "trailerConnector"}) {
      if (catalog.connectors().stream().noneMatch(c -> c.id().equals(typed.get(field)))) {
        problems.put(field, "Choose one.");
      }
    }
    return problems;
  }

  private static void text(
      Map<String, String> typed, String field, String missing, Map<String, String> problems) {
    String text = typed.getOrDefault(field, "").strip();
    if (text.isEmpty()) {
      problems.put(field, missing);
    } else if (text.length() > LONGEST) {
      problems.put(field, "At most 120 letters.");
    }
  }

  private static <E extends Enum<E>> void option(
      Map<String, String> typed, String field, Class<E> type, Map<String, String> problems) {
    for (E value : type.getEnumConstants()) {
      if (value.name().equals(typed.get(field))) {
        return;
      }
    }
    problems.put(field, "Choose one.");
  }

  /** Starts the job; the same request key gives the same job. Call only without problems. */
  public Job start(Map<String, String> typed, String requestKey, Person person) {
    String key = RequestKey.of(requestKey);
    // Of several equal posts at once one makes the job; the others find it when they try again.
    return again.run(() -> jobs.begun(person, key).orElseGet(() -> fresh(typed, key, person)));
  }

  private Job fresh(Map<String, String> typed, String requestKey, Person person) {
    ControllerKind kind = ControllerKind.valueOf(typed.getOrDefault("controller", ""));
    Job job =
        jobs.begin(
            person,
            new JobStart.Outline(
                typed.getOrDefault("customer", "").strip(),
                Wish.valueOf(typed.getOrDefault("wish", "")),
                typed.getOrDefault("tow", "").strip(),
                typed.getOrDefault("trailer", "").strip(),
                kind.label()),
            requestKey);
    RigPart tow = job.tow();
    RigPart trailer = job.trailer();
    RigPart controller = job.controller();
    enter(tow, RigField.TOW_CONNECTOR, typed.getOrDefault("towConnector", ""), person);
    enter(trailer, RigField.TRAILER_CONNECTOR, typed.getOrDefault("trailerConnector", ""), person);
    enter(trailer, RigField.TRAILER_KIND, typed.getOrDefault("kind", ""), person);
    enter(trailer, RigField.BRAKE_TYPE, typed.getOrDefault("brakes", ""), person);
    enter(controller, RigField.CONTROLLER_KIND, kind.name(), person);
    figures.save(
        new RigFigure(
            trailer,
            FieldKey.of(RigField.AXLE_COUNT),
            Entry.number(Integer.parseInt(typed.get("axles")), Provenance.MEASURED),
            person,
            clock.instant()));
    figures.flush();
    files.change(job.ref(), person, JobFile::changed);
    return job;
  }

  private void enter(RigPart part, RigField field, String choice, Person person) {
    figures.save(
        new RigFigure(
            part,
            FieldKey.of(field),
            Entry.choice(choice, Provenance.MEASURED),
            person,
            clock.instant()));
  }
}
