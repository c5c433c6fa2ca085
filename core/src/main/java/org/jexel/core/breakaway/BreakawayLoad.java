package org.jexel.core.breakaway;

import java.util.Optional;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.Load;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;

/**
 * What the breakaway battery has to carry.
 *
 * @param amps all magnets at 12 V, A
 * @param holding how long a new battery holds them at 25 °C; empty without magnets
 */
public record BreakawayLoad(double amps, Optional<HoldingTime> holding) {
  private static final double BATTERY_VOLTS = 12;

  public static BreakawayLoad of(Rig rig, Harness harness) {
    double amps =
        harness.loads().stream()
            .filter(load -> load.kind() == Load.Kind.MAGNET)
            .mapToDouble(load -> BATTERY_VOLTS / load.ohms())
            .sum();
    double capacity = rig.sheet().si(RigField.BREAKAWAY_CAPACITY);
    return new BreakawayLoad(
        amps,
        amps > 0
            ? Optional.of(HoldingTime.of(capacity, amps, HoldingTime.LEAD_ACID))
            : Optional.empty());
  }
}
