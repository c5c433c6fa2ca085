package org.jexel.app.security;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpSession;
import java.util.LinkedHashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** A person's own page: password, where they are signed in, tokens. */
@Controller
class OwnController {
  private final Own own;
  private final Sessions sessions;

  OwnController(Own own, Sessions sessions) {
    this.own = own;
    this.sessions = sessions;
  }

  @GetMapping("/me")
  ModelAndView me(Person person, HttpServletRequest request) {
    return page(person, request, Map.of());
  }

  private ModelAndView page(Person person, HttpServletRequest request, Map<String, String> said) {
    Map<String, Object> view = new LinkedHashMap<>();
    view.put("person", person);
    view.put("units", person.units());
    view.put("zone", person.workshop().zone());
    view.put("sessions", sessions.of(person, here(request)));
    view.put("tokens", own.tokens(person));
    view.put("said", said);
    return new ModelAndView("me", view);
  }

  private static @Nullable String here(HttpServletRequest request) {
    HttpSession session = request.getSession(false);
    return session == null ? null : session.getId();
  }

  @PostMapping("/me/password")
  ModelAndView password(
      @RequestParam(defaultValue = "") String old,
      @RequestParam(defaultValue = "") String fresh,
      @RequestParam(defaultValue = "") String again,
      Person person,
      HttpServletRequest request) {
    String problem = own.password(person, old, fresh, again, here(request));
    return page(
        person,
        request,
        problem == null
            ? Map.of("password", "The password is changed. You are signed out everywhere else.")
            : Map.of("passwordProblem", problem));
  }

  @PostMapping("/me/sessions")
  String end(
      @RequestParam(defaultValue = "") String session, Person person, HttpServletRequest request) {
    if (session.equals("others")) {
      sessions.endAll(person, here(request));
    } else {
      sessions.end(person, session);
    }
    return "redirect:/me";
  }

  @PostMapping("/me/tokens")
  ModelAndView token(
      @RequestParam(defaultValue = "") String label,
      @RequestParam(defaultValue = "") String days,
      Person person,
      HttpServletRequest request) {
    Own.Made made = own.token(person, label, days);
    return page(
        person,
        request,
        made.problem() == null
            ? Map.of("token", made.token())
            : Map.of("tokenProblem", made.problem(), "label", label, "days", days));
  }

  @PostMapping("/me/tokens/{id}/revoke")
  String revoke(@PathVariable long id, Person person) {
    own.revoke(person, id);
    return "redirect:/me";
  }
}
