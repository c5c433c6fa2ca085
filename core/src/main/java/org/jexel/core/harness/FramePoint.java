package org.jexel.core.harness;

/**
 * A named place on the trailer's frame.
 *
 * @param id lower-case letters, digits and _, starting with the member it lies on
 * @param x behind the ball, m
 * @param y left of the middle, m
 */
public record FramePoint(String id, double x, double y) {
  double to(FramePoint other) {
    return Math.abs(x - other.x) + Math.abs(y - other.y);
  }
}
