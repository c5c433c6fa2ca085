package org.jexel.app.handover;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jexel.app.job.Following;
import org.jexel.app.job.Job;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.JobFiles;
import org.jexel.app.job.JobNames;
import org.jexel.app.security.Person;
import org.jexel.app.workshop.Words;
import org.jexel.core.report.Life;
import org.jexel.core.report.Section;
import org.jexel.core.rig.Wish;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** A trailer over its jobs, and the next one on it. */
@Controller
class LifeController {
  /** So many jobs stand side by side; older ones are in the list alone. */
  private static final int SIDE_BY_SIDE = 5;

  private static final String OTHER = "other";

  private final JobFiles files;
  private final Following following;

  LifeController(JobFiles files, Following following) {
    this.files = files;
    this.following = following;
  }

  /** What stands side by side. */
  record Beside(List<Section> sections) {}

  @GetMapping("/jobs/{ref}/life")
  ModelAndView life(@PathVariable String ref, Person person) {
    JobFile file = files.open(ref, person);
    Map<String, String> typed = new LinkedHashMap<>();
    typed.put("customer", file.job().customer());
    return page(file, typed, Map.of(), UUID.randomUUID().toString());
  }

  private ModelAndView page(
      JobFile file, Map<String, String> typed, Map<String, String> problems, String requestKey) {
    List<Job> life = following.life(file.job());
    List<Life.Chapter> chapters = new ArrayList<>();
    for (Job job : life.subList(0, Math.min(life.size(), SIDE_BY_SIDE))) {
      JobFile one =
          job.ref().equals(file.job().ref()) ? file : files.open(job.ref(), file.person());
      chapters.add(new Life.Chapter(job.ref(), one.work()));
    }
    Collections.reverse(chapters);
    Map<String, Object> view = new HashMap<>();
    view.put("person", file.person());
    view.put("units", file.units());
    view.put("mayChange", file.person().role().mayChange());
    view.put("job", file.job());
    view.put("life", life);
    view.put("newest", life.get(0));
    view.put("zone", file.job().workshop().zone());
    view.put("beside", new Beside(Life.of(chapters, file.units(), file.job().workshop().zone())));
    view.put("wishes", Wish.values());
    view.put("typed", typed);
    view.put("problems", problems);
    view.put("requestKey", requestKey);
    return new ModelAndView("life", view);
  }

  @PostMapping("/jobs/{ref}/next")
  ModelAndView next(
      @PathVariable String ref,
      @RequestParam Map<String, String> posted,
      @RequestParam String requestKey,
      Person person) {
    Map<String, String> typed = new LinkedHashMap<>();
    for (String field : List.of("wish", "customer", "vehicle", "tow")) {
      typed.put(field, posted.getOrDefault(field, "").strip());
    }
    Map<String, String> problems = problems(typed);
    if (!problems.isEmpty()) {
      ModelAndView again = page(files.open(ref, person), typed, problems, requestKey);
      again.setStatus(HttpStatus.UNPROCESSABLE_ENTITY);
      return again;
    }
    boolean other = OTHER.equals(typed.get("vehicle"));
    Following.Wanted wanted =
        new Following.Wanted(
            Wish.valueOf(typed.getOrDefault("wish", "")),
            typed.getOrDefault("customer", ""),
            other ? typed.getOrDefault("tow", "") : "");
    Job job = following.begin(ref, wanted, requestKey, person);
    return new ModelAndView("redirect:" + files.next(job.ref(), person).address(job.ref()));
  }

  private static Map<String, String> problems(Map<String, String> typed) {
    Map<String, String> problems = new LinkedHashMap<>();
    if (!Words.known(() -> Wish.valueOf(typed.getOrDefault("wish", "")))) {
      problems.put("wish", "Choose one.");
    }
    String vehicle = typed.getOrDefault("vehicle", "");
    if (!List.of("same", OTHER).contains(vehicle)) {
      problems.put("vehicle", "Say which vehicle stands in front of it.");
    } else if (vehicle.equals(OTHER) && typed.getOrDefault("tow", "").isEmpty()) {
      problems.put("tow", "Give the other vehicle a name.");
    }
    for (String field : List.of("customer", "tow")) {
      if (typed.getOrDefault(field, "").length() > JobNames.LONGEST) {
        problems.put(field, "At most 120 letters.");
      }
    }
    return problems;
  }
}
