package org.jexel.app.road;

import jakarta.persistence.Embeddable;
import org.jexel.core.road.Observed;
import org.jexel.core.road.Outcome;

/** What one wheel did in a stop, as it is stored. */
@Embeddable
record StopWheel(int axle, String side, String outcome) {
  private static final String LEFT = "LEFT";

  static StopWheel of(Observed.Wheel wheel) {
    return new StopWheel(wheel.axle(), wheel.left() ? LEFT : "RIGHT", wheel.outcome().name());
  }

  Observed.Wheel wheel() {
    return new Observed.Wheel(axle, side.equals(LEFT), Outcome.valueOf(outcome));
  }
}
