package org.jexel.app.handover;

import java.util.LinkedHashMap;
import java.util.Map;
import org.jexel.app.security.Person;
import org.jexel.app.security.Role;
import org.jexel.app.workshop.WorkshopRepository;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.servlet.ModelAndView;

/** How many names a report wants in this workshop; its owner decides. */
@Controller
class SignedController {
  private final WorkshopRepository workshops;
  private final TransactionTemplate transaction;

  SignedController(WorkshopRepository workshops, TransactionTemplate transaction) {
    this.workshops = workshops;
    this.transaction = transaction;
  }

  @GetMapping("/workshop/signatures")
  ModelAndView rule(Person person) {
    Map<String, Object> view = new LinkedHashMap<>();
    view.put("person", person);
    view.put("units", person.units());
    view.put("mayChange", person.role() == Role.OWNER);
    view.put("countersigned", person.workshop().countersigned());
    return new ModelAndView("signatures", view);
  }

  @PostMapping("/workshop/signatures")
  String keep(@RequestParam(defaultValue = "false") boolean countersigned, Person person) {
    if (person.role() != Role.OWNER) {
      throw new ResponseStatusException(
          HttpStatus.FORBIDDEN, "The owner of the workshop decides this.");
    }
    transaction.executeWithoutResult(
        status ->
            workshops.findById(person.workshop().id()).orElseThrow().countersign(countersigned));
    return "redirect:/workshop/signatures";
  }
}
