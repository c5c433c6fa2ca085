package org.jexel.core.cab;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.connector.WireColour;
import org.jexel.core.harness.Duty;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.Span;
import org.jexel.core.rig.ControllerKind;
import org.jexel.core.rig.Rig;

/**
 * Runs and splices of the vehicle's side, from battery to socket.
 *
 * @param runs every conductor in the vehicle that this trailer needs
 * @param splices colours that meet, from the connector's cord over the vehicle's cable to the
 *     controller's lead
 * @param ends leads of the controller that meet no pin, with where each goes
 */
public record SupplyPlan(List<Run> runs, List<Splice> splices, List<End> ends) {

  /**
   * @param what between which points
   * @param span the conductor
   * @param protection fuse or breaker at its battery end, A; 0 for a return or a run behind one
   * @param drop at its design load, V
   */
  public record Run(String what, Span span, double protection, double drop) {}

  /**
   * @param function the job
   * @param cord colour in the connector's cord
   * @param vehicle colour of the cable behind the socket; empty where the convention names none
   * @param lead the controller's lead that ends here; empty where none does
   * @param leadColour its colour; empty if the library does not know it
   */
  public record Splice(
      PinFunction function,
      Optional<WireColour> cord,
      Optional<WireColour> vehicle,
      Optional<ControllerLead> lead,
      Optional<WireColour> leadColour) {
    /** The colour changes on the way. */
    public boolean changes() {
      return Stream.of(cord, vehicle, leadColour).flatMap(Optional::stream).distinct().count() > 1;
    }
  }

  /**
   * @param lead of the controller
   * @param colour its colour; empty if the library does not know it
   * @param where it is joined
   */
  public record End(ControllerLead lead, Optional<WireColour> colour, String where) {}

  /**
   * @param leads colours of the controller's leads, as far as they are known
   */
  public static SupplyPlan of(Rig rig, Harness harness, Map<ControllerLead, WireColour> leads) {
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
                        rig.sheet()
                            .catalog()
                            .convention(rig.connector().convention())
                            .colour(pin.function()),
                        rig.towConvention().colour(pin.function()),
                        lead(rig, pin.function()),
                        lead(rig, pin.function()).map(leads::get)))
            .toList();
    return new SupplyPlan(List.copyOf(runs), splices, ends(rig, leads));
  }

  private static boolean wired(Rig rig) {
    ControllerKind kind = rig.controllerKind();
    return rig.hasElectricBrakes()
        && kind != ControllerKind.NONE
        && kind != ControllerKind.BUILT_IN
        && kind != ControllerKind.WIRELESS;
  }

  private static Optional<ControllerLead> lead(Rig rig, PinFunction function) {
    if (!wired(rig)) {
      return Optional.empty();
    }
    return switch (function) {
      case BRAKE -> Optional.of(ControllerLead.BRAKE);
      case EARTH -> Optional.of(ControllerLead.EARTH);
      default -> Optional.empty();
    };
  }

  private static List<End> ends(Rig rig, Map<ControllerLead, WireColour> leads) {
    if (!wired(rig)) {
      return List.of();
    }
    return List.of(
        new End(
            ControllerLead.SUPPLY,
            Optional.ofNullable(leads.get(ControllerLead.SUPPLY)),
            "load side of the breaker"),
        new End(
            ControllerLead.STOP,
            Optional.ofNullable(leads.get(ControllerLead.STOP)),
            "switched side of the stop-lamp switch, as read"));
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
