package org.jexel.core.check;

/** How the value of a check comes about, for its sum. */
enum Reckoned {
  /** Ohms between two leads: of each part on the way, by its share of the current. */
  BETWEEN_THE_LEADS(""),
  /** Ohms of magnets side by side, or what they draw. */
  MAGNETS(""),
  /** Volts by what is lost on the way, amps by what is fed; a word by the network alone. */
  ON_THE_WAY("solved for the whole network"),
  COLD_LAMPS("R = 1 / Σ(1 / R_lamp), each lamp cold, and the runs"),
  PUMP("I = (E − U) / R, solved for the whole network");

  /** Of one whose terms are not worked out. */
  private final String formula;

  Reckoned(String formula) {
    this.formula = formula;
  }

  String formula() {
    return formula;
  }
}
