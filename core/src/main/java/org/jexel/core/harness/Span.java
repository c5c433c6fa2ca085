package org.jexel.core.harness;

import java.util.List;
import org.jexel.core.connector.PinFunction;

/**
 * One piece of conductor between two named points, told from the source towards the load.
 *
 * @param branch of which circuit it is
 * @param function the job of its conductor
 * @param duty where it runs
 * @param from nearer end, a node name
 * @param to farther end, a node name
 * @param length m
 * @param size its wire
 * @param path points on the trailer's frame that it passes; empty in the vehicle and in the cord
 */
public record Span(
    Branch branch,
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
    return new Span(branch, function, duty, from, to, length, newSize, path);
  }

  /** The circuit that it belongs to, for people. */
  public String circuit() {
    return branch.label();
  }

  public double ohms() {
    return size.ohms(length);
  }
}
