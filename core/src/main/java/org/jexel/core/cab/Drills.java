package org.jexel.core.cab;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.jexel.core.quantity.Fraction;
import org.jexel.core.quantity.Phrase;

/** The drills of the workshop: millimetres in halves, inches in 64ths to 1/2 and 1/16ths above. */
public final class Drills {
  private static final double SMALLEST_M = 0.001;
  private static final double LARGEST_TWIST_M = 0.013;

  /** Step drills and hole saws, m. */
  private static final double[] LARGE = {
    0.014, 0.016, 0.018, 0.020, 0.022, 0.025, 0.028, 0.032, 0.035, 0.038, 0.044, 0.051
  };

  /**
   * A drill for a hole.
   *
   * @param label as stamped on it
   * @param diameter m
   * @param error over (+) or under (−) the wanted hole, m
   */
  public record Drill(String label, double diameter, double error) {}

  private Drills() {}

  /** The drills nearest to a hole, the best first: at most three. */
  public static List<Drill> nearest(double wanted) {
    if (!(wanted > 0 && wanted < 0.2)) {
      throw new IllegalArgumentException("no drill makes a hole of " + wanted + " m");
    }
    List<Drill> all = new ArrayList<>();
    for (double d = SMALLEST_M; d <= LARGEST_TWIST_M + 1e-9; d += 0.0005) {
      all.add(drill(Phrase.of("%.1f mm", 1000 * d), d, wanted));
    }
    for (double d : LARGE) {
      all.add(drill(Phrase.of("%.0f mm", 1000 * d), d, wanted));
    }
    for (int n = 4; n <= 32; n++) {
      Fraction f = new Fraction(n, 64);
      all.add(drill(f.toString(), f.metres(), wanted));
    }
    for (int n = 9; n <= 32; n++) {
      Fraction f = new Fraction(n, 16);
      all.add(drill(f.toString(), f.metres(), wanted));
    }
    all.sort(Comparator.comparingDouble(d -> Math.abs(d.error())));
    return List.copyOf(all.subList(0, 3));
  }

  private static Drill drill(String label, double diameter, double wanted) {
    return new Drill(label, diameter, diameter - wanted);
  }

  /** The smallest drill that lets a part of this diameter through. */
  public static Drill through(double part) {
    double d = part;
    List<Drill> near = new ArrayList<>();
    for (int i = 0; i < 60 && near.isEmpty(); i++) {
      for (Drill drill : nearest(d)) {
        if (drill.diameter() >= part - 1e-9) {
          near.add(new Drill(drill.label(), drill.diameter(), drill.diameter() - part));
        }
      }
      d += 0.0005;
    }
    return near.stream()
        .min(Comparator.comparingDouble(Drill::diameter))
        .orElseThrow(() -> new IllegalArgumentException("no drill for " + part + " m"));
  }
}
