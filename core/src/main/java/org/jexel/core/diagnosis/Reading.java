package org.jexel.core.diagnosis;

import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;
import org.jexel.core.check.Check;
import org.jexel.core.check.Meter;
import org.jexel.core.quantity.Verdict;
import org.jspecify.annotations.Nullable;

/**
 * What stands of a check: its last reading.
 *
 * @param si as read, or the place of the word
 * @param value on the scale on which readings are compared
 * @param times how often in a row it was the same: what two looks say alike is no slip of the eye
 * @param verdict by the check's band
 * @param before what was read of it otherwise, and is taken back; null where nothing was
 */
record Reading(double si, double value, int times, Verdict verdict, @Nullable Reading before) {
  static Reading first(Check check, double si) {
    return new Reading(si, Means.seen(check, si), 1, check.band().judge(si), null);
  }

  /** Read once more; each time the meter may be off to either side. */
  Reading then(Check check, double si) {
    double same = check.measure().words().isEmpty() ? 2 * Meter.error(si, check.measure()) : 0;
    Reading again = first(check, si);
    return Math.abs(si - this.si) <= same
        ? new Reading(si, again.value, times + 1, again.verdict, before)
        : new Reading(si, again.value, 1, again.verdict, this);
  }

  /** What was said before and is taken back, the latest first. */
  List<Reading> takenBack() {
    return Stream.iterate(before, Objects::nonNull, reading -> reading.before).toList();
  }

  boolean fails() {
    return verdict == Verdict.FAILS;
  }
}
