package org.jexel.core.network;

/**
 * A fuse or breaker. It tells its share of rating, and whether it would open; a network stands as
 * it is until somebody opens it.
 *
 * @param ohms of the closed fuse with its holder
 * @param rating A
 */
public record Fuse(String name, String a, String b, double ohms, double rating)
    implements Element.Ohmic {
  /**
   * At this share of its rating a blade fuse opens within half an hour at most (ISO 8820-3: 1.35 of
   * the rating, 0.75 s to 1800 s).
   */
  private static final double OPENS = 1.35;

  public Fuse {
    if (!(ohms > 0) || !(rating > 0)) {
      throw new IllegalArgumentException(name + ": " + ohms + " Ω, rated " + rating + " A");
    }
  }

  /** Whether this current opens it within less time than people look. */
  public boolean opens(double amps) {
    return load(amps) > OPENS;
  }

  /** Current as a share of the rating; a fuse carries its load for good below 0.8. */
  public double load(double amps) {
    return Math.abs(amps) / rating;
  }
}
