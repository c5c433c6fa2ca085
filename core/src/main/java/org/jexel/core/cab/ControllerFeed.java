package org.jexel.core.cab;

import java.util.Optional;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.BreakerChoice;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.Span;
import org.jexel.core.quantity.Must;
import org.jexel.core.rig.Rig;

/**
 * What feeds the brake controller.
 *
 * @param breaker the choice by both schools
 * @param feed the conductor between battery and controller
 * @param amps load at full output, A
 */
public record ControllerFeed(BreakerChoice breaker, Span feed, double amps) {

  /** Empty for a rig without electric brakes or without a brake pin. */
  public static Optional<ControllerFeed> of(Rig rig, Harness harness) {
    if (!rig.hasElectricBrakes()) {
      return Optional.empty();
    }
    double amps = harness.amps(PinFunction.BRAKE);
    return harness
        .feed(PinFunction.BRAKE)
        .filter(feed -> harness.breakers().containsKey(PinFunction.BRAKE))
        .map(
            feed ->
                new ControllerFeed(Must.have(harness.breakers(), PinFunction.BRAKE), feed, amps));
  }
}
