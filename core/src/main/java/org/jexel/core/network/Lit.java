package org.jexel.core.network;

import java.util.ArrayList;
import java.util.List;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.Load;
import org.jexel.core.quantity.Phrase;

/**
 * What one lamp does in a solved network.
 *
 * @param load the lamp, one of its circuits
 * @param volts across it, V
 * @param brightness visible output as a share of its rated one
 * @param healthy the same on the rig without faults
 */
public record Lit(Load load, double volts, double brightness, double healthy) {
  /** Below this share nobody sees light by day. */
  private static final double DARK = 0.004;

  private static final double GLIMMER = 0.10;
  private static final double DIM = 0.65;

  /** Every lamp of a harness, faulty beside whole. */
  public static List<Lit> of(Harness harness, Readout faulty, Readout whole) {
    List<Lit> lit = new ArrayList<>();
    for (Load load : harness.loads()) {
      if (load.lamp()) {
        lit.add(
            new Lit(
                load,
                faulty.has(load.name()) ? faulty.volts(load.feed(), load.back()) : 0,
                faulty.brightness(load.name()),
                whole.brightness(load.name())));
      }
    }
    return lit;
  }

  /** Visible output of a lamp at a voltage, as a share of its rated one. */
  static double brightness(Element lamp, double volts) {
    return lamp instanceof Led led
        ? led.brightness(volts)
        : lamp instanceof Filament filament ? filament.brightness(volts) : 0;
  }

  /** Dark, glimmers, dim or bright. */
  public String word() {
    return word(brightness);
  }

  /** Whether nobody sees light by day. */
  public static boolean dark(double share) {
    return share < DARK;
  }

  /** The least share that is called by the same word; of dark, what it stays below. */
  public static double border(double share) {
    return share < GLIMMER ? DARK : share < DIM ? GLIMMER : DIM;
  }

  /** The word for a brightness. */
  public static String word(double share) {
    return dark(share) ? "dark" : share < GLIMMER ? "glimmers" : share < DIM ? "dim" : "bright";
  }

  /**
   * The same words as a scale: 0 dark, 1 glimmers, 2 dim, 3 bright, with the borders at the halves,
   * along the logarithm of the brightness as an eye judges it.
   */
  public static double scale(double share) {
    if (share < DARK / 10) {
      return 0;
    }
    double[] borders = {DARK / 10, DARK, GLIMMER, DIM, 1};
    double[] places = {0, 0.5, 1.5, 2.5, 3};
    int i = 1;
    while (i < borders.length - 1 && share > borders[i]) {
      i++;
    }
    double way = Math.log(share / borders[i - 1]) / Math.log(borders[i] / borders[i - 1]);
    return Math.min(3, places[i - 1] + way * (places[i] - places[i - 1]));
  }

  /** Whether it does something else than on a whole rig. */
  public boolean differs() {
    return !word(brightness).equals(word(healthy));
  }

  /** In plain words, for a lamp that differs. */
  public String story() {
    String what = load.label() + ", " + load.function().lit();
    String should = dark(healthy) ? "should be dark" : "should be " + word(healthy);
    String back = volts < -0.5 ? ", with the current going through it backwards" : "";
    return Phrase.of(
        "%s: %s at %.0f %% (%.1f V), %s%s.",
        what, word(), 100 * brightness, Math.abs(volts), should, back);
  }
}
