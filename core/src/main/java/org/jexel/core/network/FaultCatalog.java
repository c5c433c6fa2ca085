package org.jexel.core.network;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Duty;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.Joint;
import org.jexel.core.harness.LampLoad;
import org.jexel.core.harness.Load;
import org.jexel.core.harness.Nodes;
import org.jexel.core.harness.Span;
import org.jexel.core.network.FaultFamily.AlongRun;
import org.jexel.core.network.FaultFamily.AtJoint;
import org.jexel.core.network.FaultFamily.AtPin;
import org.jexel.core.network.FaultFamily.OfConductors;
import org.jexel.core.network.FaultFamily.OfLamp;
import org.jexel.core.network.FaultFamily.OfLoad;
import org.jexel.core.network.FaultFamily.OfNode;
import org.jexel.core.network.FaultFamily.Place;
import org.jexel.core.network.FaultFamily.Trouble;
import org.jexel.core.rig.Lamp;
import org.jexel.core.rig.Rig;

/**
 * Every single fault that can occur on a rig, each at every place where it can.
 *
 * <p>Returns come first, then contacts, joints, loads, chafed and exchanged conductors, supply and
 * controller: the order in which practice meets them.
 */
public final class FaultCatalog {
  /**
   * What a corroded contact loses of the volts at its own greatest current: from twice what the
   * drop limits of lamps and brakes allow (below them it is none) to nearly all, each about four
   * times the ohms of the one before, so that no severity lies between two. In ohms that is little
   * where brakes draw and much where a diode lamp does.
   */
  private static final double[] CORRODED = {0.1, 0.3, 0.63, 0.88};

  /** What a battery may be down to, V. */
  private static final double[] FLAT_VOLTS = {11.5, 10.6, 9.6, 8.6, 7.4, 6};

  /** How far a breakaway pin is out, Ω. */
  private static final double[] PULLED_OHMS = {0.1, 0.4, 1.5, 5};

  /** Currents of a magnet against a sound one's. */
  private static final double[] SHORTED = {1.6, 2.4, 4};

  private static final double[] WEAK = {0.7, 0.4};

  /** A lamp of half the watts, or twice. */
  private static final double[] WRONG_WATTS = {0.5, 2};

  /** Of bare copper on metal, Ω. */
  private static final double[] TOUCHING = {0.03, 0.13, 0.5};

  private static final List<StateWord> STATES =
      List.of(
          StateWord.TAIL,
          StateWord.LEFT,
          StateWord.RIGHT,
          StateWord.STOP,
          StateWord.REVERSE,
          StateWord.LEVER);

  /** Less than a marker lamp draws is no current, A. */
  private static final double CARRIES_AMPS = 0.01;

  private final Harness harness;
  private final List<Solution> states;
  private final Set<String> parts;
  private final List<KnownFault> faults = new ArrayList<>();
  private double weight;

  private FaultCatalog(Rig rig, Harness harness) {
    this.harness = harness;
    this.states =
        STATES.stream()
            .map(word -> RigNetwork.of(rig, harness, RigState.of(word)).network().solve())
            .toList();
    this.parts =
        RigNetwork.whole(rig, harness).elements().stream()
            .map(Element::name)
            .collect(Collectors.toSet());
  }

  public static List<KnownFault> of(Rig rig, Harness harness) {
    FaultCatalog catalog = new FaultCatalog(rig, harness);
    catalog.weight = 10;
    catalog.returns();
    catalog.vehiclesEarth();
    catalog.weight = 6;
    catalog.contacts();
    catalog.weight = 3;
    catalog.joints();
    catalog.screws();
    catalog.runs();
    catalog.weight = 4;
    catalog.loads();
    catalog.weight = 1.5;
    catalog.conductors();
    catalog.weight = 2;
    catalog.supply();
    catalog.vehicle();
    return List.copyOf(catalog.faults);
  }

  /** Adds a fault if this rig has its part. */
  private void add(Fault fault, Trouble trouble, Place place) {
    add(fault, new FaultFamily(trouble, place), OptionalDouble.empty(), weight);
  }

