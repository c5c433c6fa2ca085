package org.jexel.app.bench;

import com.fasterxml.jackson.databind.JsonNode;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import java.util.ArrayList;
import java.util.List;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.JobFiles;
import org.jexel.app.security.Person;
import org.jexel.core.check.Check;
import org.jexel.core.check.Round;
import org.jexel.core.diagnosis.Diagnosis;
import org.jexel.core.quantity.UnitSystem;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** The checks of a rig and the fault finder, for programs. */
@RestController
class DiagnosisApi {
  private static final int MOST_READINGS = 400;

  private final JobFiles files;

  DiagnosisApi(JobFiles files) {
    this.files = files;
  }

  /**
   * A check: V, A and Ω, or one of the words.
   *
   * @param unit of expected, low and high; empty where words are read
   * @param words what may be said instead of a number; empty for a number
   * @param proves whether the rig is not proved without it; the others look closer
   */
  record CheckLine(
      String id,
      String title,
      String group,
      String state,
      String place,
      String red,
      String black,
      String unit,
      List<String> words,
      double expected,
      double low,
      double high,
      double minutes,
      boolean proves) {}

  /** One reading: a number in the check's unit, or a word; of ohms “open” and “live” are words. */
  record Given(String check, JsonNode value) {}

  /** Readings of one rig. */
  record Asked(List<Given> readings) {}

  /** Faults that no check tells apart, with the probability of all of them together. */
  record Suspect(
      List<String> faults, double probability, List<String> explains, List<String> against) {}

  /** What to read next: one check, or all of a round or walk; each in the state that it names. */
  record NextCheck(List<String> checks, String title, double minutes, double bits) {}

  /**
   * @param known false when nothing known explains every reading
   * @param unlisted probability of something that is on no list
   * @param next null when no check would tell more
   */
  record Answer(boolean known, double unlisted, List<Suspect> suspects, @Nullable NextCheck next) {}

  @Operation(summary = "Every check of this rig with what a sound one would read, SI units")
  @GetMapping("/api/jobs/{ref}/checks")
  List<CheckLine> checks(@PathVariable String ref, @Parameter(hidden = true) Person person) {
    JobFile file = files.open(ref, person);
    return file.work().bench().checks().stream()
        .map(
            c ->
                new CheckLine(
                    c.id(),
                    c.title(),
                    c.group().label(),
                    c.state(),
                    c.place(),
                    c.red(),
                    c.black(),
                    c.measure().unit(UnitSystem.METRIC).symbol(),
                    c.measure().words(),
                    c.band().expected(),
                    c.band().low(),
                    c.band().high(),
                    c.minutes(),
                    c.proves()))
        .toList();
  }

  @Operation(
      summary = "What explains these readings, most probable first, and the check to take next",
      description =
          "Readings stand in the order in which they were taken, a check that was read twice with"
              + " both: the last one counts, and weighs more where the one before was the same. What"
              + " is odd is asked for once more. Checks that are asked for together are taken on one"
              + " walk, each in its own state.")
  @PostMapping("/api/jobs/{ref}/diagnosis")
  Answer diagnosis(
      @PathVariable String ref, @RequestBody Asked asked, @Parameter(hidden = true) Person person) {
    JobFile file = files.open(ref, person);
    List<Given> given = asked.readings() == null ? List.of() : asked.readings();
    if (given.size() > MOST_READINGS) {
      throw new IllegalArgumentException("More than " + MOST_READINGS + " readings.");
    }
    List<Diagnosis.Seen> seen = new ArrayList<>();
    for (Given reading : given) {
      seen.add(seen(file, reading));
    }
    Diagnosis diagnosis = file.work().bench().diagnosis(seen);
    return new Answer(
        diagnosis.fits(),
        diagnosis.unlisted(),
        diagnosis.groups().stream()
            .map(
                g ->
                    new Suspect(
                        g.words(UnitSystem.METRIC), g.probability(), g.explains(), g.against()))
            .toList(),
        diagnosis
            .next()
            .map(
                n ->
                    new NextCheck(
                        n.checks().stream().map(Check::id).toList(),
                        new Round(n.checks()).title(),
                        n.minutes(),
                        n.gain()))
            .orElse(null));
  }

  private static Diagnosis.Seen seen(JobFile file, Given reading) {
    if (reading == null) {
      throw new IllegalArgumentException("A reading is an object with check and value, not null.");
    }
    String id = reading.check() == null ? "" : reading.check();
    Check check =
        file.work()
            .bench()
            .check(id)
            .orElseThrow(
                () -> new IllegalArgumentException("This rig has no check called “" + id + "”."));
    if (reading.value() == null || !reading.value().isValueNode() || reading.value().isNull()) {
      throw new IllegalArgumentException(id + ": a value is a number or a word.");
    }
    BenchService.Typed typed =
        BenchService.read(file, check, reading.value().asText(), UnitSystem.METRIC);
    if (typed.problem() != null) {
      throw new IllegalArgumentException(id + ": " + typed.problem());
    }
    return new Diagnosis.Seen(id, typed.atFull());
  }

  /** What was asked for and cannot be, told to a program. */
  record Refusal(String error) {}

  @ExceptionHandler(IllegalArgumentException.class)
  ResponseEntity<Refusal> refused(IllegalArgumentException e) {
    return ResponseEntity.badRequest()
        .contentType(MediaType.APPLICATION_JSON)
        .body(new Refusal(String.valueOf(e.getMessage())));
  }
}
