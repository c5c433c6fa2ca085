package org.jexel.core.braking;

/** Between what bounds a test stop is believed. */
public enum StopLimits {
  /** From a brisk walk to what is still a test, m/s. */
  SPEED(10 / 3.6, 70 / 3.6),
  /** m. */
  DISTANCE(1, 300),
  /** s. */
  SECONDS(0.5, 60),
  /** m/s²; no tyre stops a rig on the level harder. */
  DECELERATION(0.1, 11);

  private final double least;
  private final double greatest;

  StopLimits(double least, double greatest) {
    this.least = least;
    this.greatest = greatest;
  }

  public double least() {
    return least;
  }

  public double greatest() {
    return greatest;
  }

  public boolean believes(double si) {
    return si >= least && si <= greatest;
  }

  /** Whether tyres could stop a rig from this speed in this distance. */
  public static boolean possible(double speed, double distance) {
    return speed * speed / (2 * distance) <= DECELERATION.greatest;
  }
}
