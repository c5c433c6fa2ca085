package org.jexel.core.harness;

import java.util.List;
import org.jexel.core.harness.Step.Phase;

/** Steps on brakes and breakaway of the trailer: what is mounted, and what is joined. */
final class BrakeSteps {
  static final String SWITCH = "breakaway switch with cable";
  static final String BATTERY = "breakaway battery";

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
          scope.chargedKit()
              ? "Mount breakaway switch, battery and diode"
              : "Mount breakaway switch and battery",
          "The switch in line with the pull, its pin free to come straight out; nothing else on its circuit.",
          List.of("spanner", "drill"),
          scope.chargedKit()
              ? List.of(SWITCH, BATTERY, "isolating diode")
              : List.of(SWITCH, BATTERY),
          30,
          "Charge it away from sparks.");
    }
    renewed();
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

  /** On a kit that stays. */
  private void renewed() {
    if (scope.kitWork().ofTheSwitch()) {
      steps.add(
          Phase.MOUNT,
          "kit.switch",
          "A new breakaway switch in the old one’s place",
          "Mark which of the old leads is the brakes’ side before it comes off. The new one with its pin in, in line with the pull; two sealed joints. Cut or knot no cable to length: one that fits the window comes with it or is bought for it.",
          List.of("spanner", "cutters", "ratchet crimper", "hot-air gun"),
          List.of(SWITCH, "sealed sleeves"),
          25,
          "Its battery is off: with the pin out it puts its full current on the brakes.");
    }
    if (scope.kitWork().ofTheBattery()) {
      steps.add(
          Phase.MOUNT,
          "kit.battery",
          "A new breakaway battery in its box",
          "The same volts, no less capacity, its posts the same way round. Minus last. Write its date on the lid and on the rig, and charge it before the pull test.",
          List.of("screwdriver"),
          List.of(BATTERY),
          15,
          "The old one goes to a collection point, its posts taped.");
    }
  }

  void join() {
    if (scope.newBreakaway()) {
      steps.add(
          Phase.JOIN,
          "join.breakaway",
          "Join the kit’s leads by function, not by colour",
          "Its colours are its maker’s. Find each lead with the meter: ohms through the switch with the pin in and out tell its two; the battery’s two by volts. Plus to the switch, the switch’s other side to the brakes, minus to the earth stud.",
          List.of("meter", "ratchet crimper", "hot-air gun"),
          List.of("rings", "sealed sleeves"),
          15,
          "The pin stays in while you join: a lead that touches is live with the battery’s full current.");
    }
    if (scope.newBreakaway() && scope.chargedKit()) {
      steps.add(
          Phase.JOIN,
          "join.charge",
          "Join the kit's charge line",
          "From the charge stud through a small fuse and the diode to the battery's plus; the ring of the diode towards the battery.",
          List.of("ratchet crimper"),
          List.of("inline fuse"),
          10,
          "");
    }
    if (scope.newBreakaway() && !scope.chargedKit()) {
      steps.add(
          Phase.JOIN,
          "join.by-hand",
          "Write on the lid that it is charged by hand",
          "No line keeps this battery up. Write on the lid how and how often it is charged, and cap the kit's charge lead if it has one.",
          List.of("felt pen"),
          List.of("tags"),
          3,
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
