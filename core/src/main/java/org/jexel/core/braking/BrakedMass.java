package org.jexel.core.braking;

import java.util.List;

/**
 * A mass on wheels of its own, some of them braked, with nothing that pulls or pushes it.
 *
 * <p>On a slope it stands while m·g·sin θ ≤ Σ min(T/r, μ·N·cos θ). On the level it comes to rest
 * under F = Σ T/r, or μ_slide·N for a wheel that locks, which builds up as F·(1 − e^(−t/τ)): v = v0
 * − (F/m)·(t − τ·(1 − e^(−t/τ))).
 *
 * @param mass kg
 * @param wheels its braked ones
 */
public record BrakedMass(double mass, List<Wheel> wheels) {
  /** Magnet and mechanism take so long to come on, s. */
  public static final double LAG_S = 0.15;

  /** Halvings that leave less than a nanosecond or a nanoradian. */
  private static final int HALVINGS = 60;

  /** Longer than any trailer rolls that brakes at all, s. */
  private static final double LONGEST_S = 3600;

  public BrakedMass {
    wheels = List.copyOf(wheels);
    if (!(mass > 0)) {
      throw new IllegalArgumentException("mass must be above zero, not " + mass);
    }
  }

  /**
   * @param force of its brake at the ground, T/r, N
   * @param load on it, on the level, N
   */
  public record Wheel(double force, double load) {}

  /**
   * @param seconds until it stands
   * @param metres on its way
   */
  public record Rest(double seconds, double metres) {}

  /** The steepest slope on which it stands by itself, rad. */
  public double slope(Surface surface) {
    double low = 0;
    double high = Math.PI / 2;
    for (int i = 0; i < HALVINGS; i++) {
      double middle = (low + high) / 2;
      if (held(middle, surface) >= mass * Stop.G * Math.sin(middle)) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return low;
  }

  private double held(double slope, Surface surface) {
    return wheels.stream()
        .mapToDouble(w -> Math.min(w.force, surface.peak() * w.load * Math.cos(slope)))
        .sum();
  }

  /**
   * How it comes to rest on the level; NaN both where nothing brakes.
   *
   * @param speed m/s
   */
  public Rest from(double speed, Surface surface) {
    double a = braked(surface) / mass;
    if (!(a > 0)) {
      return new Rest(Double.NaN, Double.NaN);
    }
    double low = 0;
    double high = LONGEST_S;
    for (int i = 0; i < HALVINGS; i++) {
      double middle = (low + high) / 2;
      if (speed - a * (middle - LAG_S * risen(middle)) > 0) {
        low = middle;
      } else {
        high = middle;
      }
    }
    double metres = speed * low - a * (low * low / 2 - LAG_S * (low - LAG_S * risen(low)));
    return new Rest(low, metres);
  }

  /** Full braking force, N. */
  private double braked(Surface surface) {
    return wheels.stream()
        .mapToDouble(w -> w.force > surface.peak() * w.load ? surface.slide() * w.load : w.force)
        .sum();
  }

  private static double risen(double seconds) {
    return 1 - Math.exp(-seconds / LAG_S);
  }
}
