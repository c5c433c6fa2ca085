package org.jexel.core.harness;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Sum;
import org.jexel.core.quantity.Term;
import org.jexel.core.quantity.Verdict;

/**
 * Chooses wire sizes: the smallest stocked size that satisfies the least size of its duty, the
 * current, and the drop at full load along the whole loop.
 *
 * <p>Every stretch (a circuit's spans of one duty) starts at the least size of its duty, grows to
 * its current, and then, while a circuit's farthest load loses more than its limit, the stretch
 * that wastes most volts grows by one size. The last rule that made a stretch grow is its binding
 * reason.
 *
 * <p>Full load is every lamp at once for the lamps, and every brake at once for the brakes.
 * Contacts are left out here, since no wire makes them better; the network has them.
 *
 * <p>Limits: lamps 5 % from the socket on (the vehicle's own loom is not this job's), brakes 6 %
 * and charge 4 % from the battery on, of 12.8 V.
 */
final class SizeChooser {
  private static final double LAMP_LIMIT = 0.05;
  private static final double BRAKE_LIMIT = 0.06;
  private static final double CHARGE_LIMIT = 0.04;

  private record Stretch(String circuit, Duty duty) {}

  private final List<WireSize> sizes;
  private final List<Joint> joints;
  private final List<Load> loads;
  private final List<Span> spans;
  private final Map<Stretch, String> binding = new HashMap<>();
  private final Map<PinFunction, List<Load>> groups = new EnumMap<>(PinFunction.class);
  private Currents now;

  private SizeChooser(Wiring wiring, List<WireSize> sizes) {
    this.spans = new ArrayList<>(wiring.spans);
    this.joints = wiring.joints;
    this.loads = wiring.loads;
    this.sizes = sizes;
  }

  static Harness choose(Wiring wiring, List<WireSize> stock) {
    SizeChooser chooser = new SizeChooser(wiring, stock).grown();
    Map<String, String> buy =
        chooser.binding.containsValue(NONE_FITS) ? toBuy(wiring, stock) : Map.of();
    return new Harness(
        chooser.spans, wiring.joints, wiring.loads, chooser.circuits(buy), wiring.problems);
  }

  private static final String NONE_FITS = "thickest in stock, and still too thin";

  /** What would fit if it could be bought: by circuit, the sizes beyond the shelf. */
  private static Map<String, String> toBuy(Wiring wiring, List<WireSize> stock) {
    WireSize thickest = stock.get(stock.size() - 1);
    List<WireSize> all = new ArrayList<>(stock);
    WireSize.GAUGES.stream().filter(size -> size.area() > thickest.area()).forEach(all::add);
    WireSize.LARGER.stream().filter(size -> size.area() > thickest.area()).forEach(all::add);
    Map<String, String> buy = new HashMap<>();
    for (Span span : new SizeChooser(wiring, all).grown().spans) {
      if (span.size().area() > thickest.area()) {
        buy.merge(
            span.circuit(), span.size().label(), (a, b) -> a.contains(b) ? a : a + " and " + b);
      }
    }
    return buy;
  }

  private SizeChooser grown() {
    byDuty();
    byCurrent();
    byDrop();
    return this;
  }

  /** Least cross-section of a duty, m²: 16 AWG or 1.0 mm², 14 AWG or 2.0 mm², 12 AWG or 3.3 mm². */
  private static double leastArea(Span span) {
    boolean thick =
        span.circuit().startsWith("brake")
            || span.function() == PinFunction.EARTH
            || span.function() == PinFunction.CHARGE;
    return switch (span.duty()) {
      case TRUNK, BREAKAWAY -> 3.3e-6;
      case ACROSS -> 2.0e-6;
      case VEHICLE, CORD -> thick ? 3.3e-6 : 1.0e-6;
      case RUN -> 1.0e-6;
    };
  }

  private void byDuty() {
    for (int i = 0; i < spans.size(); i++) {
      Span span = spans.get(i);
      WireSize size =
          sizes.stream()
              .filter(candidate -> candidate.area() >= leastArea(span))
              .findFirst()
              .orElse(thickest());
      spans.set(i, span.with(size));
      binding.put(stretch(span), "least size for this run");
    }
  }

  private Currents currents() {
    now = now == null ? new Currents(spans, joints, loads) : now.resized(spans);
    return now;
  }

  private void byCurrent() {
    boolean grown = true;
    while (grown) {
      grown = false;
      for (Map.Entry<Span, Double> entry : currents().of(loads).entrySet()) {
        Span span = entry.getKey();
        if (entry.getValue() > span.size().amps() && span.size() != thickest()) {
          grow(stretch(span), "current");
          grown = true;
          break;
        }
      }
    }
  }

  private void byDrop() {
    for (PinFunction function : PinFunction.values()) {
      List<Load> fed = fed(function);
      while (!fed.isEmpty()) {
        Currents now = currents();
        List<Load> on = together(fed.get(0));
        Load far = farthest(now, fed, on);
        if (now.drop(far, on, counts(far)) <= limit(function)) {
          break;
        }
        Map<Stretch, Double> waste = new LinkedHashMap<>();
        for (Span span : spans) {
          if (now.passes(far, span) && counts(far).test(span)) {
            if (span.size() == thickest()) {
              binding.put(stretch(span), NONE_FITS);
            } else {
              waste.merge(stretch(span), now.waste(far, on, span), Double::sum);
            }
          }
        }
        if (waste.isEmpty()) {
          break;
        }
        grow(waste.entrySet().stream().max(Map.Entry.comparingByValue()).get().getKey(), "drop");
      }
    }
  }

