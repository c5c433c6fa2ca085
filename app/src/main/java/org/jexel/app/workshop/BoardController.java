package org.jexel.app.workshop;

import java.util.Locale;
import java.util.Map;
import org.jexel.app.job.Job;
import org.jexel.app.job.JobRepository;
import org.jexel.app.security.Person;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.PageRequest;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** The job board: rows by what is next. */
@Controller
class BoardController {
  private static final int ROWS = 40;

  private final JobRepository jobs;

  BoardController(JobRepository jobs) {
    this.jobs = jobs;
  }

  @GetMapping("/")
  ModelAndView board(
      @RequestParam(defaultValue = "") String q,
      @RequestParam(defaultValue = "1") int page,
      Person person) {
    PageRequest rows = PageRequest.of(Math.max(0, Math.min(page, 100_000) - 1), ROWS);
    Long workshop = person.workshop().id();
    String wanted = q.strip().toLowerCase(Locale.ROOT);
    Page<Job> found =
        wanted.isEmpty()
            ? jobs.board(workshop, rows)
            : jobs.search(workshop, "%" + escaped(wanted) + "%", rows);
    return new ModelAndView(
        "board",
        Map.of(
            "person", person,
            "units", person.units(),
            "mayChange", person.role().mayChange(),
            "jobs", found,
            "q", q.strip()));
  }

  private static String escaped(String text) {
    return text.replace("\\", "\\\\").replace("%", "\\%").replace("_", "\\_");
  }
}
