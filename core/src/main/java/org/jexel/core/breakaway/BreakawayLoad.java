package org.jexel.core.breakaway;

import java.util.Optional;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.Load;
import org.jexel.core.quantity.Figure;
import org.jexel.core.quantity.Unit;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.BreakawayKit;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;

/**
 * What the breakaway battery has to carry, and what age and cold leave of it.
 *
 * @param amps all magnets at 12 V, or what an actuator's pump takes on average while it holds, A
 * @param pump whether it is an actuator's pump
 * @param share of the capacity that is left; as of a new one while the age is not known
 * @param ageKnown whether somebody read how old it is
 * @param holding how long it holds them; empty without electric brakes, and where no kit is there
 */
public record BreakawayLoad(
    double amps, boolean pump, double share, boolean ageKnown, Optional<HoldingTime> holding) {
  private static final double BATTERY_VOLTS = 12;

  /**
   * Share of the time that a pump runs to hold its pressure: a starting value, the maker's sheet of
   * the actuator replaces it.
   */
  private static final double PUMP_RUNS = 0.25;

  public static BreakawayLoad of(Rig rig, Harness harness) {
    double amps =
        harness.loads().stream()
            .filter(load -> load.kind() == Load.Kind.MAGNET)
            .mapToDouble(load -> BATTERY_VOLTS / load.ohms())
            .sum();
    boolean pump = rig.hasElectricBrakes() && !rig.hasMagnets();
    if (pump) {
      amps = PUMP_RUNS * rig.sheet().si(RigField.CHARGE_AMPS);
    }
    Figure age = rig.sheet().figure(RigField.BREAKAWAY_AGE);
    boolean known = Double.isFinite(age.si());
    double share =
        HoldingTime.derating(
            known ? Unit.YEAR.fromSi(age.si()) : 0,
            Unit.CELSIUS.fromSi(rig.sheet().si(RigField.BREAKAWAY_COLD)));
    boolean none =
        rig.sheet().choice(RigField.BREAKAWAY_KIT, BreakawayKit.class) == BreakawayKit.NONE;
    double left = share * rig.sheet().si(RigField.BREAKAWAY_CAPACITY);
    return new BreakawayLoad(
        amps,
        pump,
        share,
        known,
        amps > 0 && !none
            ? Optional.of(HoldingTime.of(left, amps, HoldingTime.LEAD_ACID))
            : Optional.empty());
  }

  /** One whose age nobody knows may be worn, and how long a pump runs is a guess: neither holds. */
  public Optional<Verdict> verdict() {
    boolean known = ageKnown && !pump;
    return holding.map(time -> known ? time.verdict() : time.verdict().and(Verdict.WATCH));
  }
}
