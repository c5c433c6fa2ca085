package org.jexel.app.breakaway;

import java.util.LinkedHashMap;
import java.util.Map;
import org.jexel.app.security.Person;
import org.jexel.app.security.Role;
import org.jexel.app.workshop.WorkshopRepository;
import org.jexel.core.breakaway.BreakawayRule;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.servlet.ModelAndView;

/** What the workshop goes by with breakaways; its owner enters it. */
@Controller
class RuleController {
  private final WorkshopRepository workshops;
  private final TransactionTemplate transaction;

  RuleController(WorkshopRepository workshops, TransactionTemplate transaction) {
    this.workshops = workshops;
    this.transaction = transaction;
  }

  @GetMapping("/workshop/breakaway")
  ModelAndView rule(Person person) {
    return page(person, RuleForm.of(person.workshop().breakaway(), person.units()));
  }

  @PostMapping("/workshop/breakaway")
  ModelAndView keep(@RequestParam Map<String, String> typed, Person person) {
    if (person.role() != Role.OWNER) {
      throw new ResponseStatusException(
          HttpStatus.FORBIDDEN, "The owner of the workshop enters this.");
    }
    RuleForm form = RuleForm.read(typed, person.units());
    BreakawayRule rule = form.rule();
    if (rule == null) {
      return page(person, form);
    }
    transaction.executeWithoutResult(
        status -> workshops.findById(person.workshop().id()).orElseThrow().goBy(rule));
    return new ModelAndView("redirect:/workshop/breakaway");
  }

  private static ModelAndView page(Person person, RuleForm form) {
    Map<String, Object> view = new LinkedHashMap<>();
    view.put("person", person);
    view.put("units", person.units());
    view.put("mayChange", person.role() == Role.OWNER);
    view.put("form", form);
    return new ModelAndView("breakaway-rule", view);
  }
}
