package org.jexel.core.rig;

/**
 * Something on the bed.
 *
 * @param name what it is
 * @param mass kg
 * @param x where its middle stands, m behind the ball
 */
public record LoadItem(String name, double mass, double x) {
  /**
   * Something known by its volume.
   *
   * @param volume m³
   * @param density kg/m³
   */
  public static LoadItem ofVolume(String name, double volume, double density, double x) {
    return new LoadItem(name, volume * density, x);
  }

  /** A bed full of lead: what is more is no load, and the sums of motion would not end. */
  private static final double MOST_KG = 2e6;

  private static final double MOST_M = 100;

  public LoadItem {
    if (!(mass >= 0 && mass <= MOST_KG) || !(Math.abs(x) <= MOST_M)) {
      throw new IllegalArgumentException(name + ": mass " + mass + " kg at " + x + " m");
    }
  }
}
