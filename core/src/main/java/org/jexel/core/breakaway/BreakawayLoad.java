package org.jexel.core.breakaway;

import java.time.LocalDate;
import java.util.Optional;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.Load;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.BreakawayKit;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;

/**
 * What the breakaway battery has to carry, and for how long it does.
 *
 * @param amps all magnets at 12 V, or what an actuator's pump takes on average while it holds, A
 * @param pump whether it is an actuator's pump
 * @param battery that is there or planned
 * @param holding how long it holds them; empty without electric brakes, and where no kit is there
 */
public record BreakawayLoad(
    double amps, boolean pump, BreakawayBattery battery, Optional<HoldingTime> holding) {
  private static final double BATTERY_VOLTS = 12;

  /**
   * Share of the time that a pump runs to hold its pressure: a starting value, the maker's sheet of
   * the actuator replaces it.
   */
  private static final double PUMP_RUNS = 0.25;

  /**
   * @param day on which it is asked
   */
  public static BreakawayLoad of(Rig rig, Harness harness, LocalDate day) {
    double amps =
        harness.loads().stream()
            .filter(load -> load.kind() == Load.Kind.MAGNET)
            .mapToDouble(load -> BATTERY_VOLTS / load.ohms())
            .sum();
    boolean pump = rig.hasElectricBrakes() && !rig.hasMagnets();
    if (pump) {
      amps = PUMP_RUNS * rig.sheet().si(RigField.CHARGE_AMPS);
    }
    BreakawayBattery battery = BreakawayBattery.of(rig.sheet(), day);
    boolean none =
        rig.sheet().choice(RigField.BREAKAWAY_KIT, BreakawayKit.class) == BreakawayKit.NONE;
    return new BreakawayLoad(
        amps,
        pump,
        battery,
        amps > 0 && !none ? Optional.of(battery.holding(amps)) : Optional.empty());
  }

  /** One whose age nobody knows may be worn, and how long a pump runs is a guess: neither holds. */
  public Optional<Verdict> verdict() {
    boolean known = battery.ageKnown() && !pump;
    return holding.map(time -> known ? time.verdict() : time.verdict().and(Verdict.WATCH));
  }
}
