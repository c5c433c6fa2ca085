package org.jexel.core.check;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import org.jexel.core.network.RigNetwork;
import org.jexel.core.network.Solution;
import org.jexel.core.network.Tolerance;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Sum;
import org.jexel.core.quantity.Term;

/** The sums that the checks of one rig show. */
final class CheckSums {
  private static final String UNFED = "nothing that feeds reaches it, solved for the whole network";
  private static final String CURVED =
      "I, what it draws at its volts, solved for the whole network";

  /** A part that carries less than a tenth of the meter's current is not on the way. */
  private static final double ON_THE_WAY = 0.01;

  /** No digit of a meter, Ω. */
  private static final double UNSEEN_OHMS = 5e-4;

  private final Map<Setup, WaySum> ways = new HashMap<>();

  /**
   * @param network of the probing's setup, solved
   * @param slope of the reading with each part
   */
  Sum of(
      CheckMaker.Words words,
      Probing probing,
      RigNetwork network,
      Solution solution,
      ToDoubleFunction<Tolerance> slope,
      double expected) {
    String title = words.title();
    return switch (words.reckoned()) {
      case BETWEEN_THE_LEADS -> betweenTheLeads(title, network, slope, expected);
      case MAGNETS ->
          probing.measure() == Measure.OHMS
              ? new MagnetSum(network).ohms(title, slope, expected)
              : new MagnetSum(network).amps(title, solution, expected);
      case ON_THE_WAY -> onTheWay(words, probing, network, solution, expected);
      case COLD_LAMPS, PUMP -> told(words, network, expected, probing.measure());
    };
  }

  private Sum onTheWay(
      CheckMaker.Words words,
      Probing probing,
      RigNetwork network,
      Solution solution,
      double expected) {
    WaySum way = ways.computeIfAbsent(probing.setup(), setup -> new WaySum(network, solution));
    String title = words.title();
    return switch (probing.measure()) {
      case VOLTS ->
          way.volts(title, probing.red(), probing.black(), expected)
              .orElseGet(() -> new Sum(title, UNFED, List.of(), expected, Measure.VOLTS));
      case AMPS ->
          way.ofOne(title, words.id().part(), expected)
              .or(() -> way.amps(title, expected))
              .orElseGet(() -> new Sum(title, CURVED, List.of(), expected, Measure.AMPS));
      case GLOW -> new LightSum(way, solution).of(title, probing.red());
      case TURNING, HUMMING, GRIPPING ->
          way.ofOne(title, probing.red(), Math.abs(solution.amps(probing.red())))
              .orElseGet(() -> told(words, network, expected, probing.measure()));
      default -> told(words, network, expected, probing.measure());
    };
  }

  private static Sum told(
      CheckMaker.Words words, RigNetwork network, double expected, Measure measure) {
    return new Sum(words.title(), words.reckoned().formula(), terms(network), expected, measure);
  }

  /**
   * Ohms between two leads: R = Σ i²·r, i what each part carries of one ampere (Tellegen's
   * theorem), and i² is the slope of R with r.
   */
  private static Sum betweenTheLeads(
      String title, RigNetwork network, ToDoubleFunction<Tolerance> slope, double expected) {
    List<Term> terms = new ArrayList<>();
    List<String> parts = new ArrayList<>();
    double rest = expected;
    for (Tolerance part : network.tolerances()) {
      double share = slope.applyAsDouble(part);
      boolean ohms = part.measure() == Measure.OHMS || part.measure() == Measure.MILLIOHMS;
      if (ohms && share > ON_THE_WAY) {
        Term term = term("r_" + (terms.size() + 1), part);
        terms.add(term);
        boolean whole = share > 1 - ON_THE_WAY;
        parts.add(
            whole ? term.symbol() : String.format(Locale.ROOT, "%.2f·", share) + term.symbol());
        rest -= share * part.nominal();
      }
    }
    if (rest > UNSEEN_OHMS) {
      terms.add(Term.computed("R_0", "other ways, together", rest, Measure.MILLIOHMS));
      parts.add("R_0");
    }
    return new Sum(title, "R = " + String.join(" + ", parts), terms, expected, Measure.OHMS);
  }

  /** Of a figure that only the whole network's solution gives: what it starts from. */
  static List<Term> terms(RigNetwork network) {
    List<Term> terms = new ArrayList<>();
    for (Tolerance part : network.tolerances()) {
      if (part.way() == Tolerance.Way.SUPPLY) {
        terms.add(term("E", part));
      } else if (part.way() == Tolerance.Way.CONTROLLER) {
        terms.add(term("U_c", part));
      }
    }
    return terms;
  }

  static Term term(String symbol, Tolerance part) {
    return new Term(
        symbol, part.label(), part.nominal(), part.measure(), Optional.of(part.provenance()));
  }
}
