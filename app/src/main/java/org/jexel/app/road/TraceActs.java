package org.jexel.app.road;

import org.jexel.app.exchange.KeptFile;
import org.jexel.app.job.JobFiles;
import org.jexel.app.security.Person;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** Takes recorded drives, and puts what a part of one tells into the form of a stop. */
@Controller
class TraceActs {
  private final JobFiles files;
  private final RoadService road;
  private final Traces traces;

  TraceActs(JobFiles files, RoadService road, Traces traces) {
    this.files = files;
    this.road = road;
    this.traces = traces;
  }

  @PostMapping("/jobs/{ref}/road/traces")
  String take(
      @PathVariable String ref, @RequestParam(required = false) MultipartFile file, Person person) {
    if (file == null || file.isEmpty()) {
      return "redirect:/jobs/{ref}/road?card=trace&nofile";
    }
    KeptFile kept = files.act(ref, person, job -> traces.keep(job, file));
    return "redirect:/jobs/{ref}/road?card=trace&trace=" + kept.id();
  }

  /** Nothing is recorded: the stop is told in its form, with what its wheels did. */
  @PostMapping("/jobs/{ref}/road/traces/{id}")
  String use(
      @PathVariable String ref,
      @PathVariable long id,
      @RequestParam double from,
      @RequestParam double to,
      @RequestParam(defaultValue = "false") boolean turned,
      Person person) {
    files.change(ref, person, job -> road.fromTrace(job, new TraceCut(id, from, to), turned));
    return "redirect:/jobs/{ref}/road?card=stop";
  }
}
