package org.jexel.app.care;

import java.time.Clock;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.Map;
import org.jexel.app.job.JobFiles;
import org.jexel.app.security.Person;
import org.jexel.app.security.Role;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** What is due of all trailers, and the intervals by which this workshop goes. */
@Controller
class CareShopController {
  private final JobFiles files;
  private final CareDueRepository due;
  private final CareIntervals intervals;
  private final CalendarLinks links;
  private final CareService service;
  private final Clock clock;

  CareShopController(
      JobFiles files,
      CareDueRepository due,
      CareIntervals intervals,
      CalendarLinks links,
      CareService service,
      Clock clock) {
    this.files = files;
    this.due = due;
    this.intervals = intervals;
    this.links = links;
    this.service = service;
    this.clock = clock;
  }

  @GetMapping("/workshop/care")
  ModelAndView page(Person person) {
    return page(person, IntervalForm.of(intervals.of(person.workshop()), person.units()));
  }

  @PostMapping("/workshop/care")
  ModelAndView keep(@RequestParam Map<String, String> typed, Person person) {
    if (person.role() != Role.OWNER) {
      throw new ResponseStatusException(
          HttpStatus.FORBIDDEN, "The owner of the workshop enters this.");
    }
    IntervalForm form = IntervalForm.read(typed, person.units());
    if (!form.problems().isEmpty()) {
      return page(person, form);
    }
    intervals.keep(person.workshop(), form.intervals());
    due.all(person.workshop().id()).forEach(one -> files.change(one.ref(), person, service::due));
    return new ModelAndView("redirect:/workshop/care");
  }

  private ModelAndView page(Person person, IntervalForm form) {
    Map<String, Object> view = new LinkedHashMap<>();
    view.put("person", person);
    view.put("units", person.units());
    view.put("mayChange", person.role() == Role.OWNER);
    view.put("mayOpen", person.role().mayChange());
    view.put("form", form);
    view.put("due", due.all(person.workshop().id()));
    view.put("today", LocalDate.now(clock.withZone(person.workshop().zone())));
    view.put("address", links.path(person, null).map(CareShopController::address).orElse(""));
    return new ModelAndView("care-workshop", view);
  }

  static String address(String path) {
    return ServletUriComponentsBuilder.fromCurrentContextPath().path(path).toUriString();
  }
}
