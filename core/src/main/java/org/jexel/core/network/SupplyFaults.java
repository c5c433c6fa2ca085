package org.jexel.core.network;

import java.util.List;
import java.util.function.DoubleUnaryOperator;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.Nodes;
import org.jexel.core.network.FaultFamily.OfConductors;
import org.jexel.core.network.FaultFamily.OfNode;
import org.jexel.core.network.FaultFamily.Trouble;

/**
 * Faults of what feeds the trailer: fuses, switches and runs of the vehicle, its controller, the
 * batteries and the breakaway.
 */
final class SupplyFaults {
  /** What a battery may be down to, V. */
  private static final double[] FLAT_VOLTS = {11.5, 10.6, 9.6, 8.6, 7.4, 6};

  /** What six cells show at rest when they are discharged, or when one of them is dead, V. */
  private static final double ONE_CELL_DEAD = 10.6;

  /** What each further cell takes, V, and how much seldomer it is met. */
  private static final double OF_A_CELL = 2;

  private static final double SELDOMER = 4;

  /** How far a breakaway pin is out, Ω. */
  private static final double[] PULLED_OHMS = {0.1, 0.2, 0.4, 0.8, 1.6, 3.2, 6.4};

  private final Harness harness;
  private final FaultList list;

  private SupplyFaults(Harness harness, FaultList list) {
    this.harness = harness;
    this.list = list;
  }

  /** Adds them; what corrodes is met more often than what is off, and that as often as a fuse. */
  static void add(Harness harness, FaultList list) {
    SupplyFaults faults = new SupplyFaults(harness, list);
    list.weigh(2);
    faults.supply();
    faults.broken();
    list.weigh(4);
    faults.poor();
  }

  /** Discharged and sound in itself, or worn as well. */
  private void flat(String battery, Trouble discharged, Trouble worn) {
    DoubleUnaryOperator met = SupplyFaults::downTo;
    list.graded(Fault.Kind.LOW, battery, FLAT_VOLTS, met, FaultFamily.of(discharged));
    list.graded(Fault.Kind.FLAT, battery, FLAT_VOLTS, met, FaultFamily.of(worn));
  }

  /** How often a battery is met so far down, against one that is discharged. */
  private static double downTo(double volts) {
    return Math.pow(SELDOMER, Math.min(0, (volts - ONE_CELL_DEAD) / OF_A_CELL));
  }

  /** Feeds from the battery to the socket, and the battery's own posts, that carry badly. */
  private void poor() {
    for (PinFunction function : PinFunction.values()) {
      if (function != PinFunction.EARTH && harness.has(function)) {
        list.corroded(
            Nodes.wire(Nodes.socket(function)),
            function,
            new FaultFamily(Trouble.POOR_FEED_IN_VEHICLE, OfConductors.of(function)));
        // Ahead of the vehicle's own lamps, which dim with the trailer's.
        list.corroded(
            Nodes.switchOf(function),
            function,
            new FaultFamily(Trouble.POOR_SWITCH, OfConductors.of(function)));
      }
    }
    if (harness.has(PinFunction.BRAKE)) {
      // The controller lies between two runs of one feed.
      FaultFamily before =
          new FaultFamily(Trouble.POOR_FEED_IN_VEHICLE, new OfNode(Harness.CONTROLLER_IN));
      list.corroded(Nodes.wire(Harness.CONTROLLER_IN), PinFunction.BRAKE, before);
    }
    list.corroded(RigNetwork.SUPPLY, PinFunction.BRAKE, FaultFamily.of(Trouble.POOR_BATTERY_POST));
  }

  /** The same, broken or off. */
  private void broken() {
    for (PinFunction function : PinFunction.values()) {
      boolean lamps = function != PinFunction.EARTH && function != PinFunction.BRAKE;
      if (lamps && harness.has(function)) {
        off(Nodes.socket(function), OfConductors.of(function));
      }
    }
    if (harness.has(PinFunction.BRAKE)) {
      for (String end : List.of(Harness.CONTROLLER_IN, Nodes.socket(PinFunction.BRAKE))) {
        off(end, new OfNode(end));
      }
    }
    list.add(Fault.of(Fault.Kind.OHMS, RigNetwork.SUPPLY, 1e9), Trouble.POOR_BATTERY_POST);
  }

  private void off(String node, FaultFamily.Place place) {
    list.add(Fault.of(Fault.Kind.OPEN, Nodes.wire(node)), Trouble.FEED_BROKEN_IN_VEHICLE, place);
  }

  private void supply() {
    for (PinFunction function : PinFunction.values()) {
      list.add(
          Fault.of(Fault.Kind.OPEN, Nodes.fuse(function)),
          Trouble.FUSE_OPEN,
          OfConductors.of(function));
    }
    list.add(Fault.of(Fault.Kind.OPEN, RigNetwork.CONTROLLER), Trouble.CONTROLLER_DEAD);
    list.add(Fault.of(Fault.Kind.SIGNAL, ""), Trouble.SIGNAL_CONSTANT);
    list.add(Fault.of(Fault.Kind.SIGNAL, "", 0), Trouble.NO_SIGNAL);
    list.graded(Fault.Kind.PULLED, "", PULLED_OHMS, FaultFamily.of(Trouble.PIN_PART_WAY_OUT));
    list.add(Fault.of(Fault.Kind.REVERSED, RigNetwork.DIODE_BREAKAWAY), Trouble.DIODE_REVERSED);
    list.add(Fault.of(Fault.Kind.BYPASSED, RigNetwork.DIODE_BREAKAWAY), Trouble.DIODE_MISSING);
    // Nobody looks at the one in the box for years.
    list.weigh(12);
    flat(
        RigNetwork.BREAKAWAY_BATTERY,
        Trouble.BREAKAWAY_BATTERY_FLAT,
        Trouble.BREAKAWAY_BATTERY_WORN);
    list.weigh(4);
    flat(RigNetwork.HOUSE_BATTERY, Trouble.HOUSE_BATTERY_FLAT, Trouble.HOUSE_BATTERY_WORN);
    list.weigh(2);
    flat(RigNetwork.SUPPLY, Trouble.VEHICLE_BATTERY_FLAT, Trouble.VEHICLE_BATTERY_WORN);
  }
}
