package org.jexel.core.diagnosis;

import org.jexel.core.check.Check;
import org.jexel.core.check.Meter;
import org.jexel.core.quantity.Verdict;

/**
 * What stands of a check: its last reading.
 *
 * @param si as read, or the place of the word
 * @param value on the scale on which readings are compared
 * @param times how often in a row it was the same: what two looks say alike is no slip of the eye
 * @param verdict by the check's band
 */
record Reading(double si, double value, int times, Verdict verdict) {
  static Reading first(Check check, double si) {
    return new Reading(si, Means.seen(check, si), 1, check.band().judge(si));
  }

  /** Read once more; each time the meter may be off to either side. */
  Reading then(Check check, double si) {
    double same = check.measure().words().isEmpty() ? 2 * Meter.error(si, check.measure()) : 0;
    Reading again = first(check, si);
    return Math.abs(si - this.si) <= same
        ? new Reading(si, again.value, times + 1, again.verdict)
        : again;
  }

  boolean fails() {
    return verdict == Verdict.FAILS;
  }
}
