package org.jexel.app.job;

import java.time.Clock;
import java.time.Duration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.jexel.app.security.Person;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Keeps what was typed, so that it survives a reload, a sign-out and a restart. Kept within an act.
 */
@Service
@Transactional(propagation = Propagation.MANDATORY)
public class Drafts {
  /** What nobody took or cleared for so long is forgotten. */
  private static final Duration KEPT = Duration.ofDays(90);

  private final DraftRepository drafts;
  private final Clock clock;

  Drafts(DraftRepository drafts, Clock clock) {
    this.drafts = drafts;
    this.clock = clock;
  }

  public void keep(Job job, Person person, String form, String field, String typed, long seen) {
    Draft draft =
        drafts
            .findByJobIdAndPersonIdAndFormAndField(job.id(), person.id(), form, field)
            .orElseGet(() -> new Draft(job.id(), person.id(), form, field));
    draft.type(typed, seen, clock.instant());
    drafts.save(draft);
  }

  public void drop(Job job, Person person, String form, String field) {
    drafts.drop(job.id(), person.id(), form, field);
  }

  public void dropForm(Job job, Person person, String form) {
    drafts.dropForm(job.id(), person.id(), form);
  }

  /** Forgets old drafts. */
  @Scheduled(fixedDelay = 12, initialDelay = 1, timeUnit = TimeUnit.HOURS)
  @Transactional
  public void age() {
    drafts.deleteByTypedAtBefore(clock.instant().minus(KEPT));
  }

  /** Every draft of one person on one job; who may only look has none. */
  @Transactional(readOnly = true, propagation = Propagation.REQUIRED)
  public Typed of(Job job, Person person) {
    if (!person.role().mayChange()) {
      return new Typed(List.of());
    }
    return new Typed(drafts.findByJobIdAndPersonId(job.id(), person.id()));
  }

  /** The drafts of one person on one job, by form and field. */
  public static final class Typed {
    private final Map<String, Draft> byPlace = new HashMap<>();

    Typed(List<Draft> drafts) {
      drafts.forEach(draft -> byPlace.put(draft.form() + "|" + draft.field(), draft));
    }

    public Optional<Draft> at(String form, String field) {
      return Optional.ofNullable(byPlace.get(form + "|" + field));
    }

    public String text(String form, String field) {
      return at(form, field).map(Draft::typed).orElse("");
    }
  }
}
