package org.jexel.app.breakaway;

import java.util.Optional;
import org.jexel.app.job.JobFile;
import org.jexel.core.breakaway.HoldingTime;
import org.jexel.core.harness.Load;
import org.jexel.core.rig.RigField;

/**
 * What can be said of the breakaway from the rig.
 *
 * @param amps all magnets at 12 V, A
 * @param holding how long a new battery holds them at 25 °C; empty without magnets
 */
public record BreakawayFacts(double amps, Optional<HoldingTime> holding) {
  private static final double BATTERY_VOLTS = 12;

  public static BreakawayFacts of(JobFile file) {
    double amps =
        file.harness().loads().stream()
            .filter(load -> load.kind() == Load.Kind.MAGNET)
            .mapToDouble(load -> BATTERY_VOLTS / load.ohms())
            .sum();
    double capacity = file.rig().sheet().si(RigField.BREAKAWAY_CAPACITY);
    return new BreakawayFacts(
        amps,
        amps > 0
            ? Optional.of(HoldingTime.of(capacity, amps, HoldingTime.LEAD_ACID))
            : Optional.empty());
  }
}
