package org.jexel.core.harness;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

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

  /** The spans between a tree's root and a node, nearest first. */
  static List<Span> path(List<Span> spans, String node) {
    Map<String, Span> feeding = new HashMap<>();
    spans.forEach(span -> feeding.put(span.to(), span));
    List<Span> path = new ArrayList<>();
    for (Span span = feeding.get(node); span != null; span = feeding.get(span.from())) {
      path.add(0, span);
    }
    return path;
  }

  /** Design current in each span when exactly the given loads are on, A. */
  static Map<Span, Double> currents(List<Span> spans, List<Load> on) {
    Map<Span, Double> amps = new LinkedHashMap<>();
    for (Load load : on) {
      path(spans, load.feed()).forEach(span -> amps.merge(span, load.amps(), Double::sum));
      path(spans, load.back()).forEach(span -> amps.merge(span, load.amps(), Double::sum));
    }
    return amps;
  }
}
