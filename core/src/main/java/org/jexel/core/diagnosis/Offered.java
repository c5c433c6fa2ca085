package org.jexel.core.diagnosis;

import java.util.Map;
import java.util.function.Predicate;
import org.jexel.core.check.Check;
import org.jexel.core.quantity.Must;
import org.jexel.core.quantity.Verdict;

/**
 * Which checks may be asked for by now: wheels are raised where something that was read speaks for
 * them, and nobody is sent to drive before the brakes are known to answer at the connector. What
 * somebody reads unasked is a reading like any other.
 */
final class Offered implements Predicate<Check> {
  private final boolean wheels;
  private final boolean road;

  /**
   * @param seen readings by place of their check
   * @param wheels whether a reading speaks for something at a wheel
   */
  Offered(Predicted predicted, Map<Integer, Reading> seen, boolean wheels) {
    this.wheels = wheels;
    this.road =
        predicted.checks().stream()
            .filter(Check::gatesTheRoad)
            .allMatch(check -> holds(predicted.place(check.id()), seen));
  }

  @Override
  public boolean test(Check check) {
    return switch (check.group()) {
      case WHEELS, DRUM -> wheels;
      case DRIVEN -> wheels && road;
      default -> true;
    };
  }

  private static boolean holds(int place, Map<Integer, Reading> seen) {
    return seen.containsKey(place) && Must.have(seen, place).verdict() == Verdict.HOLDS;
  }
}