  private void add(Fault fault, Trouble trouble) {
    add(fault, FaultFamily.of(trouble), OptionalDouble.empty(), weight);
  }

  /** One place is one fault, however bad: its severities share its weight. */
  private void graded(Fault.Kind kind, String part, double[] amounts, FaultFamily family) {
    for (double amount : amounts) {
      add(Fault.of(kind, part, amount), family, OptionalDouble.empty(), weight / amounts.length);
    }
  }

  private void add(Fault fault, FaultFamily family, OptionalDouble loses, double weight) {
    boolean there =
        switch (fault.kind()) {
          case SHORT, BRIDGE -> true;
          case SIGNAL -> parts.contains(RigNetwork.CONTROLLER);
          case PULLED -> parts.contains(FaultEdit.BREAKAWAY_SWITCH);
          case EXCHANGED -> parts.contains(fault.part()) && parts.contains(fault.other());
          default -> parts.contains(fault.part());
        };
    if (there) {
      faults.add(new KnownFault(fault, family, loses, weight));
    }
  }

  private void returns() {
    Set<String> told = new HashSet<>();
    for (Load load : harness.loads()) {
      Fault wire = Fault.of(Fault.Kind.OPEN, Nodes.wire(load.back()));
      if (load.lamp() && told.add(load.back())) {
        Lamp lamp = load.spot().lamp().orElseThrow();
        add(wire, Trouble.RETURN_LOST, OfLoad.of(load));
        add(
            Fault.of(Fault.Kind.OPEN, Nodes.screw(lamp.node())),
            Trouble.RETURN_LOST,
            OfLoad.of(load));
      }
      if (load.kind() == Load.Kind.MAGNET) {
        add(wire, Trouble.RETURN_LOST, OfLoad.of(load));
      }
    }
    add(Fault.of(Fault.Kind.OPEN, Nodes.core(PinFunction.EARTH)), Trouble.EARTH_BROKEN_IN_CORD);
    add(
        Fault.of(Fault.Kind.OPEN, Nodes.wire(Nodes.socket(PinFunction.EARTH))),
        Trouble.EARTH_BROKEN_IN_VEHICLE);
  }

  private void vehiclesEarth() {
    String way = Nodes.wire(Nodes.socket(PinFunction.EARTH));
    corroded(way, PinFunction.EARTH, FaultFamily.of(Trouble.POOR_EARTH_IN_VEHICLE));
  }

  private void contacts() {
    for (Joint joint : harness.joints()) {
      if (joint.kind() == Joint.Kind.PIN) {
        Place pin = new AtPin(joint.function());
        add(Fault.of(Fault.Kind.OPEN, joint.name()), Trouble.NO_CONTACT, pin);
        corroded(joint.name(), joint.function(), new FaultFamily(Trouble.CORRODED, pin));
      }
    }
  }

  private void joints() {
    for (Joint joint : harness.joints()) {
      boolean made = joint.kind() == Joint.Kind.SPLICE || joint.kind() == Joint.Kind.RING;
      if (made) {
        corroded(
            joint.name(),
            joint.function(),
            new FaultFamily(Trouble.CORRODED_JOINT, new AtJoint(joint)));
      }
    }
  }

  /** Lamps that return through their own screws, and the box's own. */
  private void screws() {
    Set<String> ofLamps =
        harness.loads().stream()
            .flatMap(load -> load.spot().lamp().stream())
            .map(lamp -> Nodes.screw(lamp.node()))
            .collect(Collectors.toSet());
    for (Joint joint : harness.joints()) {
      if (joint.kind() == Joint.Kind.SCREW) {
        corroded(
            joint.name(),
            PinFunction.EARTH,
            new FaultFamily(Trouble.POOR_SCREW, new AtJoint(joint)));
        if (!ofLamps.contains(joint.name())) {
          add(Fault.of(Fault.Kind.OPEN, joint.name()), Trouble.RUN_BROKEN, new AtJoint(joint));
        }
      }
    }
  }

