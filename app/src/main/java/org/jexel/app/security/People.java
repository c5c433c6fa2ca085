package org.jexel.app.security;

import java.time.Clock;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.server.ResponseStatusException;

/** The people of a workshop, as its owner keeps them. */
@Service
public class People {
  private static final int LONGEST_NAME = 120;

  private final PersonRepository people;
  private final Passwords passwords;
  private final Sessions sessions;
  private final Clock clock;

  People(PersonRepository people, Passwords passwords, Sessions sessions, Clock clock) {
    this.people = people;
    this.passwords = passwords;
    this.sessions = sessions;
    this.clock = clock;
  }

  /**
   * What became of an act.
   *
   * @param problem why nothing was changed; null if it was
   * @param who whom it was about
   * @param password a new one, to be told once; null where there is none
   */
  record Done(@Nullable String problem, String who, @Nullable String password) {
    static Done not(String problem) {
      return new Done(problem, "", null);
    }
  }

  @Transactional(readOnly = true)
  List<Person> of(Person owner) {
    return people.findByWorkshopIdAndElsewhereFalseOrderByEndedAtAscNameAsc(owner.workshop().id());
  }

  /** Adds a person with a first password. */
  @Transactional
  Done add(Person owner, String name, String signIn, String role) {
    people.hold(owner.workshop().id());
    String called = name.strip();
    String key = SignInName.of(signIn);
    Role given = role(role);
    if (called.isEmpty() || key.isEmpty() || given == null) {
      return Done.not("Fill in a name, a sign-in name and a role.");
    }
    if (called.length() > LONGEST_NAME || key.length() > SignInName.LONGEST) {
      return Done.not("A name has at most 120 letters, a sign-in name 80.");
    }
    if (people.findBySignIn(key).isPresent()) {
      return Done.not("This sign-in name is taken. Capitals and accents make no difference.");
    }
    String first = passwords.first();
    people.save(new Person(owner.workshop(), key, called, passwords.hash(first), given));
    return new Done(null, called, first);
  }

  private static @Nullable Role role(String name) {
    for (Role role : Role.values()) {
      if (role.name().equals(name)) {
        return role;
      }
    }
    return null;
  }

  /** Gives somebody another role; it holds from their next click on. */
  @Transactional
  Done change(Person owner, long id, String role) {
    Person person = held(owner, id);
    Role given = role(role);
    if (given == null) {
      return Done.not("Choose a role.");
    }
    if (given != Role.OWNER && lastOwner(owner, person)) {
      return Done.not("A workshop keeps at least one owner. Make another one first.");
    }
    person.become(given);
    return new Done(null, person.name(), null);
  }

  /** Ends somebody's work here; the record keeps the name. */
  @Transactional
  Done end(Person owner, long id) {
    Person person = held(owner, id);
    if (lastOwner(owner, person)) {
      return Done.not("The last owner cannot leave. Make another one first.");
    }
    if (!person.ended()) {
      person.end(clock.instant());
    }
    sessions.endAll(person, null);
    return new Done(null, person.name(), null);
  }

  /** Lets somebody who left come back, with the role they had. */
  @Transactional
  Done takeBack(Person owner, long id) {
    Person person = held(owner, id);
    person.end(null);
    return newPassword(person);
  }

  /** A new first password for somebody who forgot theirs; their sessions end. */
  @Transactional
  Done reset(Person owner, long id) {
    return newPassword(held(owner, id));
  }

  private Done newPassword(Person person) {
    String first = passwords.first();
    person.password(passwords.hash(first), clock.instant());
    sessions.endAll(person, null);
    return new Done(null, person.name(), first);
  }

  private Person held(Person owner, long id) {
    people.hold(owner.workshop().id());
    return people
        .findByWorkshopIdAndIdAndElsewhereFalse(owner.workshop().id(), id)
        .orElseThrow(
            () -> new ResponseStatusException(HttpStatus.NOT_FOUND, "Nobody of that number"));
  }

  private boolean lastOwner(Person owner, Person person) {
    return person.role() == Role.OWNER
        && !person.ended()
        && of(owner).stream().filter(p -> p.role() == Role.OWNER && !p.ended()).count() < 2;
  }
}
