package org.jexel.core.harness;

import java.util.ArrayList;
import java.util.List;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.TowPrep;
import org.jexel.core.rig.Wish;

/**
 * The acts of fitting a brake controller, by its kind: what is found while the battery is on, what
 * is done with it off, and the first power-up.
 */
final class CabSteps {
  /**
   * One act.
   *
   * @param id stays the same as long as the kind asks for it
   * @param title what to do
   * @param detail how, with this rig's figures
   * @param tools what to have at hand
   * @param phase before, with or after dead work
   * @param minutes usual time
   * @param caution what can go wrong for people; empty if nothing
   */
  record Act(
      String id,
      Step.Phase phase,
      String title,
      String detail,
      List<String> tools,
      double minutes,
      String caution) {
    /** Whether a conductor is opened or run, so that no battery may feed it. */
    boolean opens() {
      return id.equals(StepPlan.RUN_THE_SUPPLY);
    }
  }

  private static final String AIRBAGS =
      "Keep clear of airbags and their way out, pedals, vents, steering column and hot parts.";

  private final Scope scope;
  private final List<Act> acts = new ArrayList<>();

  private CabSteps(Scope scope) {
    this.scope = scope;
  }

  /** Empty where no controller is to be fitted: without electric brakes, or on another job. */
  static List<Act> of(Scope scope) {
    boolean asked =
        scope.wish() == Wish.NEW_CONTROLLER
            || scope.wish() == Wish.CONVERT
            || scope.wish() == Wish.NEW_BUILD;
    if (!asked || !scope.rig().hasElectricBrakes()) {
      return List.of();
    }
    CabSteps steps = new CabSteps(scope);
    switch (scope.rig().controllerKind()) {
      case NONE -> {
        // The gap list says so; there is nothing to fit yet.
      }
      case BUILT_IN -> steps.builtIn();
      case UNDER_DASH, PRESSURE -> steps.wired(true);
      case TIMED -> steps.wired(false);
      case REMOTE_KNOB -> {
        steps.panel();
        steps.wired(true);
      }
      case WIRELESS -> steps.wireless();
      default -> throw new IllegalStateException();
    }
    return List.copyOf(steps.acts);
  }

  /** Nothing is fitted; it has to be told what it brakes. */
  private void builtIn() {
    add(
        "cab.brake-type",
        Step.Phase.TEST,
        "Choose the brake type in the vehicle's menu",
        scope.rig().hasMagnets()
            ? "Electric, not electric over hydraulic: the other type gives magnets too steep an output. A profile of its own for this trailer, where the vehicle keeps several."
            : "Electric over hydraulic, not electric: the actuator reads the signal's height and takes its power elsewhere. A profile of its own for this trailer, where the vehicle keeps several.",
        List.of(),
        5,
        "");
    powerUp();
    add(
        "cab.output",
        Step.Phase.TEST,
        "Read its output while somebody presses",
        "Gain 0 is off. With some gain, first the pedal, then the lever: the bar on the display grows with each, and with both the greater of the two wins.",
        List.of(),
        5,
        "Engine on only where the exhaust can leave.");
  }

  /** With a plug for it in the vehicle, it is plugged in: no wire is found, opened or run. */
  private void wired(boolean senses) {
    boolean plugged =
        scope.rig().sheet().choice(RigField.TOW_PREP, TowPrep.class) == TowPrep.CONTROLLER_PLUG;
    if (!plugged) {
      add(
          "cab.signal",
          Step.Phase.LIVE,
          "Find the stop signal",
          "Read each candidate wire with the pedal up and down; the switched side is dead until it goes down.",
          List.of("test lamp", "meter"),
          15,
          AIRBAGS);
    }
    if (senses) {
      add(
          "cab.place",
          "Find its place and check the angles",
          "Stiff, in reach, in line with travel; trim off and a look at what stands behind. Measure turn, pitch and roll before the first screw. If it comes out between jobs: a bracket that stays, marked, so that the angles come back with it.",
          List.of("level", "screwdriver"),
          15,
          AIRBAGS);
    } else {
      add(
          "cab.place",
          "Find its place",
          "Stiff and in reach; a timed controller minds no angle.",
          List.of("screwdriver"),
          10,
          AIRBAGS);
    }
    add(
        "cab.screws",
        "Fix it with the right screws",
        "Machine screws of the length that came with it into the unit: longer ones reach its board. Self-tapping ones into the panel alone, and no longer than the room behind it.",
        List.of("screwdriver"),
        10,
        AIRBAGS);
    add(
        "cab.plug",
        "Hold both plug ends against each other",
        "Cavity by cavity, before anything is plugged in.",
        List.of("meter", "terminal tool"),
        10,
        "");
    if (!plugged) {
      supply("controller");
    }
    powerUp();
  }

