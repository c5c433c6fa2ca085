package org.jexel.core.braking;

/**
 * What a magnet's current makes of its brake: T = T_rated · clamp((I − 0.3 A) / (3.2 A − 0.3 A), 0,
 * 1.15). Below the threshold the magnet's spring holds it off the drum; above the rated current the
 * iron saturates.
 */
public final class BrakeTorque {
  private static final double THRESHOLD_AMPS = 0.3;
  private static final double RATED_AMPS = 3.2;
  private static final double MOST = 1.15;

  private BrakeTorque() {}

  /**
   * @param amps through the magnet, of either sign
   * @return share of the rated torque, 0 to 1.15
   */
  public static double share(double amps) {
    double share = (Math.abs(amps) - THRESHOLD_AMPS) / (RATED_AMPS - THRESHOLD_AMPS);
    return Math.max(0, Math.min(MOST, share));
  }
}
