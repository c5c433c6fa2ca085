package org.jexel.app.care;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jexel.app.exchange.Csv;
import org.jexel.app.job.Album;
import org.jexel.app.job.Draft;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.JobFiles;
import org.jexel.app.job.Photographed;
import org.jexel.app.job.Waited;
import org.jexel.app.security.Person;
import org.jexel.app.workshop.Words;
import org.jexel.core.care.CareBook;
import org.jexel.core.care.CareDone;
import org.jexel.core.care.CarePart;
import org.jexel.core.care.CarePlan;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.servlet.ModelAndView;

/**
 * The care plan of a job's trailer: one part open, all others in the order in which they are due.
 */
@Controller
class CareController {
  private final JobFiles files;
  private final CareService service;
  private final CalendarLinks links;
  private final Photographed photographed;
  private final Waited waited;
  private final Clock clock;

  CareController(
      JobFiles files,
      CareService service,
      CalendarLinks links,
      Photographed photographed,
      Waited waited,
      Clock clock) {
    this.waited = waited;
    this.photographed = photographed;
    this.links = links;
    this.files = files;
    this.service = service;
    this.clock = clock;
  }

  @GetMapping("/jobs/{ref}/care")
  ModelAndView plan(@PathVariable String ref, Person person) {
    JobFile file = files.open(ref, person);
    CareService.Kept kept = service.kept(file);
    CarePlan plan = service.plan(file, kept.book());
    return page(file, kept, plan, plan.lines().get(0), null);
  }

  @GetMapping("/jobs/{ref}/care/{part}")
  ModelAndView part(
      @PathVariable String ref,
      @PathVariable String part,
      @RequestParam(required = false) Long corrects,
      Person person) {
    JobFile file = files.open(ref, person);
    CareService.Kept kept = service.kept(file);
    CarePlan plan = service.plan(file, kept.book());
    return page(
        file, kept, plan, plan.line(part(part)).orElseThrow(CareController::none), corrects);
  }

  private static ResponseStatusException none() {
    return new ResponseStatusException(HttpStatus.NOT_FOUND, "This trailer has no such part");
  }

  private static CarePart part(String name) {
    if (!Words.known(() -> CarePart.valueOf(name))) {
      throw none();
    }
    return CarePart.valueOf(name);
  }

  private ModelAndView page(
      JobFile file,
      CareService.Kept kept,
      CarePlan plan,
      CarePlan.Line open,
      @Nullable Long corrects) {
    Map<String, String> typed = new LinkedHashMap<>();
    String form = CareService.form(open.part(), corrects);
    Map<String, String> old =
        kept.chosen(open.part(), corrects)
            .map(done -> CareForm.typed(done, file.units()))
            .orElse(Map.of());
    for (String field : CareForm.fields(open)) {
      typed.put(
          field,
          file.typed().at(form, field).map(Draft::typed).orElse(old.getOrDefault(field, "")));
    }
    boolean refused =
        typed.keySet().stream()
            .anyMatch(field -> file.typed().at(form, field).map(Draft::seenId).orElse(0L) > 0);
    List<CareDone> done = kept.book().of(open.part());
    Map<String, Object> model = new HashMap<>();
    model.put("job", file.job());
    model.put("units", file.units());
    model.put("person", file.person());
    model.put("mayChange", file.person().role().mayChange());
    model.put("requestKey", UUID.randomUUID().toString());
    model.put("album", new Album(photographed, file));
    model.put("plan", plan);
    model.put("open", open);
    model.put("done", done);
    model.put("unread", kept.unread());
    model.put("metres", kept.book().metres());
    boolean stands = kept.chosen(open.part(), corrects).isPresent();
    model.put("corrects", stands ? corrects : null);
    model.put("gone", corrects != null && !stands);
    model.put(
        "address",
        links.path(file.person(), file.job()).map(CareShopController::address).orElse(""));
    model.put("drawing", CareDrawing.draw(open, done, file.units()));
    model.put("typed", typed);
    model.put("today", LocalDate.now(clock.withZone(file.job().workshop().zone())));
    model.put(
        "problems",
        refused
            ? service.read(file, open, kept, typed, corrects).problems()
            : Map.<String, String>of());
    return new ModelAndView("care", model);
  }

  @PostMapping("/jobs/{ref}/care/{part}")
  String record(
      @PathVariable String ref,
      @PathVariable String part,
      @RequestParam Map<String, String> posted,
      @RequestParam(required = false) Long corrects,
      @RequestParam String requestKey,
      Person person) {
    CarePart asked = part(part);
    boolean stands =
        files.act(
            ref, person, file -> service.record(file, asked, typed(posted), corrects, requestKey));
    return stands
        ? "redirect:/jobs/{ref}/care"
        : "redirect:/jobs/{ref}/care/{part}" + (corrects == null ? "" : "?corrects=" + corrects);
  }

  /** One that waited on a phone for so many ms. */
  @PostMapping(value = "/jobs/{ref}/care/{part}", params = "ago")
  @ResponseBody
  Waited.Told sent(
      @PathVariable String ref,
      @PathVariable String part,
      @RequestParam Map<String, String> posted,
      @RequestParam(required = false) Long corrects,
      @RequestParam String requestKey,
      @RequestParam(defaultValue = "") String units,
      @RequestParam long ago,
      Person person) {
    CarePart asked = part(part);
    return waited.take(
        ref,
        person,
        ago,
        (file, at) ->
            service.waited(
                file, asked, typed(posted), Waited.units(file, units), at, corrects, requestKey));
  }

  @PostMapping("/jobs/{ref}/care/{part}/draft")
  String draft(
      @PathVariable String ref,
      @PathVariable String part,
      @RequestParam Map<String, String> posted,
      @RequestParam(required = false) Long corrects,
      Person person) {
    CarePart asked = part(part);
    files.change(ref, person, file -> service.draft(file, asked, typed(posted), corrects, 0));
    return "redirect:/jobs/{ref}/care/{part}";
  }

  /** Every figure of what was done and stands, in SI, a row for each place. */
  @GetMapping("/jobs/{ref}/care.csv")
  ResponseEntity<byte[]> table(@PathVariable String ref, Person person) {
    JobFile file = files.open(ref, person);
    CareBook book = service.kept(file).book();
    CarePlan plan = service.plan(file, book);
    List<List<Object>> rows = new ArrayList<>();
    for (CareDone done : book.done()) {
      Map<Integer, String> places =
          plan.line(done.part()).map(CarePlan.Line::places).orElse(Map.of());
      done.found()
          .forEach(
              (place, si) ->
                  rows.add(
                      List.of(
                          done.id(),
                          done.part().name(),
                          place,
                          places.getOrDefault(place, ""),
                          done.part().measure().name(),
                          si,
                          done.metres().isPresent() ? done.metres().getAsDouble() : "",
                          done.note(),
                          done.who(),
                          done.at().toString())));
    }
    return Csv.answer(
        ref + "-care",
        List.of(
            "id", "part", "place", "where", "measure", "value_si", "way_m", "note", "who", "at"),
        rows);
  }

  /** What belongs to a part, and nothing else that somebody posts. */
  private static Map<String, String> typed(Map<String, String> posted) {
    Map<String, String> typed = new LinkedHashMap<>(posted);
    typed.keySet().removeIf(field -> !CareForm.isField(field));
    return typed;
  }
}
