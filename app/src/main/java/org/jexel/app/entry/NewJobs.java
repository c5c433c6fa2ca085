package org.jexel.app.entry;

import java.time.Clock;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jexel.app.job.Again;
import org.jexel.app.job.Job;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.JobFiles;
import org.jexel.app.job.JobNames;
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
import org.jexel.core.rig.Subject;
import org.jexel.core.rig.TrailerKind;
import org.jexel.core.rig.Wish;
import org.jexel.core.rig.YesNo;
import org.springframework.stereotype.Service;

/** Starts a job from an outline and a handful of entries; everything else is assumed. */
@Service
public class NewJobs {
  /** Of several axles the one that is braked, where not all are. */
  private static final String FIRST = "first";

  private static final String LAST = "last";

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
    needed(typed, "kind", TrailerKind.class, problems);
    needed(typed, "wish", Wish.class, problems);
    for (String field : new String[] {"tow", "trailer", "customer"}) {
      if (typed.getOrDefault(field, "").strip().length() > JobNames.LONGEST) {
        problems.put(field, "At most 120 letters.");
      }
    }
    known(typed, "brakes", names(BrakeType.values()), "Choose one.", problems);
    known(typed, "controller", names(ControllerKind.values()), "Choose one.", problems);
    known(typed, "axles", List.of("1", "2", "3"), "One, two or three.", problems);
    known(typed, "braked", List.of(FIRST, LAST), "Choose one.", problems);
    if (!typed.getOrDefault("braked", "").isEmpty() && count(typed) < 2) {
      problems.put("braked", "Say first how many axles there are, two or three.");
    }
    List<String> connectors = catalog.connectors().stream().map(c -> c.id()).toList();
    known(typed, "towConnector", connectors, "Choose one.", problems);
    known(typed, "trailerConnector", connectors, "Choose one.", problems);
    return problems;
  }

  private static <E extends Enum<E>> void needed(
      Map<String, String> typed, String field, Class<E> type, Map<String, String> problems) {
    if (!names(type.getEnumConstants()).contains(typed.get(field))) {
      problems.put(field, "Choose one.");
    }
  }

  /** What is left out is assumed. */
  private static void known(
      Map<String, String> typed,
      String field,
      List<String> known,
      String message,
      Map<String, String> problems) {
    String text = typed.getOrDefault(field, "");
    if (!text.isEmpty() && !known.contains(text)) {
      problems.put(field, message);
    }
  }

  private static List<String> names(Enum<?>... values) {
    return Arrays.stream(values).map(Enum::name).toList();
  }

  /** Starts the job; the same request key gives the same job. Call only without problems. */
  public Job start(Map<String, String> typed, String requestKey, Person person) {
    String key = RequestKey.of(requestKey);
    // Of several equal posts at once one makes the job; the others find it when they try again.
    return again.run(() -> jobs.begun(person, key).orElseGet(() -> fresh(typed, key, person)));
  }

  private Job fresh(Map<String, String> typed, String requestKey, Person person) {
    String kind = typed.getOrDefault("controller", "");
    TrailerKind trailer = TrailerKind.valueOf(typed.getOrDefault("kind", ""));
    Job job =
        jobs.begin(
            person,
            new JobStart.Outline(
                typed.getOrDefault("customer", "").strip(),
                Wish.valueOf(typed.getOrDefault("wish", "")),
                named(typed, "tow", Subject.TOW.label()),
                named(typed, "trailer", trailer.label()),
                kind.isEmpty() ? Subject.CONTROLLER.label() : ControllerKind.valueOf(kind).label()),
            requestKey);
    RigPart tow = job.tow();
    RigPart drawn = job.trailer();
    choose(tow, RigField.TOW_CONNECTOR, typed.getOrDefault("towConnector", ""), person);
    choose(drawn, RigField.TRAILER_CONNECTOR, typed.getOrDefault("trailerConnector", ""), person);
    choose(drawn, RigField.TRAILER_KIND, trailer.name(), person);
    choose(drawn, RigField.BRAKE_TYPE, typed.getOrDefault("brakes", ""), person);
    choose(job.controller(), RigField.CONTROLLER_KIND, kind, person);
    int axles = count(typed);
    if (axles > 0) {
      Entry count = Entry.number(axles, Provenance.MEASURED);
      enter(drawn, FieldKey.of(RigField.AXLE_COUNT), count, person);
    }
    String braked = typed.getOrDefault("braked", "");
    for (int axle = 0; !braked.isEmpty() && axle < axles; axle++) {
      YesNo own = axle == (braked.equals(FIRST) ? 0 : axles - 1) ? YesNo.YES : YesNo.NO;
      FieldKey key = new FieldKey(RigField.AXLE_BRAKED, axle);
      enter(drawn, key, Entry.choice(own.name(), Provenance.MEASURED), person);
    }
    figures.flush();
    files.change(job.ref(), person, JobFile::changed);
    return job;
  }

  private static String named(Map<String, String> typed, String field, String otherwise) {
    String name = typed.getOrDefault(field, "").strip();
    return name.isEmpty() ? otherwise : name;
  }

  private void choose(RigPart part, RigField field, String choice, Person person) {
    if (!choice.isEmpty()) {
      enter(part, FieldKey.of(field), Entry.choice(choice, Provenance.MEASURED), person);
    }
  }

  /** Axles that were said; 0 where they were not. */
  private static int count(Map<String, String> typed) {
    String axles = typed.getOrDefault("axles", "");
    return axles.matches("[1-3]") ? Integer.parseInt(axles) : 0;
  }

  private void enter(RigPart part, FieldKey key, Entry entry, Person person) {
    figures.save(new RigFigure(part, key, entry, person, clock.instant()));
  }
}
