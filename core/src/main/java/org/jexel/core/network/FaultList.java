package org.jexel.core.network;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.Collectors;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Duty;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.LampLoad;
import org.jexel.core.harness.Nodes;
import org.jexel.core.harness.Span;
import org.jexel.core.network.FaultFamily.Place;
import org.jexel.core.network.FaultFamily.Trouble;
import org.jexel.core.rig.Rig;

/**
 * Collects the faults of one rig: whether it has the part, how bad each can be, and how often it is
 * met. Weights are relative to each other.
 */
final class FaultList {
  /**
   * What a corroded contact loses of the volts at its own greatest current: from what a reading at
   * the lamp or the magnet shows, well before the drop limits, to nearly all. In ohms that is
   * little where brakes draw and much where a diode lamp does.
   */
  private static final double LEAST_LOSS = 0.016;

  private static final double LEAST_LOSS_OF_BRAKES = 0.05;

  private static final double GREATEST_LOSS = 0.9;

  /**
   * An ohmmeter tells ohms that leave a brake next to nothing from a break, so that what carries
   * twenty amperes goes on to these.
   */
  private static final double GREATEST_OHMS = 20;

  /** Each severity of a corroded contact has so many times the ohms of the one before. */
  private static final double STEP = 3;

  /** Between two conductors that touch, from what blows a fuse to what feeds the other, Ω. */
  private static final double[] TOUCH_OHMS = {0.05, 0.15, 0.45, 1.2};

  /** What passes between coupler and ball, Ω. */
  private static final double[] BALL_OHMS = {0.25, 1, 4, 16, 64, 256};

  private static final List<StateWord> STATES =
      List.of(StateWord.TAIL, StateWord.LEFT, StateWord.RIGHT, StateWord.STOP, StateWord.REVERSE);

  /** Less than a marker lamp draws is no current, A. */
  private static final double CARRIES_AMPS = 0.01;

  private final Harness harness;
  private final Map<StateWord, Solution> states = new EnumMap<>(StateWord.class);
  private final Set<String> parts;
  private final List<KnownFault> faults = new ArrayList<>();

  /** A joint and the run behind it are opened at one place. */
  private final Map<String, String> ends = new HashMap<>();

  private double weight;

  FaultList(Rig rig, Harness harness) {
    this.harness = harness;
    for (StateWord word : StateWord.values()) {
      if (word == StateWord.LEVER || STATES.contains(word)) {
        states.put(word, RigNetwork.of(rig, harness, RigState.of(word)).network().solve());
      }
    }
    for (Span span : harness.spans()) {
      // A cord is another thing than its end in the box.
      if (span.duty() != Duty.CORD) {
        ends.put(Nodes.wire(span.to()), span.to());
        ends.put(Nodes.joint(span.to()), span.to());
      }
    }
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

  /**
   * An earth that is gone. The ball carries in its place, through half an ohm or not at all, as it
   * happens to sit: as often as not it hides in the yard what shows on the road.
   */
  void earthGone(String part, FaultFamily family) {
    add(Fault.of(Fault.Kind.OPEN, part), family, OptionalDouble.empty(), weight / 2);
    for (double ohms : BALL_OHMS) {
      add(
          Fault.of(Fault.Kind.ON_BALL, part, ohms),
          family,
          OptionalDouble.empty(),
          weight / 2 / BALL_OHMS.length);
    }
  }

  /** One place is one fault, however bad: its severities share its weight. */
  void graded(Fault.Kind kind, String part, double[] amounts, FaultFamily family) {
    graded(kind, part, amounts, amount -> 1, family);
  }

  /**
   * The same where some severities are met more often than others.
   *
   * @param met how often, against each other
   */
  void graded(
      Fault.Kind kind, String part, double[] amounts, DoubleUnaryOperator met, FaultFamily family) {
    double all = Arrays.stream(amounts).map(met).sum();
    for (double amount : amounts) {
      double share = met.applyAsDouble(amount) / all;
      add(Fault.of(kind, part, amount), family, OptionalDouble.empty(), weight * share);
    }
  }

  /** Two conductors that touch, hard or through grease and strands. */
  void touching(String one, String two, FaultFamily family) {
    for (double ohms : TOUCH_OHMS) {
      add(
          new Fault(Fault.Kind.BRIDGE, one, two, ohms),
          family,
          OptionalDouble.empty(),
          weight / TOUCH_OHMS.length);
    }
  }

  private void add(Fault fault, FaultFamily family, OptionalDouble loses, double weight) {
    boolean there =
        switch (fault.kind()) {
          case SHORT, BRIDGE, MAGNETS, REAR_LAMPS -> true;
          case SIGNAL -> parts.contains(RigNetwork.CONTROLLER);
          case PULLED -> parts.contains(FaultEdit.BREAKAWAY_SWITCH);
          case EXCHANGED -> parts.contains(fault.part()) && parts.contains(fault.other());
          default -> parts.contains(fault.part());
        };
    if (there) {
      String opened = ends.getOrDefault(fault.part(), fault.part());
      faults.add(new KnownFault(fault, family, loses, weight, opened));
    }
  }

  /**
   * R = V/I · s / (1 − s) loses the share s of V where a resistive load draws I; a reading may lie
   * half the way to the next severity, so that none lies between two. One place is one fault,
   * however bad: its severities share its weight.
   */
  void corroded(String element, PinFunction function, FaultFamily family) {
    if (!parts.contains(element)) {
      return;
    }
    double braking = amps(element, StateWord.LEVER);
    double lit = STATES.stream().mapToDouble(word -> amps(element, word)).max().orElse(0);
    double most = Math.max(braking, lit);
    // By design where no state makes it flow.
    double amps = most > CARRIES_AMPS ? most : Math.max(CARRIES_AMPS, harness.amps(function));
    double least = braking >= lit ? LEAST_LOSS_OF_BRAKES : LEAST_LOSS;
    // What nothing of the brakes passes any more may still pass a lamp's current.
    double ofLosses = ratio(GREATEST_LOSS) * (lit > CARRIES_AMPS ? amps / lit : 1);
    double ofOhms = Math.sqrt(STEP) * GREATEST_OHMS * amps / LampLoad.NOMINAL_VOLTS;
    double greatest = Math.max(ofLosses, ofOhms);
    List<Double> ratios = new ArrayList<>();
    for (double ratio = ratio(least); ratio < greatest; ratio *= STEP) {
      ratios.add(ratio);
    }
    for (double ratio : ratios) {
      add(
          Fault.of(Fault.Kind.OHMS, element, LampLoad.NOMINAL_VOLTS / amps * ratio),
          family,
          OptionalDouble.of(ratio / (1 + ratio)),
          weight / ratios.size());
    }
  }

  /** Of what is lost to what is left. */
  private static double ratio(double loss) {
    return loss / (1 - loss);
  }

  /** Through a conductor or joint, A; 0 where it is not in this state's network. */
  private double amps(String element, StateWord word) {
    Solution state = states.get(word);
    return state != null && state.network().has(element) ? Math.abs(state.amps(element)) : 0;
  }
}