  /** Each run with the joint that it begins at: off or broken, or chafed to the frame. */
  private void runs() {
    Set<String> told =
        harness.loads().stream().map(load -> Nodes.joint(load.back())).collect(Collectors.toSet());
    for (Joint joint : harness.joints()) {
      boolean made = joint.kind() == Joint.Kind.SPLICE || joint.kind() == Joint.Kind.RING;
      if (made && joint.duty() != Duty.CORD && !told.contains(joint.name())) {
        add(Fault.of(Fault.Kind.OPEN, joint.name()), Trouble.RUN_BROKEN, new AtJoint(joint));
      }
    }
    weight = 1;
    for (Span span : harness.spans()) {
      boolean trailer = span.duty() != Duty.VEHICLE && span.duty() != Duty.CORD;
      if (trailer && span.function() != PinFunction.EARTH) {
        graded(
            Fault.Kind.SHORT,
            span.to(),
            TOUCHING,
            new FaultFamily(Trouble.RUN_CHAFED, new AlongRun(span)));
      }
      if (span.duty() == Duty.BREAKAWAY) {
        add(
            Fault.of(Fault.Kind.OPEN, Nodes.wire(span.to())),
            Trouble.RUN_BROKEN,
            new AlongRun(span));
      }
    }
  }

  /** Discharged and sound in itself, or worn as well. */
  private void flat(String battery, Trouble discharged, Trouble worn) {
    graded(Fault.Kind.LOW, battery, FLAT_VOLTS, FaultFamily.of(discharged));
    graded(Fault.Kind.FLAT, battery, FLAT_VOLTS, FaultFamily.of(worn));
  }

  /** Feeds from the battery to the socket, and the battery's own posts. */
  private void vehicle() {
    for (PinFunction function : PinFunction.values()) {
      if (function != PinFunction.EARTH && harness.has(function)) {
        corroded(
            Nodes.wire(Nodes.socket(function)),
            function,
            new FaultFamily(Trouble.POOR_FEED_IN_VEHICLE, OfConductors.of(function)));
      }
    }
    if (harness.has(PinFunction.BRAKE)) {
      // The controller lies between two runs of one feed.
      FaultFamily poor =
          new FaultFamily(Trouble.POOR_FEED_IN_VEHICLE, new OfNode(Harness.CONTROLLER_IN));
      corroded(Nodes.wire(Harness.CONTROLLER_IN), PinFunction.BRAKE, poor);
      for (String end : List.of(Harness.CONTROLLER_IN, Nodes.socket(PinFunction.BRAKE))) {
        add(
            Fault.of(Fault.Kind.OPEN, Nodes.wire(end)),
            Trouble.FEED_BROKEN_IN_VEHICLE,
            new OfNode(end));
      }
    }
    corroded(RigNetwork.SUPPLY, PinFunction.BRAKE, FaultFamily.of(Trouble.POOR_BATTERY_POST));
    add(Fault.of(Fault.Kind.OHMS, RigNetwork.SUPPLY, 1e9), Trouble.POOR_BATTERY_POST);
  }

  /**
   * R = V/I · s / (1 − s) loses the share s of V where a resistive load draws I. One place is one
   * fault, however bad: its severities share its weight.
   */
  private void corroded(String element, PinFunction function, FaultFamily family) {
    for (double share : CORRODED) {
      double ohms = LampLoad.NOMINAL_VOLTS / amps(element, function) * share / (1 - share);
      add(
          Fault.of(Fault.Kind.OHMS, element, ohms),
          family,
          OptionalDouble.of(share),
          weight / CORRODED.length);
    }
  }

  /**
   * The greatest current of a conductor or joint in any one state; by design where no state makes
   * it flow, A.
   */
  private double amps(String element, PinFunction function) {
    double most =
        states.stream()
            .filter(state -> state.network().has(element))
            .mapToDouble(state -> Math.abs(state.amps(element)))
            .max()
            .orElse(0);
    return most > CARRIES_AMPS ? most : Math.max(CARRIES_AMPS, harness.amps(function));
  }

