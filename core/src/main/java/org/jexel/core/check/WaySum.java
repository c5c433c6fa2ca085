package org.jexel.core.check;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jexel.core.network.Diode;
import org.jexel.core.network.Element;
import org.jexel.core.network.Filament;
import org.jexel.core.network.RigNetwork;
import org.jexel.core.network.Solution;
import org.jexel.core.network.Tolerance;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.Sum;
import org.jexel.core.quantity.Term;
import org.jgrapht.GraphPath;
import org.jgrapht.alg.shortestpath.DijkstraShortestPath;
import org.jgrapht.graph.WeightedMultigraph;

/**
 * Volts between two leads as what a source gives less what is lost on the way: Kirchhoff's second
 * law, U = Σ E − Σ I·R, along the way of least ohms from the black lead to the red one. And a
 * current as the sum of what it feeds, by his first law.
 */
final class WaySum {
  /** Losses below this share of the source are told together, V for each V. */
  private static final double LITTLE = 0.0015;

  /** A current that the loads account for but for this share is theirs; and what flows back. */
  private static final double ALL = 0.002;

  private static final double SEEN = 1e-3;

  /** No digit of a meter, V. */
  private static final double UNSEEN = 5e-4;

  private static final double LEAST_OHMS = 1e-6;

  private final RigNetwork network;
  private final Solution solution;
  private final Map<String, Tolerance> tolerances;
  private final WeightedMultigraph<String, Step> passed = new WeightedMultigraph<>(Step.class);

  /** An element, by itself: records take long to be told apart. */
  private static final class Step {
    private final Element element;

    private Step(Element element) {
      this.element = element;
    }
  }

  WaySum(RigNetwork network, Solution solution) {
    this.network = network;
    this.solution = solution;
    this.tolerances =
        network.tolerances().stream()
            .collect(Collectors.toMap(Tolerance::element, Function.identity(), (a, b) -> a));
    for (Element element : network.network().elements()) {
      String[] ends = element.ends();
      if (!isFed(element) && !ends[0].equals(ends[1])) {
        passed.addVertex(ends[0]);
        passed.addVertex(ends[1]);
        Step step = new Step(element);
        passed.addEdge(ends[0], ends[1], step);
        passed.setEdgeWeight(step, LEAST_OHMS + ohms(element));
      }
    }
  }

  /** Empty where nothing but what is fed joins the leads. */
  Optional<Sum> volts(String title, String red, String black, double expected) {
    WrittenSum written = lost(red, black, expected);
    return written.isEmpty()
        ? Optional.empty()
        : Optional.of(written.sum(title, "U", expected, Measure.VOLTS));
  }

  /** What sources give on the way from the black lead to the red one, and what is lost there. */
  WrittenSum lost(String red, String black, double expected) {
    List<Element> way = way(red, black);
    WrittenSum written = new WrittenSum();
    String at = black;
    Map<Element, Double> losses = new LinkedHashMap<>();
    for (Element element : way) {
      String[] ends = element.ends();
      String next = ends[0].equals(at) ? ends[1] : ends[0];
      double gain = solution.volts(next, at);
      at = next;
      if (element instanceof Element.Source source) {
        double volts = source.plus().equals(next) ? source.volts() : -source.volts();
        written.add(volts, source(written, source));
        gain -= volts;
      }
      losses.put(element, gain);
    }
    double little = 0;
    for (Map.Entry<Element, Double> loss : losses.entrySet()) {
      if (Math.abs(loss.getValue()) < LITTLE * Math.abs(expected)) {
        little += loss.getValue();
      } else {
        written.add(loss.getValue(), lost(written, loss.getKey(), loss.getValue()));
      }
    }
    if (Math.abs(little) > UNSEEN) {
      written.add(little, loss("U_0", "contacts and short runs", little));
    }
    return written;
  }

  /**
   * Empty where lamps and magnets do not account for it. What flows back through others' returns is
   * told where it is needed for that.
   */
  Optional<Sum> amps(String title, double expected) {
    return ofLoads(title, expected, ALL, false).or(() -> ofLoads(title, expected, SEEN, true));
  }

