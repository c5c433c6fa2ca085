package org.jexel.core.network;

/**
 * A fuse or breaker. It tells its share of rating; it does not open by itself.
 *
 * @param ohms of the closed fuse with its holder
 * @param rating A
 */
public record Fuse(String name, String a, String b, double ohms, double rating)
    implements Element.Ohmic {
  public Fuse {
    if (!(ohms > 0) || !(rating > 0)) {
      throw new IllegalArgumentException(name + ": " + ohms + " Ω, rated " + rating + " A");
    }
  }

  /** Current as a share of the rating; a fuse carries its load for good below 0.8. */
  public double load(double amps) {
    return Math.abs(amps) / rating;
  }
}
