package org.jexel.core.network;

import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import org.jexel.core.quantity.Phrase;

/**
 * A solved network as a SPICE deck, with the voltages and currents that a SPICE should find in it.
 *
 * <p>Names are those of the network behind the letter of the element's kind. A current counts from
 * an element's first node through it to its second, as SPICE counts, so that a battery which gives
 * current shows a negative one. A source's inner node is {@code NAME_inside}, a converter's {@code
 * NAME_stage}.
 */
public final class Spice {
  private final StringBuilder deck = new StringBuilder();
  private final StringBuilder saved = new StringBuilder();
  private final Map<String, Double> nodes = new TreeMap<>();
  private final Map<String, Double> branches = new LinkedHashMap<>();
  private final Solution solution;
  private final String ground;

  private Spice(Solution solution) {
    this.solution = solution;
    this.ground = solution.network().ground();
  }

  /**
   * @param title first line of the deck
   */
  public static Spice of(Solution solution, String title) {
    Spice spice = new Spice(solution);
    spice.write(title);
    return spice;
  }

  /** The deck; it runs unchanged in a stock SPICE. */
  public String deck() {
    return deck.toString();
  }

  /** Every node's voltage against ground, V. */
  public Map<String, Double> nodes() {
    return nodes;
  }

  /** Every element's current, A. */
  public Map<String, Double> branches() {
    return branches;
  }

  private void write(String title) {
    deck.append("* ").append(title.replaceAll("[^ -~]", " ")).append('\n');
    card("v_ground %s 0 dc 0", ground);
    nodes.put(ground, 0.0);
    solution.network().nodes().forEach(node -> nodes.put(node, solution.volts(node)));
    solution.network().elements().forEach(this::element);
    // The leak that defines floating parts.
    for (String node : solution.network().nodes()) {
      card("r_leak_%s %s 0 %s", node, node, n(1 / Network.GMIN_SIEMENS));
    }
    card(".options reltol=1e-6 abstol=1e-12 vntol=1e-7 gmin=1e-13 itl1=2000");
    card(".save all");
    deck.append(saved);
    card(".op");
    card(".end");
  }

  private void element(Element element) {
    if (element instanceof Element.Source s) {
      source(s);
    } else if (element instanceof Element.Converter c) {
      converter(c);
    } else {
      twoPole((Element.TwoPole) element);
    }
  }

  private void source(Element.Source s) {
    String name = s.name();
    double amps = solution.amps(name);
    branches.put("v_" + name, -amps);
    if (s.ohms() == 0) {
      card("v_%s %s %s dc %s", name, s.plus(), s.minus(), n(s.volts()));
      return;
    }
    String inside = name + "_inside";
    nodes.put(inside, solution.volts(s.minus()) + s.volts());
    card("v_%s %s %s dc %s", name, inside, s.minus(), n(s.volts()));
    resistor(inside, inside, s.plus(), s.ohms(), amps);
  }

  private void converter(Element.Converter c) {
    String name = c.name();
    double amps = solution.amps(name);
    String u = "min(max(v(%s)/%s,0),1)".formatted(c.in(), n(Element.Converter.AWAKE_VOLTS));
    nodes.put(name + "_stage", solution.volts(c.out()));
    card(
        "b_%s %s_stage %s v=%s*(v(%s)-%s*%s*%s*(3-2*%s))",
        name, name, ground, n(c.share()), c.in(), n(c.drop()), u, u, u);
    card("v_%s_sense %s_stage %s dc 0", name, name, c.out());
    branches.put("v_" + name + "_sense", amps);
    card("f_%s %s %s v_%s_sense %s", name, c.in(), ground, name, n(c.share()));
    keep("f_" + name, "i", c.share() * amps);
  }

  private void twoPole(Element.TwoPole pole) {
    String name = pole.name();
    String v = "v(%s,%s)".formatted(pole.a(), pole.b());
    double amps = solution.amps(name);
    if (pole instanceof Element.Ohmic r) {
      resistor(name, r.a(), r.b(), r.ohms(), amps);
    } else if (pole instanceof Filament f) {
      String w = "%s/%s".formatted(v, n(f.volts() * Filament.CROSSING));
      double cold = f.amps(1e-9) / 1e-9;
      current(
          pole, "%s*%s*(1+(%s)*(%s))^(%s)".formatted(n(cold), v, w, w, n(-Filament.BEND)), amps);
    } else if (pole instanceof Led l) {
      String u =
          "min(max((%s-%s)/%s,0),1)"
              .formatted(v, n(Led.DARK_VOLTS), n(Led.FULL_VOLTS - Led.DARK_VOLTS));
      current(
          pole,
          "%s*%s*%s*(3-2*%s)+%s*%s".formatted(n(l.amps()), u, u, u, n(Led.LEAK_SIEMENS), v),
          amps);
    } else if (pole instanceof Diode d) {
      card("d_%s %s %s law_%s", name, d.a(), d.b(), name);
      card(".model law_%s d(is=%s n=%s)", name, n(Diode.SATURATION), n(d.emission()));
      keep("d_" + name, "id", amps);
    }
  }

  private void resistor(String name, String a, String b, double ohms, double amps) {
    card("r_%s %s %s %s", name, a, b, n(ohms));
    keep("r_" + name, "i", amps);
  }

  private void current(Element.TwoPole pole, String law, double amps) {
    card("b_%s %s %s i=%s", pole.name(), pole.a(), pole.b(), law);
    keep("b_" + pole.name(), "i", amps);
  }

  private void keep(String name, String what, double amps) {
    saved.append(".save @").append(name).append('[').append(what).append("]\n");
    branches.put(name, amps);
  }

  private void card(String text, Object... parts) {
    deck.append(Phrase.of(text, parts)).append('\n');
  }

  /** A number as SPICE reads it, to the last digit of a double. */
  private static String n(double value) {
    return String.format(Locale.ROOT, "%.17g", value);
  }
}
