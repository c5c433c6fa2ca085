package org.jexel.app.security;

import java.util.LinkedHashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** The owner's page of people. */
@Controller
class PeopleController {
  private final People people;

  PeopleController(People people) {
    this.people = people;
  }

  @GetMapping("/people")
  ModelAndView people(Person owner) {
    return page(owner, null, Map.of());
  }

  private ModelAndView page(Person owner, People.@Nullable Done done, Map<String, String> typed) {
    Map<String, Object> view = new LinkedHashMap<>();
    view.put("person", owner);
    view.put("units", owner.units());
    view.put("all", people.of(owner));
    view.put("roles", Role.values());
    view.put("done", done);
    view.put("typed", typed);
    return new ModelAndView("people", view);
  }

  @PostMapping("/people")
  ModelAndView add(
      @RequestParam(defaultValue = "") String name,
      @RequestParam(defaultValue = "") String signIn,
      @RequestParam(defaultValue = "") String role,
      Person owner) {
    People.Done done = people.add(owner, name, signIn, role);
    Map<String, String> typed =
        done.problem() == null ? Map.of() : Map.of("name", name, "signIn", signIn, "role", role);
    return page(owner, done, typed);
  }

  @PostMapping("/people/{id}/role")
  ModelAndView role(
      @PathVariable long id, @RequestParam(defaultValue = "") String role, Person owner) {
    return page(owner, people.change(owner, id, role), Map.of());
  }

  @PostMapping("/people/{id}/end")
  ModelAndView end(@PathVariable long id, Person owner) {
    return page(owner, people.end(owner, id), Map.of());
  }

  @PostMapping("/people/{id}/back")
  ModelAndView back(@PathVariable long id, Person owner) {
    return page(owner, people.takeBack(owner, id), Map.of());
  }

  @PostMapping("/people/{id}/password")
  ModelAndView password(@PathVariable long id, Person owner) {
    return page(owner, people.reset(owner, id), Map.of());
  }
}
