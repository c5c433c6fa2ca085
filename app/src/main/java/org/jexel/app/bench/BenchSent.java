package org.jexel.app.bench;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.Waited;
import org.jexel.app.security.Person;
import org.jexel.core.check.PartOutput;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Readings that waited on a phone, sent to where the form would have sent them. */
@RestController
class BenchSent {
  private final BenchService bench;
  private final Waited waited;

  BenchSent(BenchService bench, Waited waited) {
    this.bench = bench;
    this.waited = waited;
  }

  @PostMapping(value = "/jobs/{ref}/bench/{id}", params = "ago")
  Waited.Told reading(
      @PathVariable String ref,
      @PathVariable String id,
      @RequestParam(defaultValue = "") String reading,
      @RequestParam(defaultValue = "") String output,
      @RequestParam(defaultValue = "") String units,
      @RequestParam String requestKey,
      @RequestParam long ago,
      Person person) {
    return waited.take(
        ref,
        person,
        ago,
        (file, at) ->
            bench.waited(
                file,
                BenchController.check(file, id),
                PartOutput.typed(reading, output),
                Waited.units(file, units),
                at,
                requestKey,
                Reading.Source.TYPED));
  }

  /** Of a round each by itself: what cannot be taken keeps the others from nothing. */
  @PostMapping(value = "/jobs/{ref}/bench/round", params = "ago")
  Waited.Told round(
      @PathVariable String ref,
      @RequestParam Map<String, String> typed,
      @RequestParam long ago,
      Person person) {
    return waited.take(ref, person, ago, (file, at) -> round(file, typed, at));
  }

  private Waited.Told round(JobFile file, Map<String, String> typed, Instant at) {
    List<Said> words = Said.all(file, typed);
    List<String> why =
        words.stream()
            .map(
                said ->
                    bench.waited(
                        file,
                        said.check(),
                        said.word(),
                        Waited.units(file, typed.getOrDefault("units", "")),
                        at,
                        said.key(),
                        source(said)))
            .filter(told -> !told.taken())
            .map(Waited.Told::why)
            .toList();
    if (words.isEmpty()) {
      return Waited.Told.not("This round is on the sheet no more.");
    }
    return why.isEmpty() ? Waited.Told.TAKEN : Waited.Told.not(String.join(" ", why));
  }

  private static Reading.Source source(Said said) {
    return said.atOnce() ? Reading.Source.ROUND : Reading.Source.TYPED;
  }
}
