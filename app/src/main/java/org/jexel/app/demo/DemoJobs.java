package org.jexel.app.demo;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jexel.app.cab.CabModels;
import org.jexel.app.cab.CabNotes;
import org.jexel.app.care.CareService;
import org.jexel.app.entry.FigureCards;
import org.jexel.app.entry.NewJobs;
import org.jexel.app.entry.RigCards;
import org.jexel.app.exchange.Unreadable;
import org.jexel.app.handover.Editions;
import org.jexel.app.harness.Steps;
import org.jexel.app.harness.Stock;
import org.jexel.app.job.Job;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.JobFiles;
import org.jexel.app.job.JobRepository;
import org.jexel.app.library.ControllerLibrary;
import org.jexel.app.rig.LampCards;
import org.jexel.app.rig.LoadCards;
import org.jexel.app.security.Person;
import org.jexel.core.report.Signing;
import org.jexel.core.rig.FieldKey;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.Wish;
import org.springframework.stereotype.Service;

/**
 * Brings the demo's jobs in through the services that the pages use. A job that is there already is
 * left alone, so that running it twice changes nothing.
 */
@Service
class DemoJobs {
  private final NewJobs newJobs;
  private final JobRepository jobs;
  private final JobFiles files;
  private final FigureCards figures;
  private final LampCards lamps;
  private final LoadCards loads;
  private final DemoProof proved;
  private final Clock clock;
  private final Stock stock;
  private final Steps steps;
  private final CabNotes cab;
  private final CabModels models;
  private final ControllerLibrary library;
  private final CareService care;
  private final Editions editions;
  private final DemoPhotographs photographs;

  DemoJobs(
      NewJobs newJobs,
      JobRepository jobs,
      JobFiles files,
      FigureCards figures,
      LampCards lamps,
      LoadCards loads,
      DemoProof proved,
      Stock stock,
      Steps steps,
      CabNotes cab,
      CabModels models,
      ControllerLibrary library,
      CareService care,
      Editions editions,
      DemoPhotographs photographs,
      Clock clock) {
    this.photographs = photographs;
    this.clock = clock;
    this.care = care;
    this.editions = editions;
    this.newJobs = newJobs;
    this.jobs = jobs;
    this.files = files;
    this.figures = figures;
    this.lamps = lamps;
    this.loads = loads;
    this.proved = proved;
    this.stock = stock;
    this.steps = steps;
    this.cab = cab;
    this.models = models;
    this.library = library;
  }

  void complete(Optional<Person> person) {
    if (person.isEmpty()) {
      return;
    }
    stock.fill(person.get().workshop(), DemoShelf.reels());
    controllers(person.get());
    int number = 0;
    for (DemoRig rig : DemoRigs.all()) {
      String key = "demo-job-" + number;
      if (jobs.findByWorkshopIdAndRequestKey(person.get().workshop().id(), key).isEmpty()) {
        String ref = load(rig, key, person.get());
        String model = DemoCab.model(number);
        library.all(person.get()).stream()
            .filter(entry -> entry.label().equals(model))
            .forEach(
                entry -> files.change(ref, person.get(), file -> models.take(file, entry.id())));
        DemoCab.of(number)
            .forEach(
                (card, fields) ->
                    files.change(ref, person.get(), file -> cab.take(file, card, fields)));
        care(ref, number, person.get());
        int rigNumber = number;
        files.change(ref, person.get(), file -> photographs.take(file, rigNumber, key));
        if (rig.settle()) {
          files.change(ref, person.get(), file -> signed(file, key + "-signed"));
        }
      }
      number++;
    }
  }

  private void signed(JobFile file, String key) {
    editions.sign(
        file,
        Map.of(Signing.ROLE, file.person().role().label(), Signing.SEEN, editions.seen(file)),
        key);
  }

  private void care(String ref, int number, Person person) {
    int n = 0;
    for (DemoCare.Done done : DemoCare.of(number)) {
      Map<String, String> typed = new LinkedHashMap<>(done.typed());
      typed.put("day", LocalDate.now(clock).minusMonths(done.months()).toString());
      String key = "demo-care-" + n++;
      if (!files.act(ref, person, file -> care.record(file, done.part(), typed, null, key))) {
        throw new IllegalStateException(ref + " does not take " + done);
      }
    }
  }

  private void controllers(Person person) {
    if (!library.all(person).isEmpty()) {
      return;
    }
    try (InputStream in = DemoJobs.class.getResourceAsStream("/demo/controllers.json")) {
      library.take(person, new String(in.readAllBytes(), StandardCharsets.UTF_8));
    } catch (IOException | Unreadable e) {
      throw new IllegalStateException("The demo's controllers cannot be read", e);
    }
  }

  private String load(DemoRig rig, String key, Person person) {
    Job job = newJobs.start(rig.start(), key, person);
    String ref = job.ref();
    for (RigCards card : RigCards.values()) {
      Map<String, String> typed = typed(card, rig.figures());
      if (!typed.isEmpty()) {
        files.change(ref, person, file -> figures.take(card, file, typed));
      }
    }
    files.change(ref, person, file -> load(file, rig.load(), key));
    Map<String, String> wanted = new HashMap<>();
    rig.wantedLamps().forEach(slot -> wanted.put(slot + ".state", "WANTED"));
    files.change(ref, person, file -> lamps.take(file, wanted));
    if (!rig.readings().isEmpty() && job.wish() != Wish.REPAIR) {
      // What is on the bench has been wired.
      files.change(
          ref,
          person,
          file -> file.work().harness().steps().forEach(step -> steps.tick(file, step.id(), true)));
    }
    proved.take(ref, job.id(), rig, key, person);
    return ref;
  }

  private void load(JobFile file, List<DemoRig.Item> items, String key) {
    int n = 0;
    for (DemoRig.Item item : items) {
      Map<String, String> typed = new LinkedHashMap<>();
      typed.put("name", item.name());
      typed.put("mass", String.valueOf(item.kg()));
      typed.put("place", String.valueOf(item.x()));
      loads.add(file, typed, key + "-load-" + n++);
    }
  }

  /** The figures of one card, as its form would post them. */
  private Map<String, String> typed(RigCards card, Map<String, String> figures) {
    Map<String, String> typed = new HashMap<>();
    figures.forEach(
        (code, text) -> {
          if (card.fields().contains(FieldKey.of(code).field())) {
            boolean aged = FieldKey.of(code).field() == RigField.BREAKAWAY_MADE;
            typed.put(code, aged ? yearsAgo(Double.parseDouble(text)) : text);
            typed.put(code + ".was", "");
          }
        });
    return typed;
  }

  /** The demo's batteries stay as old as they are told, whenever it is loaded. */
  private String yearsAgo(double years) {
    return LocalDate.now(clock).minusMonths(Math.round(12 * years)).toString();
  }
}
