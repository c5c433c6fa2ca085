package org.jexel.core.harness;

import java.util.List;
import org.jexel.core.connector.PinFunction;

/**
 * One piece of conductor between two named points, told from the source towards the load.
 *
 * @param circuit the circuit that it belongs to
 * @param function the job of its conductor
 * @param duty where it runs
 * @param from nearer end, a node name
 * @param to farther end, a node name
 * @param length m
 * @param size its wire
 * @param path points on the trailer's frame that it passes; empty in the vehicle and in the cord
 */
public record Span(
    String circuit,
    PinFunction function,
    Duty duty,
    String from,
    String to,
    double length,
    WireSize size,
    List<FramePoint> path) {
  public Span {
    path = List.copyOf(path);
  }

  public Span with(WireSize newSize) {
    return new Span(circuit, function, duty, from, to, length, newSize, path);
  }

  public double ohms() {
    return size.ohms(length);
  }
}
