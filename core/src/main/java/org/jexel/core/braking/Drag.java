package org.jexel.core.braking;

/**
 * What rolling and air take, with nothing braked: F = k·(c·m·g·cos θ + ½·ρ·c_w·A·v²). Starting
 * values: c = 0.012, ρ = 1.2 kg/m³, c_w·A = 1.0 m² for a vehicle and 1.2 m² for what its trailer
 * adds, k = 1 until a coast-down tells better.
 *
 * @param factor k
 * @param measured whether a coast-down told it
 */
public record Drag(double factor, boolean measured) {
  /** Of a rig that nobody let coast. */
  public static final Drag USUAL = new Drag(1, false);

  private static final double ROLLING = 0.012;
  private static final double HALF_AIR = 0.6;
  private static final double VEHICLE = 1.0;
  private static final double TRAILER = 1.2;

  /**
   * @param pull of the earth across the road, g·cos θ, m/s²
   * @return N
   */
  static double vehicle(double mass, double speed, double pull) {
    return of(mass, speed * speed, pull, VEHICLE);
  }

  static double trailer(double mass, double speed, double pull) {
    return of(mass, speed * speed, pull, TRAILER);
  }

  /** Mean over the way of a stop on the level, in which v² falls evenly: N. */
  public double ofStop(double vehicleMass, double trailerMass, double speed) {
    return factor * usual(vehicleMass, trailerMass, speed * speed / 2);
  }

  /**
   * Of a whole rig on the level, k = 1.
   *
   * @param squared mean of v², m²/s²
   * @return N
   */
  public static double usual(double vehicleMass, double trailerMass, double squared) {
    return of(vehicleMass, squared, Stop.G, VEHICLE) + of(trailerMass, squared, Stop.G, TRAILER);
  }

  private static double of(double mass, double squared, double pull, double area) {
    return mass > 0 ? ROLLING * mass * pull + HALF_AIR * area * squared : 0;
  }
}
