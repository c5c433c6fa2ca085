package org.jexel.app.entry;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jexel.app.drawing.Outline;
import org.jexel.app.job.Job;
import org.jexel.app.job.JobFiles;
import org.jexel.app.security.Person;
import org.jexel.core.connector.ConnectorCatalog;
import org.jexel.core.rig.BrakeType;
import org.jexel.core.rig.ControllerKind;
import org.jexel.core.rig.TrailerKind;
import org.jexel.core.rig.Wish;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** The quick start of a job, and the way into one. */
@Controller
class NewJobController {
  private static final List<String> FIELDS =
      List.of(
          "tow",
          "trailer",
          "customer",
          "wish",
          "kind",
          "axles",
          "brakes",
          "braked",
          "towConnector",
          "trailerConnector",
          "controller");

  private final NewJobs newJobs;
  private final JobFiles files;
  private final ConnectorCatalog catalog;

  NewJobController(NewJobs newJobs, JobFiles files, ConnectorCatalog catalog) {
    this.newJobs = newJobs;
    this.files = files;
    this.catalog = catalog;
  }

  /** An outline to pick, drawn to scale. */
  record Choice(TrailerKind kind, String drawing) {}

  @GetMapping("/jobs/new")
  String form(Person person, Model model) {
    return show(new LinkedHashMap<>(), Map.of(), UUID.randomUUID().toString(), person, model);
  }

  private String show(
      Map<String, String> typed,
      Map<String, String> problems,
      String requestKey,
      Person person,
      Model model) {
    FIELDS.forEach(field -> typed.putIfAbsent(field, ""));
    model.addAttribute("person", person);
    model.addAttribute("units", person.units());
    model.addAttribute("mayChange", person.role().mayChange());
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    model.addAttribute("requestKey", requestKey);
    model.addAttribute("wishes", Wish.values());
    model.addAttribute("brakeTypes", BrakeType.values());
    model.addAttribute("controllers", ControllerKind.values());
    model.addAttribute("connectors", catalog.connectors());
    model.addAttribute(
        "outlines",
        List.of(TrailerKind.values()).stream()
            .map(kind -> new Choice(kind, Outline.of(kind)))
            .toList());
    return "new-job";
  }

  @PostMapping("/jobs")
  ModelAndView start(
      @RequestParam Map<String, String> posted,
      @RequestParam String requestKey,
      Person person,
      Model model) {
    Map<String, String> typed = new LinkedHashMap<>();
    FIELDS.forEach(field -> typed.put(field, posted.getOrDefault(field, "")));
    Map<String, String> problems = newJobs.problems(typed);
    if (!problems.isEmpty()) {
      ModelAndView again = new ModelAndView(show(typed, problems, requestKey, person, model));
      again.setStatus(HttpStatus.UNPROCESSABLE_ENTITY);
      return again;
    }
    Job job = newJobs.start(typed, requestKey, person);
    return new ModelAndView(atNext(job.ref(), person));
  }

  @GetMapping("/jobs/{ref:J\\d+}")
  String open(@PathVariable String ref, Person person) {
    return atNext(ref, person);
  }

  private String atNext(String ref, Person person) {
    return "redirect:" + files.next(ref, person).address(ref);
  }
}
