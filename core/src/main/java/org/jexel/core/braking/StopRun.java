package org.jexel.core.braking;

import java.util.Comparator;
import java.util.List;

/**
 * One stop, computed: the train's motion, each magnet's current behind its lag, and which wheels
 * slide, integrated from the moment at which the brakes are asked for until it stands.
 *
 * <pre>
 * dv/dt = −a        dx/dt = v        dI/dt = (I(output) − I)/τ
 * a wheel slides from where T/r passes μ·N on
 * </pre>
 *
 * It slides to the end: what is asked for is held, and where a sensed stop eases the brakes, they
 * lose a smaller share than a sliding tyre does, so that T/r stays above μ_slide·N. At each wheel
 * that begins to slide the integration starts anew; between them the equations are smooth.
 *
 * @param stands whether it came to rest within a minute
 * @param seconds to stand, or until it was given up
 * @param metres to stand, or until it was given up
 * @param push greatest of the trailer on the vehicle, N; 0 if it never pushes
 * @param pull greatest the other way, N; 0 if it never tugs
 * @param locks wheels that slid, in the order in which they did
 * @param series every so often
 * @param work where the motion's energy went
 */
public record StopRun(
    boolean stands,
    double seconds,
    double metres,
    double push,
    double pull,
    List<Lock> locks,
    List<Moment> series,
    Work work) {
  /** Magnet and mechanism take so long to come on, s. */
  public static final double LAG_S = 0.15;

  /** Of the integration, relative and in SI. */
  private static final double TOLERANCE = 1e-8;

  /**
   * @param brake its place in {@link Train#brakes()}
   * @param seconds since the brakes were asked for
   */
  public record Lock(int brake, double seconds) {}

  /**
   * @param seconds since the brakes were asked for
   * @param speed m/s
   * @param metres since then
   * @param deceleration m/s²
   * @param coupler push of the trailer on the vehicle, N
   * @param trailer its brakes at the ground, N
   * @param vehicle the vehicle's brakes, N
   * @param uses of each brake's wheel: braking force over what its tyre can give; above 1 it slides
   */
  public record Moment(
      double seconds,
      double speed,
      double metres,
      double deceleration,
      double coupler,
      double trailer,
      double vehicle,
      double[] uses) {
    /** Whether a wheel slides. */
    public boolean slides(int brake) {
      return uses[brake] > 1;
    }
  }

  /**
   * J that each took out of the motion; what a rise takes is above zero.
   *
   * @param lost kinetic energy
   */
  public record Work(double trailer, double vehicle, double drag, double slope, double lost) {}

  public StopRun {
    locks = List.copyOf(locks);
    series = List.copyOf(series);
  }

  public static StopRun of(Train train, Drive drive) {
    return of(train, drive, TOLERANCE);
  }

  static StopRun of(Train train, Drive drive, double tolerance) {
    return new StopMotion(train, drive, tolerance).toStand();
  }

  /** Mean over the way: v²/(2·d), m/s². */
  public double meanDeceleration() {
    double speed = series.get(0).speed();
    return speed * speed / (2 * metres);
  }

  /** The moment of the series nearest to a time in s. */
  public Moment at(double time) {
    return series.stream()
        .min(Comparator.comparingDouble(m -> Math.abs(m.seconds() - time)))
        .orElseThrow();
  }
}
