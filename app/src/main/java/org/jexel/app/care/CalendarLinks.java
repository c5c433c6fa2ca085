package org.jexel.app.care;

import java.time.Clock;
import java.util.List;
import java.util.Optional;
import org.jexel.app.job.Job;
import org.jexel.app.security.Guesses;
import org.jexel.app.security.Person;
import org.jexel.app.security.Token;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Addresses of calendars: opened, found, taken back. One at a time for each. */
@Service
@Transactional
class CalendarLinks {
  private final CalendarLinkRepository links;
  private final Clock clock;
  private final Guesses guesses = new Guesses();

  CalendarLinks(CalendarLinkRepository links, Clock clock) {
    this.links = links;
    this.clock = clock;
  }

  private List<CalendarLink> open(Person person, @Nullable Job job) {
    return job == null
        ? links.findByWorkshopIdAndJobIsNullAndRevokedFalse(person.workshop().id())
        : links.findByJobIdAndRevokedFalse(job.id());
  }

  /**
   * The path under which a calendar is read; empty while there is none.
   *
   * @param job whose trailer it tells of; null for all of the workshop's
   */
  Optional<String> path(Person person, @Nullable Job job) {
    return open(person, job).stream().map(link -> "/c/" + link.token() + ".ics").findFirst();
  }

  /** Opens a new address; an older one ends. */
  void make(Person person, @Nullable Job job) {
    end(person, job);
    links.save(new CalendarLink(job, Token.next(), person, clock.instant()));
  }

  void end(Person person, @Nullable Job job) {
    open(person, job).forEach(CalendarLink::revoke);
  }

  /** Whether too many wrong addresses were tried from there. */
  boolean spent(String address) {
    return guesses.spent(address);
  }

  /** The open link; empty for a wrong one, and for any from where too many were tried. */
  Optional<CalendarLink> find(String token, String address) {
    if (spent(address)) {
      return Optional.empty();
    }
    Optional<CalendarLink> found = links.byToken(token);
    if (found.isEmpty()) {
      guesses.wrong(address);
    }
    return found;
  }
}
