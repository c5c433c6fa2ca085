package org.jexel.app.security;

import org.springframework.stereotype.Controller;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Signing in, the first owner, and the units a person reads in. */
@Controller
class SignInController {
  private final PersonRepository people;
  private final FirstOwner firstOwner;

  SignInController(PersonRepository people, FirstOwner firstOwner) {
    this.people = people;
    this.firstOwner = firstOwner;
  }

  /** So many seconds as one says them; from two minutes on in whole minutes, rounded up. */
  private static String told(int seconds) {
    if (seconds == 0) {
      return "";
    }
    return seconds < 120 ? seconds + " s" : (seconds + 59) / 60 + " min";
  }

  @GetMapping("/sign-in")
  String signIn(@RequestParam(defaultValue = "") String wait, Model model) {
    model.addAttribute("wait", wait.matches("\\d{1,6}") ? told(Integer.parseInt(wait)) : "");
    return firstOwner.isWanted() ? "redirect:/first-owner" : "sign-in";
  }

  @GetMapping("/first-owner")
  String first(Model model) {
    if (!firstOwner.isWanted()) {
      return "redirect:/sign-in";
    }
    model.addAttribute("form", new FirstOwner.Form("", "", ""));
    return "first-owner";
  }

  @PostMapping("/first-owner")
  String create(
      @RequestParam String workshop,
      @RequestParam String name,
      @RequestParam String signIn,
      @RequestParam String password,
      Model model) {
    FirstOwner.Form form =
        new FirstOwner.Form(workshop.strip(), name.strip(), SignInName.of(signIn));
    String problem = firstOwner.problem(form, password);
    if (problem != null) {
      model.addAttribute("form", form);
      model.addAttribute("problem", problem);
      return "first-owner";
    }
    return firstOwner.create(form, password) ? "redirect:/sign-in?made" : "redirect:/sign-in";
  }

  @PostMapping("/units")
  @Transactional
  public String units(Person person, @RequestParam(defaultValue = "/") String back) {
    people.findById(person.id()).orElseThrow().use(person.units().other());
    return "redirect:" + Here.within(back);
  }
}