  private void loads() {
    for (Load load : harness.loads()) {
      switch (load.kind()) {
        case FILAMENT, LED -> {
          add(Fault.of(Fault.Kind.OPEN, load.name()), Trouble.BURNT_OUT, OfLamp.of(load));
          if (load.kind() == Load.Kind.LED) {
            add(
                Fault.of(Fault.Kind.REVERSED, load.name()),
                Trouble.WRONG_WAY_ROUND,
                OfLamp.of(load));
          }
          graded(
              Fault.Kind.DRAWS,
              load.name(),
              WRONG_WATTS,
              new FaultFamily(Trouble.WRONG_LAMP, OfLamp.of(load)));
        }
        case MAGNET -> {
          Place magnet = OfLoad.of(load);
          add(Fault.of(Fault.Kind.OPEN, load.name()), Trouble.OPEN, magnet);
          graded(
              Fault.Kind.DRAWS,
              load.name(),
              SHORTED,
              new FaultFamily(Trouble.SHORTED_TURNS, magnet));
          graded(Fault.Kind.DRAWS, load.name(), WEAK, new FaultFamily(Trouble.WEAK, magnet));
        }
        case ACTUATOR ->
            add(Fault.of(Fault.Kind.OPEN, load.name()), Trouble.OPEN_INPUT, OfLoad.of(load));
        case CHARGE -> {
          // A battery has its own faults below; of an actuator's supply the wire is what fails.
        }
      }
    }
  }

  private void conductors() {
    List<PinFunction> cores =
        harness.spans().stream()
            .filter(span -> span.duty() == Duty.CORD)
            .map(Span::function)
            .toList();
    for (PinFunction core : cores) {
      if (core != PinFunction.EARTH) {
        Place one = OfConductors.of(core);
        add(Fault.of(Fault.Kind.OPEN, Nodes.core(core)), Trouble.BROKEN_IN_CORD, one);
        graded(Fault.Kind.SHORT, Nodes.box(core), TOUCHING, new FaultFamily(Trouble.CHAFED, one));
      }
    }
    for (int i = 0; i < cores.size(); i++) {
      for (int j = i + 1; j < cores.size(); j++) {
        PinFunction one = cores.get(i);
        PinFunction two = cores.get(j);
        Place both = OfConductors.of(one, two);
        add(
            Fault.between(Fault.Kind.EXCHANGED, Nodes.core(one), Nodes.core(two)),
            Trouble.EXCHANGED,
            both);
        if (one != PinFunction.EARTH && two != PinFunction.EARTH) {
          add(
              Fault.between(Fault.Kind.BRIDGE, Nodes.box(one), Nodes.box(two)),
              Trouble.TOUCH,
              both);
          add(
              Fault.between(Fault.Kind.BRIDGE, Nodes.socket(one), Nodes.socket(two)),
              Trouble.TOUCH_AT_SOCKET,
              both);
        }
      }
    }
  }

  private void supply() {
    for (PinFunction function : PinFunction.values()) {
      add(
          Fault.of(Fault.Kind.OPEN, Nodes.fuse(function)),
          Trouble.FUSE_OPEN,
          OfConductors.of(function));
    }
    add(Fault.of(Fault.Kind.OPEN, RigNetwork.CONTROLLER), Trouble.CONTROLLER_DEAD);
    add(Fault.of(Fault.Kind.SIGNAL, ""), Trouble.SIGNAL_CONSTANT);
    graded(Fault.Kind.PULLED, "", PULLED_OHMS, FaultFamily.of(Trouble.PIN_PART_WAY_OUT));
    add(Fault.of(Fault.Kind.REVERSED, RigNetwork.DIODE_BREAKAWAY), Trouble.DIODE_REVERSED);
    add(Fault.of(Fault.Kind.BYPASSED, RigNetwork.DIODE_BREAKAWAY), Trouble.DIODE_MISSING);
    flat(
        RigNetwork.BREAKAWAY_BATTERY,
        Trouble.BREAKAWAY_BATTERY_FLAT,
        Trouble.BREAKAWAY_BATTERY_WORN);
    flat(RigNetwork.SUPPLY, Trouble.VEHICLE_BATTERY_FLAT, Trouble.VEHICLE_BATTERY_WORN);
  }
}
