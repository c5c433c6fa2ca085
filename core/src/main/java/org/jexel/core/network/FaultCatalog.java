package org.jexel.core.network;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Duty;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.HarnessPlanner;
import org.jexel.core.harness.Joint;
import org.jexel.core.harness.LampLoad;
import org.jexel.core.harness.Load;
import org.jexel.core.harness.Span;
import org.jexel.core.rig.Rig;

/**
 * Every single fault that can occur on a rig, each at every place where it can, in words.
 *
 * <p>Returns come first, then contacts, joints, loads, chafed and exchanged conductors, supply and
 * controller: the order in which practice meets them.
 */
public final class FaultCatalog {
  /**
   * What a corroded contact loses of the volts at its own greatest current: twice what the drop
   * limits of lamps and brakes allow (below them it is none), usual, and bad. In ohms that is
   * little where brakes draw and much where a diode lamp does.
   */
  private static final double[] CORRODED = {0.1, 0.25, 0.5};

  private static final List<StateWord> STATES =
      List.of(
          StateWord.TAIL,
          StateWord.LEFT,
          StateWord.RIGHT,
          StateWord.STOP,
          StateWord.REVERSE,
          StateWord.LEVER);

  /**
   * @param fault the edit of the network
   * @param label in words, with its severity
   * @param weight how often practice meets it, against the others
   */
  public record Named(Fault fault, String label, double weight) {
    /** The label that all severities of one fault share. */
    public String family() {
      return label.replaceFirst(", loses [0-9]+ %", "");
    }
  }

  /** Less than a marker lamp draws is no current, A. */
  private static final double CARRIES = 0.01;

  private static final Pattern RAIL = Pattern.compile("rail_(left|right|middle)_(\\d+)");

  private final Harness harness;
  private final List<Solution> states;
  private final Set<String> parts;
  private final List<Named> faults = new ArrayList<>();
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

  public static List<Named> of(Rig rig, Harness harness) {
    FaultCatalog catalog = new FaultCatalog(rig, harness);
    catalog.weight = 10;
    catalog.returns();
    catalog.weight = 6;
    catalog.contacts();
    catalog.weight = 3;
    catalog.joints();
    catalog.weight = 4;
    catalog.loads();
    catalog.weight = 1.5;
    catalog.conductors();
    catalog.weight = 2;
    catalog.supply();
    return List.copyOf(catalog.faults);
  }

  /** Adds a fault if this rig has its part. */
  private void add(Fault fault, String label) {
    add(fault, label, weight);
  }

  private void add(Fault fault, String label, double weight) {
    boolean there =
        switch (fault.kind()) {
          case SHORT, BRIDGE -> true;
          case SIGNAL -> parts.contains(RigNetwork.CONTROLLER);
          case PULLED -> parts.contains(FaultEdit.BREAKAWAY_SWITCH);
          case EXCHANGED -> parts.contains(fault.part()) && parts.contains(fault.other());
          default -> parts.contains(fault.part());
        };
    if (there) {
      faults.add(new Named(fault, label, weight));
    }
  }

  private void returns() {
    for (Load load : harness.loads()) {
      String terminal = load.back();
      String label = "Return lost: " + load.label();
      if (load.lamp() && faults.stream().noneMatch(f -> f.label().equals(label))) {
        add(Fault.of(Fault.Kind.OPEN, "wire_" + terminal), label);
        add(Fault.of(Fault.Kind.OPEN, "screw_" + terminal.replaceFirst("^earth_", "")), label);
      }
      if (load.kind() == Load.Kind.MAGNET) {
        add(Fault.of(Fault.Kind.OPEN, "wire_" + terminal), label);
      }
    }
    add(Fault.of(Fault.Kind.OPEN, "wire_cord_earth"), "Earth broken in the cord");
    add(Fault.of(Fault.Kind.OPEN, "wire_sock_earth"), "Earth broken in the vehicle");
  }

  private void contacts() {
    for (Joint joint : harness.joints()) {
      if (joint.kind() == Joint.Kind.PIN) {
        String pin = joint.function().label() + " pin";
        add(Fault.of(Fault.Kind.OPEN, joint.name()), "No contact: " + pin);
        corroded(joint, "Corroded", ": " + pin);
      }
    }
  }

  private void joints() {
    for (Joint joint : harness.joints()) {
      boolean made = joint.kind() == Joint.Kind.SPLICE || joint.kind() == Joint.Kind.RING;
      if (made) {
        corroded(joint, "Corroded joint", ": " + joint.label() + ", " + end(joint));
      }
    }
  }

