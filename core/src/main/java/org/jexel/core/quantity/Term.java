package org.jexel.core.quantity;

import java.util.Optional;

/**
 * One line of a sum.
 *
 * @param symbol as it stands in the formula
 * @param meaning what it is on this rig
 * @param si its value in SI
 * @param measure how it is written
 * @param provenance where it comes from; empty for a figure that was itself computed
 */
public record Term(
    String symbol, String meaning, double si, Measure measure, Optional<Provenance> provenance) {

  public static Term computed(String symbol, String meaning, double si, Measure measure) {
    return new Term(symbol, meaning, si, measure, Optional.empty());
  }

  public static Term of(String symbol, String meaning, Figure figure, Measure measure) {
    return new Term(symbol, meaning, figure.si(), measure, Optional.of(figure.provenance()));
  }
}
