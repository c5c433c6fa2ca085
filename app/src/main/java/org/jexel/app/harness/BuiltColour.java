package org.jexel.app.harness;

import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import java.time.Instant;
import org.jexel.app.job.Job;
import org.jexel.app.security.Person;
import org.jexel.app.workshop.Words;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.connector.WireColour;
import org.jexel.core.harness.Crosswalk;
import org.jexel.core.harness.Segment;
import org.jspecify.annotations.Nullable;

/** A colour that is really there. Append-only: the newest row of a place stands. */
@Entity
public class BuiltColour {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Job job;

  private String segment;

  private String pinFunction;

  private @Nullable String colour;

  @ManyToOne(fetch = FetchType.LAZY, optional = false)
  private Person person;

  private Instant seenAt;

  protected BuiltColour() {}

  BuiltColour(
      Job job, Crosswalk.Seen place, @Nullable WireColour colour, Person person, Instant at) {
    this.job = job;
    this.segment = place.segment().name();
    this.pinFunction = place.function().name();
    this.colour = colour == null ? null : colour.name();
    this.person = person;
    this.seenAt = at;
  }

  /** Whether this version still knows its words. */
  boolean readable() {
    return Words.known(
        () -> {
          place();
          colour();
        });
  }

  Crosswalk.Seen place() {
    return new Crosswalk.Seen(Segment.valueOf(segment), PinFunction.valueOf(pinFunction));
  }

  /** Null gives the place back to the plan. */
  @Nullable WireColour colour() {
    return colour == null ? null : WireColour.valueOf(colour);
  }

  Person person() {
    return person;
  }
}
