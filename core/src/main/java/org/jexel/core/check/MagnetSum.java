package org.jexel.core.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import org.jexel.core.network.Element;
import org.jexel.core.network.RigNetwork;
import org.jexel.core.network.Solution;
import org.jexel.core.network.Tolerance;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Sum;
import org.jexel.core.quantity.Term;

/**
 * Magnets side by side behind their conductors: R = 1 / Σ(n / r) + R_c, I = (E − U_c) / R.
 *
 * <p>What battery, conductors and contacts add is R_c = Σ (i/I)²·R over them, i the current in each
 * of all that flows (Tellegen's theorem); of ohms between two leads (i/I)² is the slope of R.
 */
final class MagnetSum {
  private final RigNetwork network;
  private final List<Term> terms = new ArrayList<>();

  MagnetSum(RigNetwork network) {
    this.network = network;
  }

  /**
   * @param slope of the ohms with each part
   */
  Sum ohms(String title, ToDoubleFunction<Tolerance> slope, double expected) {
    String magnets = magnets();
    double ohms = 0;
    for (Tolerance part : network.tolerances()) {
      boolean counts = part.measure() == Measure.OHMS || part.measure() == Measure.MILLIOHMS;
      if (counts && part.way() != Tolerance.Way.MAGNET) {
        ohms += slope.applyAsDouble(part) * part.nominal();
      }
    }
    terms.add(added("conductors and contacts", ohms));
    return new Sum(title, "R = " + magnets + " + R_c", terms, expected, Measure.OHMS);
  }

  Sum amps(String title, Solution solution, double expected) {
    terms.addAll(CheckSums.terms(network));
    String magnets = magnets();
    Set<String> magnetNames =
        network.tolerances().stream()
            .filter(part -> part.way() == Tolerance.Way.MAGNET)
            .map(Tolerance::element)
            .collect(Collectors.toSet());
    double watts =
        network.network().elements().stream()
            .filter(element -> !magnetNames.contains(element.name()))
            .mapToDouble(element -> watts(element, solution))
            .sum();
    terms.add(added("battery, conductors and contacts", watts / (expected * expected)));
    return new Sum(title, "I = (E − U_c) / (" + magnets + " + R_c)", terms, expected, Measure.AMPS);
  }

  /** 1 / (n / r), or with magnets of several kinds 1 / (n_1 / r_1 + …), and their terms. */
  private String magnets() {
    Map<Double, Integer> kinds = new TreeMap<>();
    network.tolerances().stream()
        .filter(part -> part.way() == Tolerance.Way.MAGNET)
        .forEach(part -> kinds.merge(part.nominal(), 1, Integer::sum));
    List<String> shares = new ArrayList<>();
    kinds.forEach(
        (ohms, count) -> {
          String which = kinds.size() == 1 ? "" : "_" + (shares.size() + 1);
          terms.add(Term.computed("r" + which, "one magnet", ohms, Measure.OHMS));
          terms.add(Term.computed("n" + which, "of these side by side", count, Measure.COUNT));
          shares.add("n" + which + " / r" + which);
        });
    return shares.stream().collect(Collectors.joining(" + ", "1 / (", ")"));
  }

  /** What an element turns into heat; lamps beside an earth carry some of what comes back. */
  private static double watts(Element element, Solution solution) {
    double amps = solution.amps(element.name());
    if (element instanceof Element.TwoPole part) {
      return amps * solution.volts(part.a(), part.b());
    }
    return element instanceof Element.Source source ? amps * amps * source.ohms() : 0;
  }

  private static Term added(String what, double ohms) {
    return Term.computed(
        "R_c", "what " + what + " add, each by its share of it", ohms, Measure.MILLIOHMS);
  }
}
