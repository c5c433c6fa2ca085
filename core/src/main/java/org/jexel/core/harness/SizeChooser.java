package org.jexel.core.harness;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
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
 * <p>Limits: lamps 5 % from the socket on (the vehicle's own loom is not this job's), brakes 6 %
 * and charge 4 % from the battery on, of 12.8 V.
 */
final class SizeChooser {
  private static final double LAMP_LIMIT = 0.05;
  private static final double BRAKE_LIMIT = 0.06;
  private static final double CHARGE_LIMIT = 0.04;

  private record Stretch(String circuit, Duty duty) {}

  private final List<WireSize> stock;
  private final List<Load> loads;
  private List<Span> spans;
  private final Map<Stretch, String> binding = new HashMap<>();

  private SizeChooser(List<Span> spans, List<Load> loads, List<WireSize> stock) {
    this.spans = new ArrayList<>(spans);
    this.loads = loads;
    this.stock = stock;
  }

  static Harness choose(List<Span> spans, List<Load> loads, List<WireSize> stock) {
    SizeChooser chooser = new SizeChooser(spans, loads, stock);
    chooser.byDuty();
    chooser.byCurrent();
    chooser.byDrop();
    return new Harness(chooser.spans, loads, chooser.circuits());
  }

  /** Least cross-section of a duty, m²: 16 AWG or 1.0 mm², 14 AWG or 2.0 mm², 12 AWG or 3.3 mm². */
  private static double leastArea(Span span) {
    boolean brake = span.circuit().startsWith("brake");
    return switch (span.duty()) {
      case TRUNK -> 3.3e-6;
      case ACROSS -> 2.0e-6;
      case VEHICLE, CORD ->
          brake || span.function() == PinFunction.EARTH || span.function() == PinFunction.CHARGE
              ? 3.3e-6
              : 1.0e-6;
      case RUN -> 1.0e-6;
    };
  }

  private void byDuty() {
    for (int i = 0; i < spans.size(); i++) {
      Span span = spans.get(i);
      WireSize size =
          stock.stream()
              .filter(candidate -> candidate.area() >= leastArea(span))
              .findFirst()
              .orElse(thickest());
      spans.set(i, span.with(size));
      binding.put(stretch(span), "least size for this run");
    }
  }

