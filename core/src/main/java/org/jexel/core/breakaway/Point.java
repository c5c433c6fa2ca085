package org.jexel.core.breakaway;

/**
 * A place near the coupling.
 *
 * @param x ahead of the ball, m
 * @param y left of the middle, m
 * @param z above the ball, m
 */
public record Point(double x, double y, double z) {
  Point plus(Point other) {
    return new Point(x + other.x, y + other.y, z + other.z);
  }

  Point minus(Point other) {
    return new Point(x - other.x, y - other.y, z - other.z);
  }

  Point times(double factor) {
    return new Point(factor * x, factor * y, factor * z);
  }

  double dot(Point other) {
    return x * other.x + y * other.y + z * other.z;
  }

  /** Distance, m. */
  public double to(Point other) {
    Point way = minus(other);
    return Math.sqrt(way.dot(way));
  }

  /** How far it lies beside the line between two others, seen from above, m. */
  double beside(Point one, Point other) {
    double dx = other.x - one.x;
    double dy = other.y - one.y;
    double along = ((x - one.x) * dx + (y - one.y) * dy) / (dx * dx + dy * dy);
    double share = Math.max(0, Math.min(1, along));
    return Math.hypot(x - one.x - share * dx, y - one.y - share * dy);
  }

  /** Where it comes to on a trailer that stands so about the ball. */
  public Point on(Turn turn) {
    double ahead = x * Math.cos(turn.pitch()) + z * Math.sin(turn.pitch());
    double up = z * Math.cos(turn.pitch()) - x * Math.sin(turn.pitch());
    return new Point(
        ahead * Math.cos(turn.yaw()) - y * Math.sin(turn.yaw()),
        ahead * Math.sin(turn.yaw()) + y * Math.cos(turn.yaw()),
        up);
  }

  /**
   * How a trailer stands about the ball, seen from the vehicle.
   *
   * @param yaw its drawbar turned anticlockwise from straight behind, rad
   * @param pitch about the ball across, rad; either way is alike for what is asked of it
   */
  public record Turn(double yaw, double pitch) {
    public static final Turn STRAIGHT = new Turn(0, 0);
  }
}