  /**
   * R = V/I · s / (1 − s) loses the share s of V where a resistive load draws I. One place is one
   * fault, however bad: its severities share its weight.
   */
  private void corroded(Joint joint, String what, String where) {
    for (double share : CORRODED) {
      double ohms = LampLoad.NOMINAL_VOLTS / amps(joint) * share / (1 - share);
      add(
          Fault.of(Fault.Kind.OHMS, joint.name(), ohms),
          "%s, loses %.0f %%%s".formatted(what, 100 * share, where),
          weight / CORRODED.length);
    }
  }

  /**
   * The greatest current of a joint in any one state; by design where no state makes it flow, A.
   */
  private double amps(Joint joint) {
    double most =
        states.stream()
            .filter(state -> state.network().has(joint.name()))
            .mapToDouble(state -> Math.abs(state.amps(joint.name())))
            .max()
            .orElse(0);
    return most > CARRIES ? most : Math.max(CARRIES, harness.amps(joint.function()));
  }

  /** Where a joint sits, out of its far node: {@code tail_rail_left_3620}, {@code box_earth}. */
  private static String end(Joint joint) {
    String place = joint.b().replaceFirst("_near$", "").replaceFirst("^[a-z0-9]+_", "");
    Matcher rail = RAIL.matcher(place);
    return rail.matches()
        ? "%s rail, %.2f m behind the ball"
            .formatted(rail.group(1), Double.parseDouble(rail.group(2)) / 1000)
        : place.replaceFirst("axle(\\d)", "axle $1").replace('_', ' ');
  }

  private void loads() {
    for (Load load : harness.loads()) {
      switch (load.kind()) {
        case FILAMENT, LED -> {
          String what = load.label() + ", " + load.function().label();
          add(Fault.of(Fault.Kind.OPEN, load.name()), "Burnt out: " + what);
          if (load.kind() == Load.Kind.LED) {
            add(Fault.of(Fault.Kind.REVERSED, load.name()), "Wrong way round: " + what);
          }
        }
        case MAGNET -> {
          add(Fault.of(Fault.Kind.OPEN, load.name()), "Open: " + load.label());
          add(Fault.of(Fault.Kind.DRAWS, load.name(), 3), "Shorted turns: " + load.label());
          add(Fault.of(Fault.Kind.DRAWS, load.name(), 0.6), "Weak: " + load.label());
        }
        case ACTUATOR -> add(Fault.of(Fault.Kind.OPEN, load.name()), "Open input: " + load.label());
        case CHARGE -> {
          // A battery has its own faults below; of an actuator's supply the wire is what fails.
        }
      }
    }
  }

  private void conductors() {
    List<Span> cord = harness.spans().stream().filter(span -> span.duty() == Duty.CORD).toList();
    for (Span span : cord) {
      PinFunction function = span.function();
      if (function != PinFunction.EARTH) {
        add(
            Fault.of(Fault.Kind.OPEN, "wire_" + span.to()),
            "Broken in the cord: " + function.label());
        add(
            Fault.of(Fault.Kind.SHORT, "box_" + HarnessPlanner.id(function)),
            "Chafed to the frame: " + function.label());
      }
    }
    for (int i = 0; i < cord.size(); i++) {
      for (int j = i + 1; j < cord.size(); j++) {
        Span one = cord.get(i);
        Span two = cord.get(j);
        String both = one.function().label() + " and " + two.function().label();
        add(
            Fault.between(Fault.Kind.EXCHANGED, "wire_" + one.to(), "wire_" + two.to()),
            "Exchanged at the box: " + both);
        if (one.function() != PinFunction.EARTH && two.function() != PinFunction.EARTH) {
          add(
              Fault.between(
                  Fault.Kind.BRIDGE,
                  "box_" + HarnessPlanner.id(one.function()),
                  "box_" + HarnessPlanner.id(two.function())),
              "Touch in the box: " + both);
        }
      }
    }
  }

  private void supply() {
    for (PinFunction function : PinFunction.values()) {
      String id = HarnessPlanner.id(function);
      add(Fault.of(Fault.Kind.OPEN, "fuse_" + id), "Fuse open: " + function.label());
    }
    add(Fault.of(Fault.Kind.OPEN, RigNetwork.CONTROLLER), "Controller dead");
    add(Fault.of(Fault.Kind.SIGNAL, ""), "Stop signal from the constant side");
    add(Fault.of(Fault.Kind.PULLED, ""), "Breakaway pin part-way out");
    add(Fault.of(Fault.Kind.REVERSED, "diode_breakaway"), "Isolating diode the wrong way round");
    add(Fault.of(Fault.Kind.BYPASSED, "diode_breakaway"), "Isolating diode missing");
    add(Fault.of(Fault.Kind.FLAT, "breakaway_battery"), "Breakaway battery flat");
    add(Fault.of(Fault.Kind.FLAT, RigNetwork.SUPPLY), "Vehicle battery flat");
  }
}
