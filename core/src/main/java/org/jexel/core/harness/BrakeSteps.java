package org.jexel.core.harness;

import java.util.List;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Step.Phase;

/** Steps on brakes and breakaway of the trailer: what is mounted, and what is joined. */
final class BrakeSteps {
  private final Scope scope;
  private final StepList steps;

  BrakeSteps(Scope scope, StepList steps) {
    this.scope = scope;
    this.steps = steps;
  }

  void mount() {
    if (scope.newBreakaway()) {
      steps.add(
          Phase.MOUNT,
          Scope.MOUNT_BREAKAWAY,
          "Mount breakaway switch, battery and diode",
          "The switch in line with the pull, its pin free to come straight out; nothing else on its circuit.",
          List.of("spanner", "drill"),
          List.of("breakaway switch", "battery in its box", "isolating diode"),
          30,
          "Charge it away from sparks.");
    }
    if (actuator()) {
      steps.add(
          Phase.MOUNT,
          "mount.actuator",
          "Mount the actuator and run its lines",
          "Level, dry, its vent above the road's spray; lines clipped clear of wheels and springs, filled and bled at every wheel by the sheet of its maker.",
          List.of("spanner", "bleeder"),
          List.of("actuator", "brake line", "brake fluid"),
          120,
          "Brake fluid eats paint and skin; the lines are under pressure when it runs.");
    }
  }

  void join() {
    if (scope.newBreakaway() && scope.harness().has(PinFunction.CHARGE)) {
      steps.add(
          Phase.JOIN,
          "join.charge",
          "Join the kit's charge line",
          "From the charge stud through a small fuse and the diode to the battery's plus; the ring of the diode towards the battery. Without a charge pin the kit is charged by hand, and says so on its lid.",
          List.of("ratchet crimper"),
          List.of("inline fuse"),
          10,
          "");
    }
    if (scope.newBrakes() && scope.rig().hasMagnets()) {
      steps.add(
          Phase.JOIN,
          "join.magnets",
          "Join the magnets, both leads of each wheel",
          "Polarity does not matter. Leave slack for the suspension's full travel.",
          List.of("ratchet crimper", "hot-air gun"),
          List.of("sealed sleeves"),
          6.0 * 2 * scope.rig().brakedAxles().length,
          "Stands under the frame before you reach behind a wheel.");
    }
    if (actuator()) {
      steps.add(
          Phase.JOIN,
          "join.actuator",
          "Join the actuator: supply, signal, earth",
          "The supply from the charge stud by the thickest wire of the plan, its fuse at the stud; the signal from the brake stud; the earth back to the box, not to the frame alone. The breakaway's lead lands on its own input where it has one.",
          List.of("ratchet crimper", "hot-air gun"),
          List.of("rings", "sealed sleeves"),
          20,
          "");
    }
  }

  private boolean actuator() {
    return scope.newBrakes() && !scope.rig().hasMagnets();
  }
}
