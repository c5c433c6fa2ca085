package org.jexel.app.job;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jexel.app.security.Person;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.server.ResponseStatusException;

/** Jobs for programs. */
@RestController
class JobApi {
  private static final int MOST = 500;

  private final JobList jobs;

  JobApi(JobList jobs) {
    this.jobs = jobs;
  }

  /** A job with the state of each station, as a word: not yet, under way, holds, watch, fails. */
  record JobLine(String ref, String title, Map<String, String> stations) {}

  @Operation(
      summary =
          "Jobs of the workshop, oldest first, with the state of each station; where there are"
              + " more, the header Link leads to the next page")
  @GetMapping("/api/jobs")
  ResponseEntity<List<JobLine>> jobs(
      @Parameter(description = "begin behind this job") @RequestParam(defaultValue = "")
          String after,
      @Parameter(description = "how many at most, 1 to 500") @RequestParam(defaultValue = "100")
          int limit,
      @Parameter(hidden = true) Person person) {
    if (limit < 1 || limit > MOST) {
      throw refused("limit is from 1 to " + MOST + ".");
    }
    List<Job> page =
        jobs.after(person, after, limit + 1)
            .orElseThrow(() -> refused("There is no job " + after + "."));
    List<Job> told = page.subList(0, Math.min(limit, page.size()));
    ResponseEntity.BodyBuilder answer = ResponseEntity.ok();
    if (page.size() > limit) {
      String last = told.get(told.size() - 1).ref();
      answer.header(
          HttpHeaders.LINK, "</api/jobs?after=%s&limit=%s>; rel=\"next\"".formatted(last, limit));
    }
    return answer.body(told.stream().map(JobApi::line).toList());
  }

  private static ResponseStatusException refused(String why) {
    return new ResponseStatusException(HttpStatus.BAD_REQUEST, why);
  }

  private static JobLine line(Job job) {
    Map<String, String> stations = new LinkedHashMap<>();
    job.standing()
        .states()
        .forEach((station, state) -> stations.put(station.path(), state.label()));
    return new JobLine(job.ref(), job.title(), stations);
  }
}