  /**
   * Of one load by itself; empty where the reading is not of it alone, or its law is no formula.
   */
  Optional<Sum> ofOne(String title, String load, double expected) {
    if (!network.network().has(load)
        || Math.abs(Math.abs(solution.amps(load)) - expected) > ALL * expected
        || !(network.network().element(load) instanceof Element.TwoPole part)) {
      return Optional.empty();
    }
    List<Term> terms = new ArrayList<>();
    terms.add(Term.computed("U", "across it", solution.volts(part.a(), part.b()), Measure.VOLTS));
    if (part instanceof Filament lamp) {
      terms.add(Term.computed("I_0", "its current at rated volts", lamp.amps(), Measure.AMPS));
      terms.add(Term.computed("U_0", "its rated volts", lamp.volts(), Measure.VOLTS));
      return Optional.of(new Sum(title, "I = I_0 · (U / U_0)^0.55", terms, expected, Measure.AMPS));
    } else if (part instanceof Element.Ohmic magnet) {
      terms.add(Term.computed("r", "its ohms", magnet.ohms(), Measure.OHMS));
      return Optional.of(new Sum(title, "I = U / r", terms, expected, Measure.AMPS));
    }
    return Optional.empty();
  }

  private Optional<Sum> ofLoads(String title, double expected, double least, boolean back) {
    WrittenSum written = new WrittenSum();
    double sum = 0;
    for (Element load : network.network().elements()) {
      double amps = isFed(load) ? solution.amps(load.name()) : 0;
      Tolerance part = tolerances.get(load.name());
      boolean counts = back ? Math.abs(amps) > least * expected : amps > least * expected;
      if (part != null && counts) {
        sum += amps;
        Term term = Term.computed(written.next("I"), part.label(), Math.abs(amps), Measure.AMPS);
        written.add(amps, term);
      }
    }
    boolean whole = Math.abs(sum - expected) < ALL * expected && !written.isEmpty();
    return whole ? Optional.of(written.sum(title, "I", expected, Measure.AMPS)) : Optional.empty();
  }

  private Term source(WrittenSum written, Element.Source source) {
    Tolerance part = tolerances.get(source.name());
    String own = written.isEmpty() ? "E" : written.next("E");
    return part == null
        ? Term.computed(own, "of the source", Math.abs(source.volts()), Measure.VOLTS)
        : CheckSums.term(own, part);
  }

  private Term lost(WrittenSum written, Element element, double volts) {
    Tolerance part = tolerances.get(element.name());
    String label =
        element instanceof Element.Source
            ? "in the battery"
            : part != null ? part.label() : element instanceof Diode ? "in the diode" : "contact";
    String amps = Phrase.of(", %.2f A", Math.abs(solution.amps(element.name())));
    return loss(written.next("U"), label + amps, volts);
  }

  private static Term loss(String symbol, String label, double volts) {
    double size = Math.abs(volts);
    return Term.computed(symbol, label, size, size < 1 ? Measure.MILLIVOLTS : Measure.VOLTS);
  }

  /** Whether it is a lamp or a magnet. */
  private boolean isFed(Element element) {
    Tolerance part = tolerances.get(element.name());
    boolean magnet = part != null && part.way() == Tolerance.Way.MAGNET;
    boolean passes = element instanceof Element.Ohmic || element instanceof Diode;
    return magnet || element instanceof Element.TwoPole && !passes;
  }

  /** What is passed from the black lead to the red one, not through what is fed. */
  private List<Element> way(String red, String black) {
    if (!passed.containsVertex(red) || !passed.containsVertex(black)) {
      return List.of();
    }
    GraphPath<String, Step> path = DijkstraShortestPath.findPathBetween(passed, black, red);
    return path == null ? List.of() : path.getEdgeList().stream().map(s -> s.element).toList();
  }

  private static double ohms(Element element) {
    return element instanceof Element.Ohmic part
        ? part.ohms()
        : element instanceof Element.Source source ? source.ohms() : 0;
  }
}
