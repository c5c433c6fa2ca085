package org.jexel.core.connector;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * A connector pattern of the trade. Its socket sits on the vehicle, its plug on the trailer's cord.
 *
 * @param id short name, as in the data files
 * @param label name for people
 * @param convention id of the colour convention that usually goes with it
 * @param accepts ids of other plugs that this socket takes
 * @param pins every contact, by number
 */
public record Connector(
    String id, String label, String convention, List<String> accepts, List<Pin> pins) {
  public Connector {
    accepts = List.copyOf(accepts);
    pins = List.copyOf(pins);
    Set<Integer> numbers = new HashSet<>();
    Set<PinFunction> functions = new HashSet<>();
    for (Pin pin : pins) {
      if (!numbers.add(pin.number())) {
        throw new IllegalArgumentException(id + ": pin " + pin.number() + " stands twice");
      }
      if (!functions.add(pin.function())) {
        throw new IllegalArgumentException(
            id + ": function " + pin.function().label() + " stands twice");
      }
    }
    if (!functions.contains(PinFunction.EARTH)) {
      throw new IllegalArgumentException(id + ": a connector without an earth pin");
    }
  }

  /** The same connector with one function in the middle of its ring, and that one's place taken. */
  public Connector withMiddle(PinFunction function) {
    Pin middle = pins.stream().filter(p -> p.clock() == 0).findFirst().orElse(null);
    Pin moved = pin(function).orElse(null);
    if (middle == null || moved == null || middle == moved) {
      return this;
    }
    return new Connector(
        id,
        label,
        convention,
        accepts,
        pins.stream()
            .map(p -> p == middle ? p.at(moved.clock()) : p == moved ? p.at(middle.clock()) : p)
            .toList());
  }

  public Optional<Pin> pin(PinFunction function) {
    return pins.stream().filter(pin -> pin.function() == function).findFirst();
  }

  public boolean has(PinFunction function) {
    return pin(function).isPresent();
  }

  /** Whether the given plug goes into this socket. */
  public boolean takes(Connector plug) {
    return id.equals(plug.id()) || accepts.contains(plug.id());
  }
}
