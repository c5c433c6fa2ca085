package org.jexel.core.check;

import java.util.Optional;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.NoFigure;

/** What a meter can show on a rig of this kind at all; anything else is a slip of hand or range. */
public final class Plausible {
  /** Above any 12 V system with a charger on it, V. */
  private static final double MOST_VOLTS = 30;

  /** Above what a short behind any fuse of the trade draws before that opens, A. */
  private static final double MOST_AMPS = 150;

  /** Above the range of a workshop meter, Ω. */
  private static final double MOST_OHMS = 20e6;

  private Plausible() {}

  /** Why a reading cannot be one, or nothing. */
  public static Optional<String> problem(Measure measure, double si) {
    return Optional.ofNullable(
        switch (measure) {
          case OHMS ->
              si < 0 && NoFigure.of(measure, si).isEmpty()
                  ? "Resistance cannot be negative. If the circuit is live, type live."
                  : si > MOST_OHMS
                      ? "Above any meter's range. Type open for an open circuit."
                      : null;
          case VOLTS ->
              Math.abs(si) > MOST_VOLTS
                  ? "More than 30 V cannot stand on this rig. Check the range."
                  : null;
          case AMPS ->
              Math.abs(si) > MOST_AMPS && NoFigure.of(measure, si).isEmpty()
                  ? "More than 150 A is past this rig's fuses. Check the range."
                  : null;
          default -> null;
        });
  }
}
