package org.jexel.app.cab;

import org.jexel.app.job.JobFile;
import org.jexel.core.cab.BreakerChoice;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Duty;
import org.jexel.core.harness.Load;
import org.jexel.core.harness.Span;

/**
 * What can be said of the controller's supply from the rig.
 *
 * @param breaker the choice by both schools
 * @param feed the conductor between battery and controller
 * @param amps load at full output, A
 */
public record CabFacts(BreakerChoice breaker, Span feed, double amps) {

  /** Only for a rig with electric brakes and a brake pin. */
  public static CabFacts of(JobFile file) {
    Span feed =
        file.harness().spans().stream()
            .filter(s -> s.duty() == Duty.VEHICLE && s.function() == PinFunction.BRAKE)
            .findFirst()
            .orElseThrow();
    double amps =
        file.harness().loads().stream()
            .filter(load -> load.function() == PinFunction.BRAKE)
            .mapToDouble(Load::amps)
            .sum();
    return new CabFacts(
        BreakerChoice.of(file.rig().brakedAxles().length, amps, feed.size().amps()), feed, amps);
  }

  public static boolean possible(JobFile file) {
    return file.rig().hasElectricBrakes() && file.rig().carries(PinFunction.BRAKE);
  }
}
