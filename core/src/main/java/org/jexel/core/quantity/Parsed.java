package org.jexel.core.quantity;

/** What became of a typed figure: a value in SI, or the reason why it could not be understood. */
public sealed interface Parsed {
  /**
   * @param si the value in the SI unit of its dimension
   */
  record Value(double si) implements Parsed {}

  /**
   * @param message what is wrong and what would be understood, for the person who typed it
   */
  record Misread(String message) implements Parsed {}
}
