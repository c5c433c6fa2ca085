package org.jexel.app.job;

import java.time.Clock;
import java.time.LocalDate;
import java.util.Map;
import org.jexel.app.security.Person;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** The job board: rows by what is next. */
@Controller
class BoardController {
  /** What is due within so many days is told. */
  private static final int SOON_DAYS = 31;

  private final JobList jobs;
  private final Clock clock;

  BoardController(JobList jobs, Clock clock) {
    this.jobs = jobs;
    this.clock = clock;
  }

  @GetMapping("/")
  ModelAndView board(
      @RequestParam(defaultValue = "") String q,
      @RequestParam(defaultValue = "1") int page,
      Person person) {
    LocalDate today = LocalDate.now(clock.withZone(person.workshop().zone()));
    return new ModelAndView(
        "board",
        Map.of(
            "person", person,
            "units", person.units(),
            "mayChange", person.role().mayChange(),
            "jobs", jobs.board(person, q, page),
            "q", q.strip(),
            "today", today,
            "soon", today.plusDays(SOON_DAYS)));
  }
}
