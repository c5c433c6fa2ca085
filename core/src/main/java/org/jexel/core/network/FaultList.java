package org.jexel.core.network;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.LampLoad;
import org.jexel.core.network.FaultFamily.Place;
import org.jexel.core.network.FaultFamily.Trouble;
import org.jexel.core.rig.Rig;

/**
 * Collects the faults of one rig: whether it has the part, how bad each can be, and how often it is
 * met. Weights are relative to each other.
 */
final class FaultList {
  /**
   * What a corroded contact loses of the volts at its own greatest current: from twice what the
   * drop limits of lamps and brakes allow (below them it is none) to nearly all, each about four
   * times the ohms of the one before, so that no severity lies between two. In ohms that is little
   * where brakes draw and much where a diode lamp does.
   */
  private static final double[] CORRODED = {0.1, 0.3, 0.63, 0.88};

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

  FaultList(Rig rig, Harness harness) {
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

  /** How often what is added from now on is met. */
  void weigh(double weight) {
    this.weight = weight;
  }

  List<KnownFault> faults() {
    return List.copyOf(faults);
  }

  /** Adds a fault if this rig has its part. */
  void add(Fault fault, Trouble trouble, Place place) {
    add(fault, new FaultFamily(trouble, place), OptionalDouble.empty(), weight);
  }

  void add(Fault fault, Trouble trouble) {
    add(fault, FaultFamily.of(trouble), OptionalDouble.empty(), weight);
  }

  /** One place is one fault, however bad: its severities share its weight. */
  void graded(Fault.Kind kind, String part, double[] amounts, FaultFamily family) {
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

  /**
   * R = V/I · s / (1 − s) loses the share s of V where a resistive load draws I. One place is one
   * fault, however bad: its severities share its weight.
   */
  void corroded(String element, PinFunction function, FaultFamily family) {
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
}
