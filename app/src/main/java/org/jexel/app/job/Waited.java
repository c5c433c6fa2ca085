package org.jexel.app.job;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.function.BiFunction;
import org.jexel.app.security.Person;
import org.jexel.app.workshop.Words;
import org.jexel.core.quantity.UnitSystem;
import org.springframework.stereotype.Component;

/**
 * What was done out of reach and waited on a phone until it was sent. The phone says how long ago
 * that was, by its own clock, which may be set wrong and runs right.
 */
@Component
public class Waited {
  /** What waited longer is typed by hand, by somebody who still knows. */
  private static final Duration LONGEST = Duration.ofDays(60);

  private final JobFiles files;
  private final Clock clock;

  Waited(JobFiles files, Clock clock) {
    this.files = files;
    this.clock = clock;
  }

  /**
   * What became of it, as the phone is told.
   *
   * @param taken whether it stands in the record, by this sending or an earlier one
   * @param why it does not; empty where it does
   */
  public record Told(boolean taken, String why) {
    public static final Told TAKEN = new Told(true, "");

    public static Told not(String why) {
      return new Told(false, why);
    }
  }

  /**
   * Takes it into a job as of when it was done, unless that is no time at which it can have been.
   *
   * @param ago ms
   */
  public Told take(String ref, Person person, long ago, BiFunction<JobFile, Instant, Told> act) {
    if (ago < 0 || ago > LONGEST.toMillis()) {
      return Told.not("It waited for more than 60 days. Type it again, if you still know it.");
    }
    Instant at = clock.instant().minusMillis(ago);
    return files.act(ref, person, file -> act.apply(file, at));
  }

  /** The units in which it was typed, which may have been changed since. */
  public static UnitSystem units(JobFile file, String name) {
    return Words.of(UnitSystem.class, name, file.units());
  }
}
