package org.jexel.core.network;

/** A linear two-terminal element or converter of a network. Names are letters, digits and _. */
public sealed interface Element {
  String name();

  /**
   * @param ohms above zero
   */
  record Resistor(String name, String a, String b, double ohms) implements Element {
    public Resistor {
      if (!(ohms > 0) || Double.isInfinite(ohms)) {
        throw new IllegalArgumentException(name + ": resistance " + ohms + " Ω");
      }
    }
  }

  /**
   * A voltage behind a resistance.
   *
   * @param volts open-circuit voltage, plus against minus
   * @param ohms internal resistance, zero allowed
   */
  record Source(String name, String plus, String minus, double volts, double ohms)
      implements Element {
    public Source {
      if (!(ohms >= 0) || !Double.isFinite(volts)) {
        throw new IllegalArgumentException(name + ": " + volts + " V behind " + ohms + " Ω");
      }
    }
  }

  /**
   * The average of a pulsed output stage: V_out = share · (V_in − drop), I_in = share · I_out, both
   * against the network's ground.
   *
   * @param share 0 &lt; share ≤ 1, the part of each period that is on
   * @param drop lost in the stage while it is on, V
   */
  record Converter(String name, String in, String out, double share, double drop)
      implements Element {
    public Converter {
      if (!(share > 0 && share <= 1) || !(drop >= 0)) {
        throw new IllegalArgumentException(name + ": share " + share + ", drop " + drop + " V");
      }
    }
  }
}