  private void supply(String to) {
    double breaker = scope.harness().protection(PinFunction.BRAKE);
    String wire =
        scope.harness().feed(PinFunction.BRAKE).map(span -> span.size().label()).orElse("thick");
    add(
        "cab.bulkhead",
        "Bring the supply through the bulkhead",
        "Through a grommet that is there: pierced with a blunt tool and widened, never drilled, since looms lie behind it. Sealed round the wire afterwards, with a drip loop on the engine's side.",
        List.of("awl", "draw wire", "sealant"),
        15,
        AIRBAGS);
    add(
        StepPlan.RUN_THE_SUPPLY,
        "Run the supply, breaker by the battery",
        Phrase.of(
            "%s from the battery to the %s, breaker of %.0f A within a hand's breadth of it, its marked side that way. Leave the battery off.",
            wire, to, breaker),
        List.of("cutters", "ratchet crimper", "grommets"),
        45,
        "An unprotected run through the bulkhead burns: breaker first, battery last.");
  }

  private void panel() {
    add(
        "cab.knob",
        "Find the place of knob and lamp",
        "In reach and in sight, nothing behind it for the depth of the knob; take the trim off and look before you mark it.",
        List.of("trim tool", "tape"),
        10,
        AIRBAGS);
    add(
        "cab.panel",
        "Drill the panel for knob and lamp",
        "Middle from both edges, template at 1 to 1, test piece first.",
        List.of("tape", "centre punch", "step drill"),
        25,
        "Look behind the panel: no loom, no airbag, no vent.");
    add(
        "cab.zero",
        "Knob on its spindle, at zero",
        "Spindle turned fully back, then the knob pressed on with its mark at zero and its tab up; it must not reach the panel when it is pushed.",
        List.of(),
        5,
        "");
    add(
        "cab.module",
        "Fix the hidden module",
        "Level within what it allows, dry, away from heat; its plug in reach. Where nothing takes a screw: a plate with a pad beneath and two ties, that does not swing when you push it.",
        List.of("level", "screwdriver", "ties"),
        15,
        AIRBAGS);
  }

  private void wireless() {
    add(
        "cab.unit",
        "Mount the unit on trailer or socket",
        "Upright, in line with travel, out of spray, in open sight of the cab.",
        List.of("spanner", "level"),
        20,
        "");
    supply("unit");
    add(
        "cab.pair",
        "Pair it with the driver's phone or knob",
        "By the code on the unit, one unit awake at a time; then walk round the rig and see that the link holds.",
        List.of(),
        10,
        "");
    powerUp();
  }

  private void powerUp() {
    add(
        "cab.power",
        Step.Phase.TEST,
        "First power-up, then with the trailer",
        "Without trailer it says so and stays dark; with the trailer it shows a connection. Lever gently: the output rises and falls with it.",
        List.of("meter"),
        10,
        "Never press the manual control with no trailer connected on a vehicle that logs it as a fault.");
  }

  private void add(
      String id, String title, String detail, List<String> tools, double minutes, String caution) {
    add(id, Step.Phase.CAB, title, detail, tools, minutes, caution);
  }

  private void add(
      String id,
      Step.Phase phase,
      String title,
      String detail,
      List<String> tools,
      double minutes,
      String caution) {
    acts.add(new Act(id, phase, title, detail, tools, minutes, caution));
  }
}
