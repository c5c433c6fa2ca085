package org.jexel.core.braking;

import java.util.List;

/**
 * Vehicle and trailer as masses, and the trailer's brakes.
 *
 * <p>By moments about the coupling, what stands on the trailer's axles while it brakes on a rise θ
 * is
 *
 * <pre>
 * N = W·g·cos θ − (m_t·(a − g·sin θ)·(h_g − h_c) + F_t·h_c) / x
 * </pre>
 *
 * with h_g its centre of mass and h_c the coupling above the ground. A trailer that came off is a
 * train without a vehicle: its nose takes what the coupling took.
 *
 * @param vehicleMass m_v, kg; 0 for a trailer by itself
 * @param trailerMass m_t with load, kg
 * @param axleGroup W, on all of its axles at rest, kg
 * @param toAxle x, from the coupling to the middle of the axles, m
 * @param wheels of the trailer, braked or not
 * @param brakes its brakes, one a wheel
 */
public record Train(
    double vehicleMass,
    double trailerMass,
    double axleGroup,
    double toAxle,
    int wheels,
    List<Brake> brakes) {
  /** Of the coupling, m: a starting value. */
  static final double COUPLING_HEIGHT = 0.45;

  /** Of a loaded trailer's centre of mass, m: a starting value. */
  static final double CENTRE_HEIGHT = 1.0;

  /** Halvings that leave less than a nanoradian. */
  private static final int HALVINGS = 40;

  public Train {
    brakes = List.copyOf(brakes);
    positive("trailer mass", trailerMass);
    positive("load on the axles", axleGroup);
    positive("way to the axles", toAxle);
    if (!(vehicleMass >= 0) || wheels < brakes.size() || wheels < 1) {
      throw new IllegalArgumentException(
          "a vehicle of " + vehicleMass + " kg and " + wheels + " wheels");
    }
  }

  private static void positive(String what, double value) {
    if (!(value > 0) || Double.isInfinite(value)) {
      throw new IllegalArgumentException(what + " must be above zero, not " + value);
    }
  }

  /**
   * One wheel's brake.
   *
   * @param axle counted from the front, from 0
   * @param left its side
   * @param drive what reaches it at outputs 0, 1/n … 1: amperes through a magnet, or the share of
   *     an actuator's pressure
   * @param magnet whether it is a magnet's
   * @param force of its rated torque at the ground, T_rated/r, N
   */
  public record Brake(int axle, boolean left, double[] drive, boolean magnet, double force) {
    /** What reaches it at an output from 0 to 1; between the figures it goes straight. */
    public double driveAt(double output) {
      double place = output * (drive.length - 1);
      int low = Math.min(drive.length - 2, (int) place);
      return drive[low] + (place - low) * (drive[low + 1] - drive[low]);
    }

    public Brake stronger(double factor) {
      return new Brake(axle, left, drive, magnet, force * factor);
    }

    /** Its force at the ground while the wheel turns, N. */
    public double forceAt(double driven) {
      return force * (magnet ? BrakeTorque.share(driven) : Math.max(0, Math.min(1, driven)));
    }
  }

  /** A brake's wheel, in words. */
  public String wheel(int brake) {
    Brake one = brakes.get(brake);
    return "axle " + (one.axle + 1) + " " + (one.left ? "left" : "right");
  }

  public double mass() {
    return vehicleMass + trailerMass;
  }

  /** Static load of one trailer wheel on the level, N. */
  public double wheelLoad() {
    return axleGroup * Stop.G / wheels;
  }

  /**
   * What braking by the trailer alone, on the level, takes off its wheels, N for each newton that
   * they brake with: (m_t/(m_v + m_t)·(h_g − h_c) + h_c)/x.
   */
  public double relief() {
    return (trailerMass / mass() * (CENTRE_HEIGHT - COUPLING_HEIGHT) + COUPLING_HEIGHT) / toAxle;
  }

  /**
   * The steepest slope on which it stands by its brakes alone at full output, rad: where m·g·sin θ
   * = Σ min(T/r, μ·N·cos θ).
   */
  public double slope(Surface surface) {
    double low = 0;
    double high = Math.PI / 2;
    for (int i = 0; i < HALVINGS; i++) {
      double middle = (low + high) / 2;
      if (held(middle, surface) >= mass() * Stop.G * Math.sin(middle)) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return low;
  }

  private double held(double slope, Surface surface) {
    double grips = surface.peak() * wheelLoad() * Math.cos(slope);
    return brakes.stream().mapToDouble(b -> Math.min(b.forceAt(b.driveAt(1)), grips)).sum();
  }

  /** The same train with its trailer at another mass, the load lying as it lies. */
  public Train laden(double mass) {
    return new Train(vehicleMass, mass, axleGroup * mass / trailerMass, toAxle, wheels, brakes);
  }

  /** The same train with all brakes so much stronger. */
  public Train stronger(double factor) {
    return with(brakes.stream().map(brake -> brake.stronger(factor)).toList());
  }

  /** The same train with other brakes. */
  public Train with(List<Brake> others) {
    return new Train(vehicleMass, trailerMass, axleGroup, toAxle, wheels, others);
  }
}
