package org.jexel.app.handover;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jexel.app.job.Draft;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.JobFiles;
import org.jexel.app.job.Waited;
import org.jexel.app.security.Person;
import org.jexel.core.care.BeforeTow;
import org.jexel.core.quantity.Verdict;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.servlet.ModelAndView;

/** The list before a journey: walked with a phone, also where the server is not reached. */
@Controller
class BeforeTowController {
  private final JobFiles files;
  private final BeforeTowService service;
  private final Waited waited;

  BeforeTowController(JobFiles files, BeforeTowService service, Waited waited) {
    this.files = files;
    this.service = service;
    this.waited = waited;
  }

  @GetMapping("/jobs/{ref}/before")
  ModelAndView page(@PathVariable String ref, Person person) {
    JobFile file = files.open(ref, person);
    BeforeTow list = file.work().care().list();
    Map<String, String> typed = new LinkedHashMap<>();
    fields(list)
        .forEach(field -> typed.put(field, file.typed().text(BeforeTowService.FORM, field)));
    boolean refused =
        file.typed().at(BeforeTowService.FORM, BeforeTowService.WRONG).map(Draft::seenId).orElse(0L)
            > 0;
    Map<String, Object> model = new HashMap<>();
    model.put("job", file.job());
    model.put("units", file.units());
    model.put("person", person);
    model.put("mayChange", person.role().mayChange());
    model.put("requestKey", UUID.randomUUID().toString());
    model.put("list", list);
    model.put("answers", List.of(Verdict.HOLDS, Verdict.FAILS));
    BeforeTowService.Kept kept = service.kept(file);
    model.put("done", kept.lists());
    model.put("unread", kept.unread());
    model.put("typed", typed);
    model.put(
        "problems",
        refused ? BeforeTowService.read(file, typed).problems() : Map.<String, String>of());
    return new ModelAndView("before", model);
  }

  private static List<String> fields(BeforeTow list) {
    List<String> fields =
        new ArrayList<>(list.items().stream().map(item -> item.part().name()).toList());
    fields.add(BeforeTowService.WRONG);
    return fields;
  }

  private static Map<String, String> typed(JobFile file, Map<String, String> posted) {
    Map<String, String> typed = new LinkedHashMap<>();
    fields(file.work().care().list())
        .forEach(field -> typed.put(field, posted.getOrDefault(field, "")));
    return typed;
  }

  @PostMapping("/jobs/{ref}/before")
  String record(
      @PathVariable String ref,
      @RequestParam Map<String, String> posted,
      @RequestParam String requestKey,
      Person person) {
    files.change(ref, person, file -> service.record(file, typed(file, posted), requestKey));
    return "redirect:/jobs/{ref}/before";
  }

  /** One that waited on a phone for so many ms. */
  @PostMapping(value = "/jobs/{ref}/before", params = "ago")
  @ResponseBody
  Waited.Told sent(
      @PathVariable String ref,
      @RequestParam Map<String, String> posted,
      @RequestParam String requestKey,
      @RequestParam long ago,
      Person person) {
    return waited.take(
        ref, person, ago, (file, at) -> service.waited(file, typed(file, posted), at, requestKey));
  }
}
