package org.jexel.core.road;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import org.jexel.core.braking.Drag;

/**
 * The rig left to roll on the level, out of gear and with nothing braked: what rolling and air take
 * of it.
 *
 * <pre>
 * F = (m_v + m_t)·(v₁ − v₂) / t
 * k = F / F_usual, at the mean of v² over the time: (v₁² + v₁·v₂ + v₂²) / 3
 * </pre>
 *
 * Speed is taken to fall straight in between, which over four tenths of it is true to 3 %.
 *
 * @param from speed when the clock is started, m/s
 * @param to speed when it is stopped, m/s
 * @param seconds in between, s
 * @param vehicleMass kg
 * @param trailerMass with load, kg
 */
public record CoastDown(
    double from, double to, double seconds, double vehicleMass, double trailerMass) {
  /** Of a speedometer a smaller fall is too little to read, m/s. */
  public static final double LEAST_FALL = 2;

  /** Nobody rolls with less than half of the usual, or with more than four times as much. */
  private static final double LEAST = 0.5;

  private static final double MOST = 4;

  /** Beyond it a brake drags, or it went uphill. */
  private static final double DRAGS = 2;

  /** What of it counts; of a rig that rolls as none does nothing. */
  public Optional<Drag> drag() {
    double k = factor();
    return k >= LEAST && k <= MOST ? Optional.of(new Drag(k, true)) : Optional.empty();
  }

  /** Whether something beside air and tyres seems to hold it. */
  public boolean drags() {
    return factor() > DRAGS;
  }

  private double factor() {
    double force = (vehicleMass + trailerMass) * (from - to) / seconds;
    double squared = (from * from + from * to + to * to) / 3;
    return force / Drag.usual(vehicleMass, trailerMass, squared);
  }

  /** As it is kept. */
  public String text() {
    return String.format(
        Locale.ROOT, "%.3f %.3f %.2f %.1f %.1f", from, to, seconds, vehicleMass, trailerMass);
  }

  /** What was kept; empty for words that are none. */
  public static Optional<CoastDown> parse(String text) {
    try {
      double[] of = Arrays.stream(text.split(" ")).mapToDouble(Double::parseDouble).toArray();
      boolean sound =
          of.length == 5 && of[1] >= 0 && of[0] > of[1] && of[2] > 0 && of[3] > 0 && of[4] > 0;
      return sound
          ? Optional.of(new CoastDown(of[0], of[1], of[2], of[3], of[4]))
          : Optional.empty();
    } catch (NumberFormatException e) {
      return Optional.empty();
    }
  }
}