  private void byCurrent() {
    boolean grown = true;
    while (grown) {
      grown = false;
      for (Map.Entry<Span, Double> entry : Harness.currents(spans, loads).entrySet()) {
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
      List<Load> on = loads.stream().filter(load -> load.function() == function).toList();
      if (on.isEmpty()) {
        continue;
      }
      double limit = limit(function);
      while (true) {
        Map<Load, List<Span>> loops = Harness.loops(spans, on);
        Map<Span, Double> amps = Harness.currents(spans, on);
        Load far = farthest(loops, amps);
        Map<Stretch, Double> waste = new LinkedHashMap<>();
        for (Span span : counted(far, loops.get(far))) {
          if (span.size() != thickest()) {
            waste.merge(stretch(span), span.ohms() * amps.get(span), Double::sum);
          }
        }
        if (drop(far, loops.get(far), amps) <= limit) {
          break;
        }
        if (waste.isEmpty()) {
          counted(far, loops.get(far))
              .forEach(span -> binding.put(stretch(span), "thickest in stock"));
          break;
        }
        Stretch worst = waste.entrySet().stream().max(Map.Entry.comparingByValue()).get().getKey();
        grow(worst, "drop");
      }
    }
  }

  private void grow(Stretch stretch, String reason) {
    for (int i = 0; i < spans.size(); i++) {
      Span span = spans.get(i);
      if (stretch(span).equals(stretch) && span.size() != thickest()) {
        spans.set(i, span.with(stock.get(stock.indexOf(span.size()) + 1)));
      }
    }
    binding.put(stretch, reason);
  }

  /** The spans of a load's loop whose loss counts against its limit. */
  private static List<Span> counted(Load load, List<Span> loop) {
    boolean lamp = load.kind() == Load.Kind.FILAMENT || load.kind() == Load.Kind.LED;
    return lamp ? loop.stream().filter(span -> span.duty() != Duty.VEHICLE).toList() : loop;
  }

  private static double drop(Load load, List<Span> loop, Map<Span, Double> amps) {
    return counted(load, loop).stream().mapToDouble(span -> span.ohms() * amps.get(span)).sum();
  }

  private static Load farthest(Map<Load, List<Span>> loops, Map<Span, Double> amps) {
    return loops.keySet().stream()
        .max(Comparator.comparingDouble(load -> drop(load, loops.get(load), amps)))
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

  private List<Circuit> circuits() {
    Map<Load, List<Span>> loops = Harness.loops(spans, loads);
    List<Circuit> circuits = new ArrayList<>();
    spans.stream().map(Span::circuit).distinct().forEach(name -> circuit(name, loops, circuits));
    return circuits;
  }

  private void circuit(String name, Map<Load, List<Span>> loops, List<Circuit> circuits) {
    List<Span> own = spans.stream().filter(span -> span.circuit().equals(name)).toList();
    PinFunction function = own.get(0).function();
    Map<Load, List<Span>> through = new LinkedHashMap<>(loops);
    through.values().removeIf(loop -> loop.stream().noneMatch(s -> s.circuit().equals(name)));
    if (through.isEmpty()) {
      return;
    }
    List<Load> on =
        function == PinFunction.EARTH
            ? List.copyOf(through.keySet())
            : loads.stream().filter(load -> load.function() == function).toList();
    Map<Span, Double> amps = Harness.currents(spans, on);
    Load far = farthest(through, amps);
    boolean back = function == PinFunction.EARTH;
    List<Span> loop = counted(far, through.get(far));
    if (back) {
      loop = loop.stream().filter(span -> span.function() == PinFunction.EARTH).toList();
    }
    double ohms = loop.stream().mapToDouble(Span::ohms).sum();
    double drop = loop.stream().mapToDouble(span -> span.ohms() * amps.get(span)).sum();
    double load = own.stream().mapToDouble(span -> amps.getOrDefault(span, 0.0)).max().orElse(0);
    double limit = limit(far.function());
    boolean carries = own.stream().allMatch(s -> amps.getOrDefault(s, 0.0) <= s.size().amps());
    Verdict verdict = !carries ? Verdict.FAILS : drop <= limit ? Verdict.HOLDS : Verdict.WATCH;
    circuits.add(
        new Circuit(
            name,
            function,
            own.stream().mapToDouble(Span::length).sum(),
            own.stream().map(span -> span.size().label()).distinct().toList(),
            load,
            drop,
            limit,
            back ? 0 : Protection.leastFor(load),
            own.stream()
                .map(span -> binding.get(stretch(span)))
                .distinct()
                .reduce((a, b) -> a + ", " + b)
                .orElse(""),
            verdict,
            sum(name, far, loop, load, ohms, drop, back)));
  }

  private static Sum sum(
      String name, Load far, List<Span> loop, double load, double ohms, double drop, boolean back) {
    List<Term> terms = new ArrayList<>();
    terms.add(
        Term.computed(
            "L",
            back ? "return from " + far.label() : "loop to " + far.label() + " and back",
            loop.stream().mapToDouble(Span::length).sum(),
            Measure.LENGTH));
    terms.add(Term.computed("R", "copper of that loop at 40 °C", ohms, Measure.MILLIOHMS));
    terms.add(Term.computed("I", "load of the circuit", load, Measure.AMPS));
    return new Sum(
        "Drop of “" + name + "”, at " + far.label(),
        "U = Σ R·I, each span's R = ρ·l/A times the current beyond it",
        terms,
        drop,
        Measure.VOLTS);
  }

  private static Stretch stretch(Span span) {
    return new Stretch(span.circuit(), span.duty());
  }

  private WireSize thickest() {
    return stock.get(stock.size() - 1);
  }
}