  private void grow(Stretch stretch, String reason) {
    for (int i = 0; i < spans.size(); i++) {
      Span span = spans.get(i);
      if (stretch(span).equals(stretch) && span.size() != thickest()) {
        spans.set(i, span.with(sizes.get(sizes.indexOf(span.size()) + 1)));
      }
    }
    binding.put(stretch, reason);
  }

  private List<Load> fed(PinFunction function) {
    return loads.stream().filter(load -> load.function() == function).toList();
  }

  /** The loads that are on together at the full load of one of them. */
  private List<Load> together(Load one) {
    return groups.computeIfAbsent(
        one.lamp() ? PinFunction.TAIL : one.function(),
        key ->
            loads.stream()
                .filter(load -> one.lamp() ? load.lamp() : load.function() == one.function())
                .toList());
  }

  /** Which spans' loss counts against a load's limit. */
  private static Predicate<Span> counts(Load load) {
    return load.lamp() ? span -> span.duty() != Duty.VEHICLE : span -> true;
  }

  private static Load farthest(Currents now, List<Load> among, List<Load> on) {
    return among.stream()
        .max(Comparator.comparingDouble(load -> now.drop(load, on, counts(load))))
        .orElseThrow();
  }

  private static double limit(PinFunction function) {
    return LampLoad.NOMINAL_VOLTS
        * switch (function) {
          case BRAKE -> BRAKE_LIMIT;
          case CHARGE -> CHARGE_LIMIT;
          default -> LAMP_LIMIT;
        };
  }

  private List<Circuit> circuits(Map<String, String> buy) {
    Currents now = currents();
    List<Circuit> circuits = new ArrayList<>();
    spans.stream()
        .map(Span::circuit)
        .distinct()
        .forEach(name -> circuits.add(circuit(name, now, buy.getOrDefault(name, ""))));
    return circuits;
  }

  private Circuit circuit(String name, Currents now, String buy) {
    List<Span> own = spans.stream().filter(span -> span.circuit().equals(name)).toList();
    PinFunction function = own.get(0).function();
    boolean back = function == PinFunction.EARTH;
    List<Load> through =
        loads.stream().filter(load -> own.stream().anyMatch(s -> now.passes(load, s))).toList();
    Map<Span, Double> amps = now.of(back ? loads : fed(function));
    double load = own.stream().mapToDouble(span -> amps.getOrDefault(span, 0.0)).max().orElse(0);
    boolean carries = own.stream().allMatch(s -> amps.getOrDefault(s, 0.0) <= s.size().amps());
    double drop = 0;
    double limit = limit(function);
    Sum sum = idle(name);
    if (!through.isEmpty()) {
      Predicate<Span> part = span -> !back || span.function() == PinFunction.EARTH;
      Load far =
          through.stream()
              .max(
                  Comparator.comparingDouble(
                      l -> now.drop(l, together(l), counts(l).and(part)) / limit(l.function())))
              .orElseThrow();
      Predicate<Span> counted = counts(far).and(part);
      drop = now.drop(far, together(far), counted);
      limit = limit(far.function());
      List<Span> loop = spans.stream().filter(s -> counted.test(s) && now.passes(far, s)).toList();
      sum = sum(name, far, loop, load, drop, back);
    }
    Verdict verdict = !carries ? Verdict.FAILS : drop <= limit ? Verdict.HOLDS : Verdict.WATCH;
    return new Circuit(
        name,
        function,
        own.stream().mapToDouble(Span::length).sum(),
        own.stream().map(span -> span.size().label()).distinct().toList(),
        load,
        drop,
        limit,
        back || load == 0 ? 0 : Protection.leastFor(load),
        own.stream()
            .map(span -> binding.get(stretch(span)))
            .distinct()
            .reduce((a, b) -> a + ", " + b)
            .orElse(""),
        buy,
        verdict,
        sum);
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

  private static Sum sum(
      String name, Load far, List<Span> loop, double load, double drop, boolean back) {
    List<Term> terms = new ArrayList<>();
    terms.add(
        Term.computed(
            "L",
            back ? "return from " + far.label() : "loop to " + far.label() + " and back",
            loop.stream().mapToDouble(Span::length).sum(),
            Measure.LENGTH));
    terms.add(
        Term.computed(
            "R",
            "copper of that loop at 40 °C",
            loop.stream().mapToDouble(Span::ohms).sum(),
            Measure.MILLIOHMS));
    terms.add(Term.computed("I", "load of the circuit", load, Measure.AMPS));
    return new Sum(
        "Drop of “" + name + "”, at " + far.label(),
        "U = Σ R·I, each span's R = ρ·l/A times the current in it",
        terms,
        drop,
        Measure.VOLTS);
  }

  private static Stretch stretch(Span span) {
    return new Stretch(span.circuit(), span.duty());
  }

  private WireSize thickest() {
    return sizes.get(sizes.size() - 1);
  }
}
