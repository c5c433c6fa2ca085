package org.jexel.core.check;

import java.util.List;
import java.util.Objects;
import org.jexel.core.connector.Pin;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.Nodes;
import org.jexel.core.network.Element;
import org.jexel.core.network.Fault;
import org.jexel.core.network.Network;
import org.jexel.core.network.RigNetwork;
import org.jexel.core.network.RigState;
import org.jexel.core.network.StateWord;
import org.jexel.core.rig.Rig;
import org.jspecify.annotations.Nullable;

/**
 * What stands around a reading: the rig in a state, or the trailer alone, on a bench supply or dead
 * for an ohmmeter. Two are equal that have the same of each.
 */
public final class Setup {
  /** Volts of a bench supply that stands for a charged battery. */
  public static final double BENCH_VOLTS = 12.8;

  private static final String SOCKET_EARTH = Nodes.socket(PinFunction.EARTH);

  /** Of a feed that is no part of the plan, Ω. */
  private static final double OUTSIDE_OHMS = 0.1;

  /** Where the current comes from. */
  public enum Kind {
    RIG,
    BENCH,
    DEAD
  }

  private final Kind kind;
  private final RigState state;
  private final @Nullable PinFunction pin;

  /** Whatever a finder weighs is looked up by its setup: told once. */
  private final int hash;

  /**
   * @param kind which of these
   * @param state what is switched on, of the whole rig
   * @param pin of the plug that a bench supply feeds; null otherwise
   */
  public Setup(Kind kind, RigState state, @Nullable PinFunction pin) {
    this.kind = kind;
    this.state = state;
    this.pin = pin;
    this.hash = Objects.hash(kind, state, pin);
  }

  public Kind kind() {
    return kind;
  }

  public RigState state() {
    return state;
  }

  public @Nullable PinFunction pin() {
    return pin;
  }

  @Override
  public boolean equals(@Nullable Object other) {
    return this == other
        || other instanceof Setup s
            && hash == s.hash
            && kind == s.kind
            && pin == s.pin
            && state.equals(s.state);
  }

  @Override
  public int hashCode() {
    return hash;
  }

  @Override
  public String toString() {
    return kind + " " + state + (pin == null ? "" : " " + pin);
  }

  public static Setup rig(StateWord... on) {
    return new Setup(Kind.RIG, RigState.of(on), null);
  }

  public static Setup bench(PinFunction pin) {
    return new Setup(Kind.BENCH, RigState.of(), pin);
  }

  public static Setup dead() {
    return new Setup(Kind.DEAD, RigState.of(), null);
  }

  /** The healthy rig in this setup. */
  public RigNetwork network(Rig rig, Harness harness) {
    return network(rig, harness, List.of());
  }

  /**
   * The rig in this setup; with the plug out there is a voltmeter on each pin of the socket that is
   * fed, and on the plug's brake pin, with the hazard lights on (and nobody braking) on the
   * socket's, with the engine running on the box's charge stud: a pin and an earth of which one
   * hangs free come to the same volts under it.
   *
   * @param faults of the state itself, such as a wrong stop signal; faults of parts are put in as
   *     changes of this network
   */
  public RigNetwork network(Rig rig, Harness harness, List<Fault> faults) {
    return switch (kind) {
      case BENCH ->
          RigNetwork.onTheBench(rig, harness, Objects.requireNonNull(pin), BENCH_VOLTS, List.of());
      case DEAD -> RigNetwork.dead(rig, harness);
      case RIG -> {
        RigNetwork network = RigNetwork.of(rig, harness, state, faults);
        if (state.is(StateWord.UNPLUGGED)) {
          metered(rig, network);
        }
        if (state.is(StateWord.HAZARD)) {
          // Nobody brakes: with its pin open nothing else holds the socket's.
          meter(network.network(), Nodes.socket(PinFunction.BRAKE), SOCKET_EARTH);
        }
        if (state.is(StateWord.RUNNING)) {
          // Where no battery is charged nothing else loads the run.
          meter(network.network(), Nodes.box(PinFunction.CHARGE), Nodes.box(PinFunction.EARTH));
        }
        yield network;
      }
    };
  }

  private void metered(Rig rig, RigNetwork network) {
    for (Pin pin : rig.connector().pins()) {
      String node = Nodes.socket(pin.function());
      boolean own = network.network().hasNode(node);
      if (pin.function() == PinFunction.EARTH || pin.function() == PinFunction.BRAKE && !own) {
        continue;
      }
      if (!own && state.feeds(pin.function(), rig.connector())) {
        // A pin that the trailer does not use still shows the battery on a healthy vehicle.
        String feed = "feed_" + Nodes.id(pin.function());
        network.network().add(new Element.Resistor(feed, Harness.BATTERY_PLUS, node, OUTSIDE_OHMS));
      }
      if (state.feeds(pin.function(), rig.connector())) {
        meter(network.network(), node, SOCKET_EARTH);
      }
    }
    meter(network.network(), Nodes.plug(PinFunction.BRAKE), Nodes.plug(PinFunction.EARTH));
  }

  private static void meter(Network network, String red, String black) {
    if (network.hasNode(red) && network.hasNode(black)) {
      network.add(new Element.Resistor("meter_" + red, red, black, Meter.OHMS_AS_VOLTMETER));
    }
  }
}
