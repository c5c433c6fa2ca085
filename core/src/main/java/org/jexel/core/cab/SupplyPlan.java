package org.jexel.core.cab;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.connector.WireColour;
import org.jexel.core.harness.Duty;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.Span;
import org.jexel.core.rig.Rig;

/**
 * Runs and splices of the vehicle's side, from battery to socket.
 *
 * @param runs every conductor in the vehicle that this trailer needs
 * @param splices colours that meet, from the vehicle's loom to the connector's cord
 */
public record SupplyPlan(List<Run> runs, List<Splice> splices) {

  /**
   * @param what between which points
   * @param span the conductor
   * @param protection fuse or breaker at its battery end, A; 0 for a return or a run behind one
   * @param drop at its design load, V
   */
  public record Run(String what, Span span, double protection, double drop) {}

  /**
   * @param function the job
   * @param vehicle colour behind the socket; empty where the convention names none
   * @param cord colour in the connector's cord
   */
  public record Splice(
      PinFunction function, Optional<WireColour> vehicle, Optional<WireColour> cord) {
    /** The colour changes at this joint. */
    public boolean changes() {
      return vehicle.isPresent() && cord.isPresent() && !vehicle.equals(cord);
    }
  }

  public static SupplyPlan of(Rig rig, Harness harness) {
    List<Run> runs = new ArrayList<>();
    for (Span span : harness.spans()) {
      if (span.duty() == Duty.VEHICLE) {
        boolean behind = span.from().equals(Harness.CONTROLLER_OUT);
        double amps =
            span.function() == PinFunction.EARTH
                ? harness.amps(PinFunction.BRAKE) + harness.amps(PinFunction.CHARGE)
                : harness.amps(span.function());
        runs.add(
            new Run(
                words(span, behind),
                span,
                behind ? 0 : harness.protection(span.function()),
                amps * span.ohms()));
      }
    }
    List<Splice> splices =
        rig.connector().pins().stream()
            .map(
                pin ->
                    new Splice(
                        pin.function(),
                        rig.towConvention().colour(pin.function()),
                        rig.sheet()
                            .catalog()
                            .convention(rig.connector().convention())
                            .colour(pin.function())))
            .toList();
    return new SupplyPlan(List.copyOf(runs), splices);
  }

  private static String words(Span span, boolean behindController) {
    if (span.function() == PinFunction.BRAKE) {
      return behindController ? "controller to the brake pin" : "battery to controller";
    }
    return span.function() == PinFunction.EARTH
        ? "earth pin to battery minus"
        : "battery to the " + span.function().label() + " pin";
  }
}
