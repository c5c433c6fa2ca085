package org.jexel.app.security;

import java.time.Clock;
import java.util.Collection;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.jexel.app.workshop.Workshop;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * People of other workshops, whose names came with a job's file. They never sign in, and nobody
 * here is taken for one of them: a name in a file proves nothing.
 */
@Service
@Transactional(propagation = Propagation.MANDATORY)
public class Elsewhere {
  private final PersonRepository people;
  private final Clock clock;

  Elsewhere(PersonRepository people, Clock clock) {
    this.people = people;
    this.clock = clock;
  }

  /** A person of that name, who is nobody else. */
  public long person(Workshop workshop, String name) {
    String signIn = "elsewhere." + UUID.randomUUID();
    return people.saveAndFlush(Person.elsewhere(workshop, signIn, name, clock.instant())).id();
  }

  /** What some people are called, by their numbers. */
  public Map<Long, String> names(Collection<Long> numbers) {
    Map<Long, String> names = new HashMap<>();
    people.findAllById(numbers).forEach(person -> names.put(person.id(), person.name()));
    return names;
  }
}
