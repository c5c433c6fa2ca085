package org.jexel.core.harness;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jexel.core.connector.PinFunction;

/**
 * The planned harness: every span, every load, and the table of circuits.
 *
 * <p>Spans form two trees, one of live conductors from the battery's plus post and one of returns
 * from its minus post, so that the current in a span is the sum of the loads beyond it.
 *
 * @param spans live and return conductors
 * @param loads lamps and brakes
 * @param circuits one line a circuit
 */
public record Harness(List<Span> spans, List<Load> loads, List<Circuit> circuits) {
  public static final String BATTERY_PLUS = "bat_pos";
  public static final String BATTERY_MINUS = "bat_neg";

  public Harness {
    spans = List.copyOf(spans);
    loads = List.copyOf(loads);
    circuits = List.copyOf(circuits);
  }

  /** Design current of everything that one pin feeds, A. */
  public double amps(PinFunction function) {
    return loads.stream().filter(l -> l.function() == function).mapToDouble(Load::amps).sum();
  }

  /** The conductor from the battery that starts a function's way, if this harness has one. */
  public Optional<Span> feed(PinFunction function) {
    return spans.stream()
        .filter(s -> s.duty() == Duty.VEHICLE && s.function() == function)
        .findFirst();
  }

  /** The span that ends at each point; every point is fed by one span only. */
  private static Map<String, Span> feeding(List<Span> spans) {
    Map<String, Span> feeding = new HashMap<>(2 * spans.size());
    spans.forEach(span -> feeding.put(span.to(), span));
    return feeding;
  }

  private static List<Span> path(Map<String, Span> feeding, String node) {
    List<Span> path = new ArrayList<>();
    for (Span span = feeding.get(node); span != null; span = feeding.get(span.from())) {
      path.add(span);
    }
    Collections.reverse(path);
    return path;
  }

  /** The spans between a tree's root and a node, nearest first. */
  static List<Span> path(List<Span> spans, String node) {
    return path(feeding(spans), node);
  }

  /** The spans of each load, out and back. */
  static Map<Load, List<Span>> loops(List<Span> spans, List<Load> loads) {
    Map<String, Span> feeding = feeding(spans);
    Map<Load, List<Span>> loops = new LinkedHashMap<>();
    for (Load load : loads) {
      List<Span> loop = path(feeding, load.feed());
      loop.addAll(path(feeding, load.back()));
      loops.put(load, loop);
    }
    return loops;
  }

  /** Design current in each span when exactly the given loads are on, A. */
  static Map<Span, Double> currents(List<Span> spans, List<Load> on) {
    Map<Span, Double> amps = new LinkedHashMap<>();
    loops(spans, on)
        .forEach((load, loop) -> loop.forEach(span -> amps.merge(span, load.amps(), Double::sum)));
    return amps;
  }
}
