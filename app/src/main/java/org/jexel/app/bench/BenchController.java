package org.jexel.app.bench;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.JobFiles;
import org.jexel.app.job.Station;
import org.jexel.app.job.StationPages;
import org.jexel.app.security.Person;
import org.jexel.core.check.Check;
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
            .orElseGet(() -> firstOpen(checks));
    Map<String, Object> view = new HashMap<>();
    view.put("checks", checks);
    view.put("current", open);
    view.put("previous", neighbour(checks, open, -1));
    view.put("following", neighbour(checks, open, 1));
    view.put("minutes", Math.round(checks.stream().mapToDouble(c -> c.check().minutes()).sum()));
    view.put("done", checks.stream().filter(c -> c.verdict() != Verdict.NOT_YET).count());
    return pages.page(file, Station.BENCH, open.check().id(), view);
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
      Person person) {
    JobFile file = files.open(ref, person);
    Check check = check(file, id);
    bench.record(file, check, reading, seen, requestKey);
    return "redirect:/jobs/{ref}/bench?card={id}";
  }

  @PostMapping("/jobs/{ref}/bench/{id}/draft")
  String draft(
      @PathVariable String ref,
      @PathVariable String id,
      @RequestParam(defaultValue = "") String reading,
      @RequestParam(defaultValue = "0") long seen,
      Person person) {
    JobFile file = files.open(ref, person);
    bench.draft(file, check(file, id), reading, seen);
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
