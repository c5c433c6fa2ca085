package org.jexel.core.breakaway;

import java.util.List;
import java.util.Optional;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Harness;
import org.jexel.core.network.Fault;
import org.jexel.core.network.RigNetwork;
import org.jexel.core.network.RigState;
import org.jexel.core.quantity.Unit;
import org.jexel.core.rig.BreakawayKit;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;

/**
 * What a breakaway's battery loses to what it is joined to: by the solved network to a vehicle
 * whose starter turns, where no diode isolates it; and a house battery to what lights and pumps the
 * cabin.
 *
 * @param back current that flows out of it through the charge feed without a diode, A
 * @param kept the same with its diode, A
 * @param night holding time of a house battery after a night of lamps and a pump; empty for one of
 *     its own, on which nothing hangs
 */
public record SharedCharge(double back, double kept, Optional<HoldingTime> night) {
  /** A vehicle's battery while its starter turns, V. */
  private static final double STARTING_VOLTS = 9;

  /** Lamps and a pump of a cabin, left on from evening to morning. */
  public static final double NIGHT_AMPS = 3;

  public static final double NIGHT_HOURS = 10;

  /** Empty where no vehicle charges it. */
  public static Optional<SharedCharge> of(Rig rig, Harness harness, BreakawayLoad load) {
    BreakawayKit kit = rig.sheet().choice(RigField.PLANNED_BREAKAWAY, BreakawayKit.class);
    if (!kit.charged() || !harness.has(PinFunction.CHARGE)) {
      return Optional.empty();
    }
    Fault starter = Fault.of(Fault.Kind.LOW, RigNetwork.SUPPLY, STARTING_VOLTS);
    Fault noDiode = Fault.of(Fault.Kind.BYPASSED, RigNetwork.DIODE_BREAKAWAY);
    return Optional.of(
        new SharedCharge(
            flow(rig, harness, List.of(starter, noDiode)),
            flow(rig, harness, List.of(starter)),
            kit == BreakawayKit.HOUSE_BATTERY && load.amps() > 0
                ? Optional.of(afterTheNight(load))
                : Optional.empty()));
  }

  private static double flow(Rig rig, Harness harness, List<Fault> faults) {
    return Math.abs(
        RigNetwork.of(rig, harness, RigState.of(), faults)
            .network()
            .solve()
            .amps(RigNetwork.DIODE_BREAKAWAY));
  }

  private static HoldingTime afterTheNight(BreakawayLoad load) {
    BreakawayBattery battery = load.battery();
    double taken = NIGHT_AMPS * Unit.HOUR.toSi(NIGHT_HOURS);
    double left = Math.max(0, battery.share() * battery.capacity() - taken);
    return HoldingTime.of(left, load.amps(), HoldingTime.exponent(battery.chemistry()));
  }
}
