package org.jexel.core.braking;

/**
 * The torque that a brake is made for, at the ground: T_rated/r = 0.60 · g · half of its axle's
 * rating, until stops have shown what it really is.
 */
public final class RatedBrake {
  private static final double SHARE = 0.60;

  private RatedBrake() {}

  /**
   * @param axleRating of its axle, kg
   * @return N at the tyre
   */
  public static double force(double axleRating) {
    return SHARE * Stop.G * axleRating / 2;
  }
}
