package org.jexel.core.connector;

import java.util.Map;
import java.util.Optional;

/**
 * A colour convention: which colour usually does which job. A colour is a hint, never a proof.
 *
 * @param id short name, as in the data files
 * @param label name for people
 * @param colours the colour of each function that the convention names
 */
public record Convention(String id, String label, Map<PinFunction, WireColour> colours) {
  public Convention {
    colours = Map.copyOf(colours);
  }

  public Optional<WireColour> colour(PinFunction function) {
    return Optional.ofNullable(colours.get(function));
  }

  /** The job that a colour does here. */
  public Optional<PinFunction> function(WireColour colour) {
    return colours.entrySet().stream()
        .filter(entry -> entry.getValue() == colour)
        .map(Map.Entry::getKey)
        .findFirst();
  }
}
