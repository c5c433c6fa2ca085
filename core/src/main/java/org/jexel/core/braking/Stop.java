package org.jexel.core.braking;

import java.util.List;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Sum;
import org.jexel.core.quantity.Term;

/**
 * What one stop on the level tells.
 *
 * <p>From speed and distance a = v²/(2·d); from speed and time a = v/t. With the lever alone the
 * trailer brakes both masses: F_t = a·(m_v + m_t) − F_drag, and its share of its own weight is z =
 * F_t/(m_t·g).
 *
 * @param deceleration m/s²
 * @param trailerForce N; NaN when the vehicle braked too
 * @param share z, 1; NaN when the vehicle braked too
 * @param sums how each was found
 */
public record Stop(double deceleration, double trailerForce, double share, List<Sum> sums) {
  /** Standard gravity, m/s². */
  public static final double G = 9.80665;

  public Stop {
    sums = List.copyOf(sums);
  }

  /** Deceleration as an instrument tells it, once the brakes are on. */
  public static Sum read(double deceleration) {
    positive("deceleration", deceleration);
    return new Sum(
        "Deceleration",
        "a = mean of the trace",
        List.of(
            Term.computed("a", "mean after an onset of 0.3 s", deceleration, Measure.DECELERATION)),
        deceleration,
        Measure.DECELERATION);
  }

  /** Deceleration of a stop over a distance. */
  public static Sum fromDistance(double speed, double distance) {
    positive("speed", speed);
    positive("distance", distance);
    return new Sum(
        "Deceleration",
        "a = v² / (2 · d)",
        List.of(
            Term.computed("v", "speed at the start, m/s", speed, Measure.PLAIN),
            Term.computed("d", "stopping distance, m", distance, Measure.PLAIN)),
        speed * speed / (2 * distance),
        Measure.DECELERATION);
  }

  /** Deceleration of a stop over a time. */
  public static Sum fromTime(double speed, double seconds) {
    positive("speed", speed);
    positive("time", seconds);
    return new Sum(
        "Deceleration",
        "a = v / t",
        List.of(
            Term.computed("v", "speed at the start, m/s", speed, Measure.PLAIN),
            Term.computed("t", "time to stand, s", seconds, Measure.PLAIN)),
        speed / seconds,
        Measure.DECELERATION);
  }

  /**
   * @param a from {@link #fromDistance} or {@link #fromTime}
   * @param vehicleMass kg
   * @param trailerMass kg
   * @param speed at the start, m/s
   * @param drag what rolling and air take of this rig
   */
  public static Stop leverOnly(
      Sum a, double vehicleMass, double trailerMass, double speed, Drag drag) {
    positive("vehicle mass", vehicleMass);
    positive("trailer mass", trailerMass);
    double dragged = drag.ofStop(vehicleMass, trailerMass, speed);
    double force = a.si() * (vehicleMass + trailerMass) - dragged;
    double share = force / (trailerMass * G);
    Term trailer = Term.computed("m_t", "trailer with load, kg", trailerMass, Measure.COUNT);
    return new Stop(
        a.si(),
        force,
        share,
        List.of(
            a,
            new Sum(
                "Braking force of the trailer",
                "F_t = a · (m_v + m_t) − F_d",
                List.of(
                    Term.computed("a", "deceleration", a.si(), Measure.FINE),
                    Term.computed("m_v", "tow vehicle, kg", vehicleMass, Measure.COUNT),
                    trailer,
                    Term.computed(
                        "F_d",
                        drag.measured()
                            ? "rolling and air, by the coast-down, N"
                            : "rolling and air, assumed, N",
                        dragged,
                        Measure.COUNT)),
                force,
                Measure.FORCE),
            new Sum(
                "Share of the trailer's own weight",
                "z = F_t / (m_t · g)",
                List.of(
                    Term.computed("F_t", "braking force, N", force, Measure.COUNT),
                    trailer,
                    Term.computed("g", "standard gravity", G, Measure.PLAIN)),
                share,
                Measure.FINE)));
  }

  /** Whether it says more than tyres give: a share of the own weight above 1. */
  public boolean doubtful() {
    return share > 1;
  }

  /** A pedal stop: the two forces cannot be told apart. */
  public static Stop withPedal(Sum a) {
    return new Stop(a.si(), Double.NaN, Double.NaN, List.of(a));
  }

  private static void positive(String what, double value) {
    if (!(value > 0) || Double.isInfinite(value)) {
      throw new IllegalArgumentException(what + " must be above zero, not " + value);
    }
  }
}
