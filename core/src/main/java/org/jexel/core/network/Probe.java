package org.jexel.core.network;

import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/**
 * A multimeter put into a network: 10 MΩ as a voltmeter, a shunt of 10 mΩ as an ammeter, and as an
 * ohmmeter a source of 1 V behind 1 kΩ, on a dead circuit only.
 */
public final class Probe {
  public static final double VOLTMETER_OHMS = 10e6;
  public static final double SHUNT_OHMS = 0.010;
  private static final double OHMMETER_VOLTS = 1;
  private static final double OHMMETER_OHMS = 1000;

  /** More than this between the leads is a live circuit, V. */
  private static final double LIVE_VOLTS = 0.05;

  private static final String NAME = "probe";

  private final Network network;

  public Probe(Network network) {
    this.network = network;
  }

  /** What a voltmeter shows with its leads on two nodes, V. */
  public double volts(String red, String black) {
    Network with = copy(null);
    with.add(new Element.Resistor(NAME, red, black, VOLTMETER_OHMS));
    return with.solve().volts(red, black);
  }

  /** What an ammeter shows when it is put in series with an element, from its first node on, A. */
  public double amps(String element) {
    if (!(network.element(element) instanceof Element.TwoPole pole)) {
      throw new IllegalArgumentException(element + " has not two ends");
    }
    String inside = element + "_" + NAME;
    Network with = copy(element);
    with.add(new Element.Resistor(NAME, pole.a(), inside, SHUNT_OHMS));
    with.add(FaultEdit.ends(pole, inside, pole.b()));
    return with.solve().amps(NAME);
  }

  /** What an ohmmeter shows between two nodes, Ω; empty on a live circuit, where it may not be. */
  public OptionalDouble ohms(String red, String black) {
    Network idle = copy(null);
    idle.add(new Element.Resistor(NAME, red, black, VOLTMETER_OHMS));
    if (Math.abs(idle.solve().volts(red, black)) > LIVE_VOLTS) {
      return OptionalDouble.empty();
    }
    Network with = copy(null);
    with.add(new Element.Source(NAME, red, black, OHMMETER_VOLTS, OHMMETER_OHMS));
    Solution solution = with.solve();
    return OptionalDouble.of(solution.volts(red, black) / solution.amps(NAME));
  }

  private Network copy(@Nullable String but) {
    Network copy = new Network(network.ground());
    network.elements().stream().filter(e -> !e.name().equals(but)).forEach(copy::add);
    return copy;
  }
}
