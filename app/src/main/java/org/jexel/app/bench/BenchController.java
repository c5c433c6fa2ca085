package org.jexel.app.bench;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.JobFiles;
import org.jexel.app.job.Station;
import org.jexel.app.job.StationPages;
import org.jexel.app.security.Person;
import org.jexel.core.check.Check;
import org.jexel.core.diagnosis.Diagnosis;
import org.jexel.core.quantity.Verdict;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.servlet.ModelAndView;

/** Station 4: the check sheet. */
@Controller
class BenchController {
  private static final String FINDER = "finder";

  private final JobFiles files;
  private final BenchService bench;
  private final StationPages pages;

  BenchController(JobFiles files, BenchService bench, StationPages pages) {
    this.files = files;
    this.bench = bench;
    this.pages = pages;
  }

  @GetMapping("/jobs/{ref}/bench")
  ModelAndView bench(
      @PathVariable String ref, @RequestParam(defaultValue = "") String card, Person person) {
    JobFile file = files.open(ref, person);
    List<CheckView> checks =
        file.checks().stream().map(check -> CheckView.of(file, check)).toList();
    CheckView open =
        checks.stream()
            .filter(view -> view.check().id().equals(card))
            .findFirst()
            .orElseGet(() -> asked(file, card).orElseGet(() -> firstOpen(checks)));
    Map<String, Object> view = new HashMap<>();
    boolean finding = card.equals(FINDER);
    if (finding) {
      Diagnosis diagnosis = file.diagnosis();
      view.put("diagnosis", diagnosis);
      open = diagnosis.next().map(next -> CheckView.of(file, next.first())).orElse(open);
      view.put("round", diagnosis.next().map(Diagnosis.Next::checks).orElse(List.of()));
    }
    view.put("finding", finding);
    view.put("beyond", !finding && !file.checks().contains(open.check()));
    view.put("checks", checks);
    view.put("current", open);
    view.put("previous", neighbour(checks, open, -1));
    view.put("following", neighbour(checks, open, 1));
    view.put("minutes", Math.round(checks.stream().mapToDouble(c -> c.check().minutes()).sum()));
    view.put("done", checks.stream().filter(c -> c.verdict() != Verdict.NOT_YET).count());
    return pages.page(file, Station.BENCH, finding ? FINDER : open.check().id(), view);
  }

  /** A check beyond the sheet, by its own address. */
  private static Optional<CheckView> asked(JobFile file, String card) {
    return card.isEmpty() || card.equals(FINDER)
        ? Optional.empty()
        : file.check(card).map(check -> CheckView.of(file, check));
  }

  private static CheckView firstOpen(List<CheckView> checks) {
    return checks.stream()
        .filter(c -> c.verdict() == Verdict.FAILS || c.verdict() == Verdict.NOT_YET)
        .findFirst()
        .orElse(checks.get(0));
  }

  private static CheckView neighbour(List<CheckView> checks, CheckView open, int step) {
    int i = checks.indexOf(open) + step;
    return i < 0 || i >= checks.size() ? null : checks.get(i);
  }

  @PostMapping("/jobs/{ref}/bench/{id}")
  String record(
      @PathVariable String ref,
      @PathVariable String id,
      @RequestParam(defaultValue = "") String reading,
      @RequestParam(defaultValue = "0") long seen,
      @RequestParam String requestKey,
      @RequestParam(defaultValue = "") String back,
      Person person) {
    JobFile file = files.open(ref, person);
    Check check = check(file, id);
    boolean kept = bench.record(file, check, reading, seen, requestKey);
    return kept && back.equals(FINDER)
        ? "redirect:/jobs/{ref}/bench?card=finder"
        : "redirect:/jobs/{ref}/bench?card={id}";
  }

  /** One word for each lamp or wheel of a round. */
  @PostMapping("/jobs/{ref}/bench/round")
  String round(@PathVariable String ref, @RequestParam Map<String, String> typed, Person person) {
    JobFile file = files.open(ref, person);
    String key = typed.getOrDefault("requestKey", "");
    for (Check check : file.further()) {
      String word = typed.getOrDefault("word." + check.id(), "");
      if (!check.measure().words().isEmpty() && !word.isBlank()) {
        Reading newest = file.newestReadings().get(check.id());
        bench.record(
            file, check, word, newest == null ? 0 : newest.id(), BenchService.key(key, check));
      }
    }
    return "redirect:/jobs/{ref}/bench?card=finder";
  }

  @PostMapping("/jobs/{ref}/bench/{id}/draft")
  String draft(
      @PathVariable String ref,
      @PathVariable String id,
      @RequestParam(defaultValue = "") String reading,
      @RequestParam(defaultValue = "0") long seen,
      @RequestParam(defaultValue = "") String requestKey,
      Person person) {
    JobFile file = files.open(ref, person);
    bench.draft(file, check(file, id), reading, seen, requestKey);
    return "redirect:/jobs/{ref}/bench?card={id}";
  }

  private static Check check(JobFile file, String id) {
    return file.check(id)
        .orElseThrow(
            () ->
                new ResponseStatusException(
                    HttpStatus.NOT_FOUND, "This rig has no check called " + id));
  }
}
