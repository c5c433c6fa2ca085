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

  public LoadItem {
    if (!(mass >= 0) || !Double.isFinite(x)) {
      throw new IllegalArgumentException(name + ": mass " + mass + " kg at " + x + " m");
    }
  }
}
