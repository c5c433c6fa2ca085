package org.jexel.app.job;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jexel.app.security.Person;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** Jobs for programs. */
@RestController
class JobApi {
  private final JobRepository jobs;

  JobApi(JobRepository jobs) {
    this.jobs = jobs;
  }

  /** A job with the state of each station, as a word: not yet, under way, holds, watch, fails. */
  record JobLine(String ref, String title, Map<String, String> stations) {}

  @Operation(summary = "All jobs of the workshop, oldest first, with the state of each station")
  @GetMapping("/api/jobs")
  List<JobLine> jobs(@Parameter(hidden = true) Person person) {
    return jobs.findByWorkshopIdOrderById(person.workshop().id()).stream()
        .map(
            job -> {
              Map<String, String> stations = new LinkedHashMap<>();
              job.states().forEach((station, state) -> stations.put(station.path(), state.label()));
              return new JobLine(job.ref(), job.title(), stations);
            })
        .toList();
  }
}
