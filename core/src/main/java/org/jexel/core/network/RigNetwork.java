package org.jexel.core.network;

import static org.jexel.core.harness.Harness.BATTERY_MINUS;

import java.util.List;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Contacts;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.Joint;
import org.jexel.core.harness.Load;
import org.jexel.core.harness.Nodes;
import org.jexel.core.harness.Protection;
import org.jexel.core.rig.Rig;

/**
 * The network of a rig with its harness, in one state and with any faults; each element with its
 * tolerance. The one place where rig + harness + state + faults become a network.
 *
 * <p>Faults are put into the whole rig first; then the state opens what is not switched on: lamp
 * switches, the controller, the breakaway switch, the pins of a plug that is out.
 *
 * <p>Tolerances at two standard deviations: magnets ±10 %, filament lamps ±15 %, LED ±30 %,
 * conductors ±3 %, contacts 0–4 × healthy, supply ±0.05 V when measured and ±3 % when assumed.
 *
 * @param network ready to solve
 * @param tolerances one for each uncertain element
 */
public record RigNetwork(Network network, List<Tolerance> tolerances) {
  public static final String SUPPLY = "battery";
  public static final String CONTROLLER = "controller";
  public static final String BENCH = "bench";
  public static final String BENCH_FUSE = "fuse_bench";

  /** The batteries on the trailer, and the diode that isolates the first. */
  static final String BREAKAWAY_BATTERY = "breakaway_battery";

  static final String HOUSE_BATTERY = "house_battery";
  public static final String DIODE_BREAKAWAY = "diode_breakaway";

  /** Test leads and clips of a bench supply, Ω, and their fuse, A. */
  private static final double LEAD_OHMS = 0.05;

  private static final double LEAST_BENCH_FUSE_AMPS = 10;

  /** Greasy ball and tyres: no return, but the trailer's metal never floats quite free, Ω. */
  private static final double COUPLING_OHMS = 1e6;

  /** The ball's metal, while the coupler is on it; what passes between them is a fault's affair. */
  static final String BALL = "on_ball";

  /** Of hitch and body from the ball to the battery, Ω. */
  static final double HITCH_OHMS = 0.01;

  /** At the connector's brake pin against its earth, trailer joined, V. */
  public static double atTheBrakePin(Readout solved) {
    return solved.volts(Nodes.socket(PinFunction.BRAKE), Nodes.socket(PinFunction.EARTH));
  }

  /** Rig and vehicle together, ground at the battery's minus post. */
  public static RigNetwork of(Rig rig, Harness harness, RigState state) {
    return of(rig, harness, state, List.of());
  }

  /**
   * @throws IllegalArgumentException if a fault names a part that this rig has not
   */
  public static RigNetwork of(Rig rig, Harness harness, RigState state, List<Fault> faults) {
    double output = output(state, faults);
    RigElements builder = new RigElements(rig, harness);
    builder.vehicle(state, output);
    builder.trailer();
    builder.breakaway();
    builder.put(new Element.Resistor("coupling", Harness.FRAME, BATTERY_MINUS, COUPLING_OHMS));
    if (!state.is(StateWord.LIFTED)) {
      builder.hitch();
    }
    builder.apply(faults);
    for (PinFunction function : PinFunction.values()) {
      if (!state.feeds(function, rig.connector())) {
        builder.remove(Nodes.switchOf(function));
      }
    }
    if (output == 0) {
      builder.remove(CONTROLLER);
      builder.remove(Load.ACTUATOR_SUPPLY);
    }
    if (!state.is(StateWord.BREAKAWAY)) {
      builder.remove(FaultEdit.BREAKAWAY_SWITCH);
    }
    if (state.is(StateWord.UNPLUGGED)) {
      harness.joints().stream()
          .filter(joint -> joint.kind() == Joint.Kind.PIN)
          .forEach(joint -> builder.remove(joint.name()));
    }
    return builder.build(BATTERY_MINUS);
  }

  /** Controller's output share, which a wrong stop signal makes another. */
  public static double output(RigState state, List<Fault> faults) {
    double leak =
        faults.stream()
            .filter(fault -> fault.kind() == Fault.Kind.SIGNAL)
            .mapToDouble(fault -> state.gain() * fault.amount())
            .max()
            .orElse(0);
    boolean deaf = faults.stream().anyMatch(f -> f.kind() == Fault.Kind.SIGNAL && f.amount() == 0);
    double asked = deaf ? state.byLever() : state.output();
    return Math.min(1, Math.max(asked, leak));
  }

  /** Every element of the rig, switched on or not. */
  public static Network whole(Rig rig, Harness harness) {
    RigElements builder = new RigElements(rig, harness);
    builder.vehicle(RigState.of(), 1);
    builder.trailer();
    builder.breakaway();
    builder.hitch();
    return builder.build(BATTERY_MINUS).network();
  }

  /** The trailer alone with nothing that feeds it, for an ohmmeter; ground at its earth pin. */
  public static RigNetwork dead(Rig rig, Harness harness) {
    RigElements builder = new RigElements(rig, harness);
    builder.trailer();
    builder.remove(Load.ACTUATOR_SUPPLY);
    return builder.build(Nodes.plug(PinFunction.EARTH));
  }

  /** Fuse of the lead from a bench supply to this pin: the least that carries what it feeds, A. */
  public static double benchFuse(Harness harness, PinFunction function) {
    return Math.max(LEAST_BENCH_FUSE_AMPS, Protection.leastFor(harness.amps(function)));
  }

  /**
   * The trailer alone, fed on one pin of its plug from a bench supply through a fused lead.
   *
   * @param volts of the supply
   */
  public static RigNetwork onTheBench(
      Rig rig, Harness harness, PinFunction function, double volts, List<Fault> faults) {
    String pin = Nodes.plug(function);
    String earth = Nodes.plug(PinFunction.EARTH);
    RigElements builder = new RigElements(rig, harness);
    builder.trailer();
    builder.breakaway();
    builder.put(new Element.Source(BENCH, "bench_pos", earth, volts, LEAD_OHMS));
    builder.put(
        new Fuse(
            BENCH_FUSE, "bench_pos", pin, Contacts.FUSE_HOLDER_OHMS, benchFuse(harness, function)));
    builder.apply(faults);
    if (function != PinFunction.BRAKE) {
      builder.remove(Load.ACTUATOR_SUPPLY);
    }
    builder.remove(FaultEdit.BREAKAWAY_SWITCH);
    return builder.build(earth);
  }
}
