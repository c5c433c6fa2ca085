package org.jexel.core.harness;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jexel.core.connector.PinFunction;

/**
 * The planned harness: every conductor, joint and load, and the table of circuits.
 *
 * <p>Spans and joints are told from their source on, live conductors from the battery's plus post,
 * returns from its minus post.
 *
 * @param spans live and return conductors
 * @param joints contacts between them
 * @param loads lamps and brakes
 * @param circuits one line a circuit
 * @param breakers what protects each function that draws a current
 * @param problems what cannot be as it is
 */
public record Harness(
    List<Span> spans,
    List<Joint> joints,
    List<Load> loads,
    List<Circuit> circuits,
    Map<PinFunction, BreakerChoice> breakers,
    List<Problem> problems) {
  public static final String BATTERY_PLUS = "bat_pos";
  public static final String BATTERY_MINUS = "bat_neg";
  public static final String CONTROLLER_IN = "ctrl_in";
  public static final String CONTROLLER_OUT = "ctrl_out";

  /** The trailer's frame, at the box. */
  public static final String FRAME = "frame";

  public static final String BREAKAWAY_PLUS = "bkw_pos";

  /** Terminals of the breakaway switch, the battery's side first. */
  public static final String SWITCH_IN = "switch_in";

  public static final String SWITCH_OUT = "switch_out";

  public Harness {
    spans = List.copyOf(spans);
    joints = List.copyOf(joints);
    loads = List.copyOf(loads);
    circuits = List.copyOf(circuits);
    breakers = Map.copyOf(breakers);
    problems = List.copyOf(problems);
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

  /** Whether any conductor of this harness does that job. */
  public boolean has(PinFunction function) {
    return feed(function).isPresent();
  }

  /** What protects a function in the vehicle, A: 0 without a circuit that needs it. */
  public double protection(PinFunction function) {
    return breakers.containsKey(function) ? breakers.get(function).chosen() : 0;
  }
}
