package org.jexel.core.network;

/** An element of a network. Names are lower-case letters, digits and _. */
public sealed interface Element {
  String name();

  /** The two nodes that it couples: a and b, plus and minus, in and out. */
  String[] ends();

  /** Whatever carries a current that its own voltage alone decides, from a to b. */
  non-sealed interface TwoPole extends Element {
    String a();

    String b();

    @Override
    default String[] ends() {
      return new String[] {a(), b()};
    }

    /** Current from a to b at a voltage of either sign, A. */
    double amps(double volts);

    /** Its derivative, S; defined at every voltage and never negative. */
    double slope(double volts);

    /** Resistance to the little current of an ohmmeter, Ω; infinite for one that blocks it. */
    default double cold() {
      return 1 / slope(0);
    }

    /** Conductance from which an iteration may start, S. */
    double start();
  }

  /** A two-pole that keeps to Ohm's law. */
  interface Ohmic extends TwoPole {
    /** Above zero, Ω. */
    double ohms();

    @Override
    default double amps(double volts) {
      return volts / ohms();
    }

    @Override
    default double slope(double volts) {
      return 1 / ohms();
    }

    @Override
    default double start() {
      return 1 / ohms();
    }
  }

  /**
   * @param ohms above zero
   */
  record Resistor(String name, String a, String b, double ohms) implements Ohmic {
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

    @Override
    public String[] ends() {
      return new String[] {plus, minus};
    }
  }

  /**
   * The average of a pulsed output stage: V_out = share · (V_in − drop · s(V_in)), I_in = share ·
   * I_out, both against the network's ground. The drop fades, s = 3u² − 2u³ with u = V_in / 6 V
   * held between 0 and 1, so that a stage without supply gives nothing.
   *
   * @param share 0 &lt; share ≤ 1, the part of each period that is on
   * @param drop lost in the stage while it is on, V
   */
  record Converter(String name, String in, String out, double share, double drop)
      implements Element {
    /** From this supply on the whole drop is lost, V. */
    static final double AWAKE_VOLTS = 6;

    public Converter {
      if (!(share > 0 && share <= 1) || !(drop >= 0 && drop <= 3)) {
        throw new IllegalArgumentException(name + ": share " + share + ", drop " + drop + " V");
      }
    }

    @Override
    public String[] ends() {
      return new String[] {in, out};
    }

    double fade(double volts) {
      return SmoothStep.at(volts / AWAKE_VOLTS);
    }

    double output(double volts) {
      return share * (volts - drop * fade(volts));
    }

    double slope(double volts) {
      return share * (1 - drop * SmoothStep.slope(volts / AWAKE_VOLTS) / AWAKE_VOLTS);
    }
  }
}
