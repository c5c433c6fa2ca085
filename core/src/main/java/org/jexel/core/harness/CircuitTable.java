package org.jexel.core.harness;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.Sum;
import org.jexel.core.quantity.Term;
import org.jexel.core.quantity.Verdict;

/** The lines of the harness table: each circuit with its load, its drop and what the laws say. */
final class CircuitTable {
  private static final String SHORTER_OR_SPLIT =
      "A shorter run, a second conductor, a run per side, or a relay at the trailer.";

  private final Currents now;
  private final FullLoad fullLoad;
  private final RatingLaw law;
  private final Function<Span, String> binding;

  /**
   * @param binding what set the size of a conductor
   */
  CircuitTable(Currents now, FullLoad fullLoad, RatingLaw law, Function<Span, String> binding) {
    this.now = now;
    this.fullLoad = fullLoad;
    this.law = law;
    this.binding = binding;
  }

  /**
   * @param buy by circuit, sizes that would fit and are not on the shelf
   */
  List<Circuit> lines(List<Span> spans, Map<Branch, String> buy) {
    return spans.stream()
        .map(Span::branch)
        .distinct()
        .map(branch -> line(branch, spans, buy.getOrDefault(branch, "")))
        .toList();
  }

  private Circuit line(Branch branch, List<Span> spans, String buy) {
    List<Span> own = spans.stream().filter(span -> span.branch().equals(branch)).toList();
    PinFunction function = own.get(0).function();
    boolean back = function == PinFunction.EARTH;
    List<Load> through =
        now.loads().stream().filter(l -> own.stream().anyMatch(s -> now.passes(l, s))).toList();
    Map<Span, Double> amps = now.of(back ? now.loads() : fullLoad.fed(function));
    double load = own.stream().mapToDouble(span -> amps.getOrDefault(span, 0.0)).max().orElse(0);
    double drop = 0;
    double limit = FullLoad.limit(function);
    Sum sum = idle(branch.label());
    if (!through.isEmpty()) {
      Predicate<Span> part = span -> !back || span.function() == PinFunction.EARTH;
      Load far =
          through.stream()
              .max(Comparator.comparingDouble(l -> loss(l, part) / FullLoad.limit(l.function())))
              .orElseThrow();
      drop = loss(far, part);
      limit = FullLoad.limit(far.function());
      Predicate<Span> counted = FullLoad.counts(far).and(part);
      List<Span> loop = spans.stream().filter(s -> counted.test(s) && now.passes(far, s)).toList();
      sum = sum(branch.label(), far, loop, drop, back);
    }
    String bound = own.stream().map(binding).distinct().collect(Collectors.joining(", "));
    List<Ruling> rulings = new ArrayList<>(law.of(own));
    if (drop > limit) {
      rulings.add(tooMuch(drop, limit, bound, buy));
    }
    BreakerChoice breaker = law.breakers().get(function);
    return new Circuit(
        branch,
        function,
        own.stream().mapToDouble(Span::length).sum(),
        own.stream().map(span -> span.size().label()).distinct().toList(),
        load,
        drop,
        limit,
        back || load == 0 || breaker == null ? 0 : breaker.chosen(),
        bound,
        buy,
        rulings,
        sum);
  }

  private double drop(Load load, Predicate<Span> part) {
    return now.drop(load, fullLoad.together(load), FullLoad.counts(load).and(part));
  }

  private double loss(Load load, Predicate<Span> part) {
    return now.loss(load, fullLoad.together(load), FullLoad.counts(load).and(part));
  }

  private static Ruling tooMuch(double drop, double limit, String bound, String buy) {
    return new Ruling(
        Ruling.Law.DROP,
        Verdict.WATCH,
        Phrase.of(
            "Loses %.2f V of the %.2f V allowed (%s). %s",
            drop, limit, bound, buy.isEmpty() ? SHORTER_OR_SPLIT : "Buy %s.".formatted(buy)));
  }

  /** A circuit that carries nothing while the rig is whole: the breakaway's. */
  private static Sum idle(String name) {
    return new Sum(
        "Drop of “" + name + "”",
        "carries nothing until it is pulled",
        List.of(),
        0,
        Measure.VOLTS);
  }

  /** What is lost on each stretch of the way, out and back, each span with its own current. */
  private Sum sum(String name, Load far, List<Span> loop, double drop, boolean back) {
    List<Term> terms = new ArrayList<>();
    for (Duty duty : Duty.values()) {
      for (boolean earth : new boolean[] {false, true}) {
        List<Span> stretch =
            loop.stream()
                .filter(s -> s.duty() == duty && (s.function() == PinFunction.EARTH) == earth)
                .toList();
        if (!stretch.isEmpty()) {
          double volts = drop(far, stretch::contains);
          double ohms = stretch.stream().mapToDouble(Span::ohms).sum();
          terms.add(
              Term.computed(
                  "U_" + (terms.size() + 1),
                  Phrase.of(
                      "%s, %s: %.1f mΩ at 40 °C",
                      duty.label(), earth ? "back" : "out", 1000 * ohms),
                  volts,
                  Measure.MILLIVOLTS));
        }
      }
    }
    double inFrame = now.inFrame(far, fullLoad.together(far));
    if (inFrame > 0) {
      terms.add(
          Term.computed(
              "U_" + (terms.size() + 1),
              "frame and earth screws, back",
              inFrame,
              Measure.MILLIVOLTS));
    }
    return new Sum(
        "Drop of “" + name + "”, at " + far.label() + (back ? ", the way back" : ", out and back"),
        "U = " + terms.stream().map(Term::symbol).collect(Collectors.joining(" + ")),
        terms,
        drop,
        Measure.VOLTS);
  }
}
