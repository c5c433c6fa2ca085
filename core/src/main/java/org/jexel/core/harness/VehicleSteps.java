package org.jexel.core.harness;

import java.util.List;
import java.util.stream.Collectors;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Step.Phase;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.rig.LampFeed;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.TowPrep;

/**
 * Steps on the vehicle's end of a harness: what feeds the lamp pins of a new socket, and the socket
 * itself.
 */
final class VehicleSteps {
  private final Scope scope;
  private final StepList steps;

  VehicleSteps(Scope scope, StepList steps) {
    this.scope = scope;
    this.steps = steps;
  }

  /** What is found while the battery is on. */
  void live() {
    reverse();
    if (scope.newSocket() && !source().isEmpty()) {
      steps.add(
          Phase.LIVE,
          "vehicle.source",
          "Try the old socket lead by lead",
          Phrase.of(
              "%s: each one live with its own switch alone, and dead with the others. Left and right are exchanged at some makers'; note the colour that is really there.",
              old()),
          List.of("test lamp", "meter"),
          List.of(),
          10,
          "");
    }
  }

  /** A wire that the vehicle has for itself, and that its socket has not had. */
  private void reverse() {
    boolean wanted =
        scope.newSpans().stream()
            .anyMatch(
                span -> span.duty() == Duty.VEHICLE && span.function() == PinFunction.REVERSE);
    if (wanted) {
      steps.add(
          Phase.LIVE,
          "vehicle.reverse",
          "Find the reverse-light wire",
          "Live with the ignition on and reverse selected, dead in every other gear; parking brake on, engine off. Where lamps are monitored, from the isolator's output, not from the lamp's own wire.",
          List.of("test lamp", "meter"),
          List.of(),
          10,
          "Somebody's foot on the brake while reverse is selected.");
    }
  }

  /** What is done with it off. */
  void dead() {
    if (!scope.newSocket()) {
      return;
    }
    if (feed() != LampFeed.DIRECT && prep() == TowPrep.NONE) {
      module();
    }
    if (!source().isEmpty()) {
      source(feed());
    }
    socket();
  }

  private void module() {
    steps.add(
        Phase.CONNECTOR,
        "vehicle.module",
        "Fit the module that feeds the lamp pins",
        "Inside, dry, near the rear lamps' own plug: its inputs there, its feed from the battery through a fuse of its own by the battery's post, its earth on bare steel. The socket hangs on its outputs, never ahead of it.",
        List.of("trim tool", "ratchet crimper", "meter"),
        List.of("isolating module", "inline fuse"),
        60,
        "Keep clear of airbags behind the trim and in the seats.");
  }

  private void source(LampFeed feed) {
    String from =
        feed == LampFeed.DIRECT
            ? "From the leads behind it, not from the lamps a second time; what is cut off there is sealed."
            : "From the module's outputs that feed it, never ahead of the module: each gives 6 to 8 A at most.";
    String earth =
        scope.newSpans().stream()
                .anyMatch(s -> s.duty() == Duty.VEHICLE && s.function() == PinFunction.EARTH)
            ? " Its earth is thick enough for lamps alone: the new socket's own goes back to the battery."
            : "";
    steps.add(
        Phase.CONNECTOR,
        "vehicle.lamps",
        "Join the lamp leads of the old socket",
        "%s. %s%s".formatted(old(), from, earth),
        List.of("stripper", "ratchet crimper"),
        List.of("sealed sleeves"),
        5.0 * source().size(),
        StepPlan.LIVE);
  }

  private void socket() {
    steps.add(
        Phase.CONNECTOR,
        "connector.bracket",
        "Set out the socket's bracket and cut-out",
        "From the vehicle's centre line, not from the bumper's edge: within the cord's reach in both turns, clear of hitch, exhaust and the tailgate's swing. Cut to the socket's own template, deburr and paint the edge.",
        List.of("tape", "centre punch", "hole saw"),
        List.of("bracket", "paint"),
        20,
        "Look behind the panel before you drill: tank, loom, spare wheel.");
    steps.add(
        Phase.CONNECTOR,
        "connector.socket",
        "Fit the socket to the vehicle, %s".formatted(scope.rig().connector().label()),
        "Gasket on, drain downwards; breaker and fuses near the battery, left open for now.",
        List.of("drill", "spanner"),
        List.of("socket", "fuses"),
        40,
        "Left and right are exchanged at some makers' tow plugs: measure before joining.");
  }

  /** Lamp circuits that the new socket takes over from the one that is there. */
  private List<PinFunction> source() {
    return PinFunction.LIGHTS.stream()
        .filter(function -> scope.rig().connector().has(function) && scope.inVehicle(function))
        .toList();
  }

  private String old() {
    return "%s behind %s"
        .formatted(
            Phrase.opening(
                source().stream().map(PinFunction::label).collect(Collectors.joining(", "))),
            scope.rig().towConnector().label());
  }

  private LampFeed feed() {
    return scope.rig().sheet().choice(RigField.LAMP_FEED, LampFeed.class);
  }

  private TowPrep prep() {
    return scope.rig().sheet().choice(RigField.TOW_PREP, TowPrep.class);
  }
}
