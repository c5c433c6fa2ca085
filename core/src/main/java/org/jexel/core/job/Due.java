package org.jexel.core.job;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Optional;
import java.util.stream.Stream;
import org.jexel.core.breakaway.BreakawayBattery;
import org.jexel.core.breakaway.BreakawayRule;
import org.jexel.core.quantity.Verdict;

/**
 * When a breakaway is due again, by the workshop's own intervals.
 *
 * @param proof a pull test; empty while there is none to count from
 * @param battery a new battery; empty while nobody read its date
 * @param day on which it is asked
 */
public record Due(Optional<LocalDate> proof, Optional<LocalDate> battery, LocalDate day) {
  static Due of(PullTest pull, BreakawayBattery battery, JobRecord record) {
    BreakawayRule rule = record.shop().breakaway();
    return new Due(
        pull.provedAt()
            .map(at -> LocalDate.ofInstant(at, ZoneOffset.UTC).plusMonths(rule.proofMonths())),
        battery.made().map(made -> made.plusYears(rule.batteryYears())),
        record.day());
  }

  /** What comes first. */
  public Optional<LocalDate> first() {
    return Stream.of(proof, battery).flatMap(Optional::stream).min(LocalDate::compareTo);
  }

  public boolean isOver(Optional<LocalDate> due) {
    return due.filter(date -> date.isBefore(day)).isPresent();
  }

  /** Whatever is over is to be watched; what it fails by, its own readings say. */
  public Verdict verdict() {
    return isOver(first()) ? Verdict.WATCH : Verdict.HOLDS;
  }
}
