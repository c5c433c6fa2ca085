package org.jexel.core.job;

import java.time.Instant;
import java.util.OptionalDouble;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.UnitSystem;

/**
 * A reading that somebody took.
 *
 * @param id its own number; a later reading has a greater one
 * @param check id of the check that it answers
 * @param value SI, or the place of the word
 * @param at when
 * @param who name of the person
 * @param atOnce whether it was said of a whole round in one word: all as a sound rig shows
 * @param simulated whether the simulated meter showed it, which proves nothing
 * @param pinVolts at the brake pin, where it was read at less than full output
 */
public record Taken(
    long id,
    String check,
    double value,
    Instant at,
    String who,
    boolean atOnce,
    boolean simulated,
    OptionalDouble pinVolts) {
  /** Behind what the simulated meter showed. */
  public static final String PRACTISED = ", simulated meter";

  public Taken(long id, String check, double value, Instant at, String who) {
    this(id, check, value, at, who, false, false, OptionalDouble.empty());
  }

  /** As it was read, and whether that was practice, which proves nothing. */
  public String told(Measure measure, UnitSystem units) {
    return words(measure, units) + (simulated ? PRACTISED : "");
  }

  /** As it was read. */
  public String words(Measure measure, UnitSystem units) {
    String read = measure.text(value, units);
    return pinVolts.isPresent()
        ? read + " at " + Measure.VOLTS.text(pinVolts.getAsDouble(), units)
        : read;
  }
}
