package org.jexel.core.judge;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.UnaryOperator;

/**
 * A SPICE deck as text, card by card, and what a hand with an editor can do to it. Knows nothing of
 * Jexel's faults: a card is a name, two nodes and a value.
 */
final class Netlist {
  private static final double GONE_OHMS = 1e12;

  private final List<String> cards;

  private Netlist(List<String> cards) {
    this.cards = cards;
  }

  static Netlist of(String deck) {
    return new Netlist(List.of(deck.split("\n")));
  }

  String text() {
    return String.join("\n", cards) + "\n";
  }

  /** Names of the cards that begin with a letter and an underscore, without these two. */
  List<String> names(char letter) {
    return cards.stream()
        .filter(card -> card.startsWith(letter + "_"))
        .map(card -> card.substring(2, card.indexOf(' ')))
        .toList();
  }

  Optional<String[]> card(char letter, String name) {
    return cards.stream()
        .filter(card -> card.startsWith(letter + "_" + name + " "))
        .findFirst()
        .map(card -> card.split(" ", 4));
  }

  boolean hasNode(String node) {
    return cards.stream()
        .filter(card -> card.matches("[rbdv]_.*"))
        .map(card -> card.split(" "))
        .anyMatch(parts -> parts[1].equals(node) || parts[2].equals(node));
  }

  private Netlist with(char letter, String name, UnaryOperator<String[]> edit) {
    List<String> edited = new ArrayList<>();
    for (String card : cards) {
      boolean own = card.startsWith(letter + "_" + name + " ");
      edited.add(own ? String.join(" ", edit.apply(card.split(" ", 4))) : card);
    }
    return new Netlist(edited);
  }

  /** Another resistance in a card's place; a card that is not there changes nothing. */
  Netlist ohms(String name, java.util.function.DoubleUnaryOperator law) {
    return with(
        'r',
        name,
        parts ->
            new String[] {
              parts[0], parts[1], parts[2], n(law.applyAsDouble(Double.parseDouble(parts[3])))
            });
  }

  Netlist open(String name) {
    return ohms(name, ohms -> GONE_OHMS);
  }

  /** A source that gives so many volts. */
  Netlist volts(String name, double volts) {
    return with('v', name, p -> new String[] {p[0], p[1], p[2], "dc " + n(volts)});
  }

  /** A load of a law, drawing so many times its current. */
  Netlist draws(String name, double factor) {
    return with(
        'b',
        name,
        p -> new String[] {p[0], p[1], p[2], "i=" + n(factor) + "*(" + p[3].substring(2) + ")"});
  }

  /** Whether a lamp's law is that of diodes: nothing below some volts, no more above others. */
  static boolean isDiodes(String[] lamp) {
    return lamp[3].contains("min(max(");
  }

  /** A lamp of the other kind in its socket, by laws of the judge's own. */
  Netlist otherKind(String name, double amps) {
    return with(
        'b',
        name,
        p -> {
          String v = "v(%s,%s)".formatted(p[1], p[2]);
          String law =
              isDiodes(p)
                  ? "%s*%s/12.8*(0.01+(%s/12.8)^2)^(-0.225)".formatted(n(amps), v, v)
                  : "%s*min(max((%s-6.5)/4,0),1)".formatted(n(amps), v);
          return new String[] {p[0], p[1], p[2], "i=" + law};
        });
  }

  /** A lamp whose ends have changed places. */
  Netlist reversed(String name) {
    return with(
        'b',
        name,
        p -> {
          String law =
              p[3].replace("v(%s,%s)".formatted(p[1], p[2]), "v(%s,%s)".formatted(p[2], p[1]));
          return new String[] {p[0], p[2], p[1], law};
        });
  }

  /** Two resistors whose far ends have changed places. */
  Netlist exchanged(String one, String two) {
    Optional<String[]> first = card('r', one);
    Optional<String[]> second = card('r', two);
    if (first.isEmpty() || second.isEmpty()) {
      return this;
    }
    return with('r', one, p -> new String[] {p[0], p[1], second.get()[2], p[3]})
        .with('r', two, p -> new String[] {p[0], p[1], first.get()[2], p[3]});
  }

  /** A resistor between two nodes. */
  Netlist bridge(String name, String one, String two, double ohms) {
    List<String> more = new ArrayList<>(cards);
    more.add(1, "r_" + name + " " + one + " " + two + " " + n(ohms));
    return new Netlist(more);
  }

  /** An ohmmeter: a source behind a resistance between two nodes. */
  Netlist ohmmeter(String red, String black, double volts, double ohms) {
    List<String> more = new ArrayList<>(cards);
    more.add(1, "v_probe probe_pos " + black + " dc " + n(volts));
    more.add(2, "r_probe probe_pos " + red + " " + n(ohms));
    return new Netlist(more);
  }

  /** Cards of one resistor's stretch: on both sides as far as no third card joins. */
  Set<String> stretch(String name) {
    String part = name.replace("_inside", "");
    Set<String> stretch = new TreeSet<>(Set.of(part));
    card('r', name)
        .ifPresent(
            card -> {
              for (int end = 1; end <= 2; end++) {
                walk(card[end], card[0].substring(2), stretch, new TreeSet<>());
              }
            });
    return stretch;
  }

  /** Nodes on the stretches that end at a node. */
  Set<String> along(String node) {
    Set<String> nodes = new TreeSet<>(Set.of(node));
    for (String[] card : at(node)) {
      walk(node, card[0].substring(2), new TreeSet<>(), nodes);
      for (int end = 1; end <= 2; end++) {
        walk(card[end], card[0].substring(2), new TreeSet<>(), nodes);
      }
    }
    return nodes;
  }

  private void walk(String node, String from, Set<String> parts, Set<String> nodes) {
    String at = node;
    String last = from;
    // The plug is pulled for some checks: its two sides are two places.
    while (!at.startsWith("sock_")) {
      nodes.add(at);
      String came = last;
      List<String[]> on = at(at).stream().filter(c -> !c[0].substring(2).equals(came)).toList();
      if (on.size() != 1 || !on.get(0)[0].startsWith("r_")) {
        return;
      }
      String[] card = on.get(0);
      last = card[0].substring(2);
      if (!parts.add(last) || last.startsWith("magnet_")) {
        return;
      }
      at = card[1].equals(at) ? card[2] : card[1];
    }
    nodes.add(at);
  }

  private List<String[]> at(String node) {
    return cards.stream()
        .filter(card -> card.matches("[rbdvf]_.*") && !card.startsWith("r_leak_"))
        .map(card -> card.split(" ", 4))
        .filter(card -> card[1].equals(node) || card[2].equals(node))
        .toList();
  }

  private static String n(double value) {
    return String.format(Locale.ROOT, "%.12g", value);
  }
}
