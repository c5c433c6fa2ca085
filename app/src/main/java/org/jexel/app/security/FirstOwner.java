package org.jexel.app.security;

import java.time.ZoneId;
import org.jexel.app.workshop.Workshop;
import org.jexel.app.workshop.WorkshopRepository;
import org.jexel.core.rig.TongueBand;
import org.jspecify.annotations.Nullable;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;

/** Makes the workshop and its owner on an empty installation. Works once. */
@Service
public class FirstOwner {
  private final PersonRepository people;
  private final WorkshopRepository workshops;
  private final PasswordEncoder passwords;

  /** What was typed, the password excepted. */
  public record Form(String workshop, String name, String signIn) {}

  FirstOwner(PersonRepository people, WorkshopRepository workshops, PasswordEncoder passwords) {
    this.people = people;
    this.workshops = workshops;
    this.passwords = passwords;
  }

  boolean isWanted() {
    return people.count() == 0;
  }

  @Nullable String problem(Form form, String password) {
    if (form.workshop().isEmpty() || form.name().isEmpty() || form.signIn().isEmpty()) {
      return "Fill in the workshop, your name and a sign-in name.";
    }
    if (form.workshop().length() > 120 || form.name().length() > 120) {
      return "Workshop and name have at most 120 letters each.";
    }
    if (form.signIn().length() > SignInName.LONGEST) {
      return "A sign-in name has at most 80 letters.";
    }
    return Passwords.problem(password);
  }

  /** False when somebody else was first. */
  @Transactional(isolation = Isolation.SERIALIZABLE)
  public boolean create(Form form, String password) {
    if (!isWanted()) {
      return false;
    }
    Workshop workshop =
        workshops.save(
            new Workshop(
                form.workshop(),
                ZoneId.systemDefault(),
                TongueBand.NORTH_AMERICA,
                Workshop.WireStock.GAUGE));
    people.save(
        new Person(workshop, form.signIn(), form.name(), passwords.encode(password), Role.OWNER));
    return true;
  }
}
