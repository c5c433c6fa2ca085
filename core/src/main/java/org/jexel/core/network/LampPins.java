package org.jexel.core.network;

import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Contacts;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.LampLoad;
import org.jexel.core.harness.Nodes;
import org.jexel.core.harness.Protection;
import org.jexel.core.rig.LampFeed;

/**
 * How a vehicle feeds a lamp pin of its socket. Directly, its own bulbs hang on the same node: they
 * load the circuit, and while it is off they are a path to earth for whatever comes back over the
 * pin. A module's output goes one way: it loses 0.3 V and 50 mΩ while it is on, shows above 100 kΩ
 * to earth while it is off, and gives 6 to 8 A at most.
 *
 * @param feed of the vehicle
 */
public record LampPins(LampFeed feed) {
  /** Forward volts of a module's output stage, and how far another maker's may be off. */
  static final double MODULE_VOLTS = 0.3;

  static final double MODULE_VOLTS_OFF = 0.15;

  private static final double MODULE_OHMS = 0.050;
  private static final double MODULE_OFF_OHMS = 100e3;

  /** A module shuts its output at 1.35 of this: 6.75 A. */
  private static final double MODULE_AMPS = 5;

  /** A vehicle's own lamp circuit is fused with this at least. */
  private static final double LEAST_FUSE_AMPS = 10;

  /** Tail lamps, four at the rear and two at the front, 5 W each; stop and turn 21 W a side. */
  private static final double TAIL_WATTS = 6 * 5;

  private static final double SIDE_WATTS = 21;

  /** Amperes at 12.8 V of the vehicle's own lamps on this circuit. */
  private static double amps(PinFunction function) {
    double watts =
        switch (function) {
          case TAIL -> TAIL_WATTS;
          case LEFT, RIGHT, REVERSE -> SIDE_WATTS;
          case STOP -> 2 * SIDE_WATTS;
          default -> 0;
        };
    return watts / LampLoad.NOMINAL_VOLTS;
  }

  /**
   * @param trailer what the trailer draws from this pin, A
   * @param planned fuse of the harness, A
   */
  double fuse(PinFunction function, double trailer, double planned) {
    return feed.sharesBulbs()
        ? Math.max(LEAST_FUSE_AMPS, Protection.leastFor(trailer + amps(function)))
        : Math.min(MODULE_AMPS, planned);
  }

  /** Of what switches a circuit, Ω: a contact, or a module's output stage with it. */
  double switchOhms() {
    return Contacts.SWITCH_OHMS + (feed.sharesBulbs() ? 0 : MODULE_OHMS);
  }

  /** The output stage that lets nothing back; there where the vehicle has a module. */
  static String output(PinFunction function) {
    return "out_" + Nodes.id(function);
  }

  /** From the fuse to the node that the socket's conductor begins at. */
  void feed(RigElements rig, PinFunction function) {
    String out = Nodes.switched(function);
    String name = Nodes.switchOf(function);
    if (feed.sharesBulbs()) {
      rig.put(new Element.Resistor(name, Nodes.fused(function), out, switchOhms()));
      rig.put(
          new Filament(
              own(function), out, Harness.BATTERY_MINUS, amps(function), LampLoad.NOMINAL_VOLTS));
    } else {
      String in = Nodes.module(function);
      rig.put(new Element.Resistor(name, Nodes.fused(function), in, switchOhms()));
      rig.put(new Diode(output(function), in, out, MODULE_VOLTS));
      rig.put(
          new Element.Resistor(
              "off_" + Nodes.id(function), out, Harness.BATTERY_MINUS, MODULE_OFF_OHMS));
    }
  }

  /** The vehicle's own lamps on a circuit, all as one. */
  public static String own(PinFunction function) {
    return "own_" + Nodes.id(function);
  }
}
