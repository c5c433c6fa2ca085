package org.jexel.app.job;

import java.util.Map;
import org.jexel.app.security.Person;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** The job board: rows by what is next. */
@Controller
class BoardController {
  private final JobList jobs;

  BoardController(JobList jobs) {
    this.jobs = jobs;
  }

  @GetMapping("/")
  ModelAndView board(
      @RequestParam(defaultValue = "") String q,
      @RequestParam(defaultValue = "1") int page,
      Person person) {
    return new ModelAndView(
        "board",
        Map.of(
            "person", person,
            "units", person.units(),
            "mayChange", person.role().mayChange(),
            "jobs", jobs.board(person, q, page),
            "q", q.strip()));
  }
}
