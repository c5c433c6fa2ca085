package org.jexel.core.harness;

import java.util.List;
import org.jexel.core.harness.Step.Phase;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.BreakawayKit;
import org.jexel.core.rig.KitWork;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.Wish;
import org.jexel.core.rig.YesNo;

/**
 * The acts of a job on its harness, in an order in which none has to be undone for the next: what
 * needs volts, batteries off, holes, pull, mount, join, earth, box, connector, cab, measure,
 * batteries on, test, then close up. What is there stays; only what the rig lacks makes a step.
 * Where no conductor is opened no battery is.
 */
public final class StepPlan {
  /** Steps that the bench's readings tick, by id. */
  public static final String TEST_AT_THE_BENCH = "test.bench";

  public static final String FIND_THE_FAULT = "repair.find";
  public static final String READ_AGAIN = "repair.again";

  /** The step that cuts wire from the battery to the controller. */
  public static final String RUN_THE_SUPPLY = "cab.supply";

  static final String LIVE =
      "Battery off and plug out while conductors are open; the battery is joined last.";

  private final Scope scope;
  private final StepList steps = new StepList();

  private StepPlan(Scope scope) {
    this.scope = scope;
  }

  /**
   * @param units of the person who reads them
   */
  public static List<Step> of(Scope scope, UnitSystem units) {
    StepPlan plan = new StepPlan(scope);
    if (scope.wish() == Wish.REPAIR) {
      plan.repair();
    } else {
      plan.work(units);
    }
    return plan.steps.steps();
  }

  private void work(UnitSystem units) {
    List<CabSteps.Act> acts = CabSteps.of(scope);
    if (!anything() && acts.isEmpty()) {
      return;
    }
    cab(acts, Phase.LIVE);
    VehicleSteps vehicle = new VehicleSteps(scope, steps);
    vehicle.live();
    boolean dead = anything() || acts.stream().anyMatch(CabSteps.Act::opens);
    if (dead) {
      tag();
      batteriesOff();
    }
    if (anything()) {
      oldCord();
      new TrailerSteps(scope, units, steps).all();
      vehicle.dead();
    }
    cab(acts, Phase.CAB);
    if (wires()) {
      continuity();
    }
    if (dead) {
      batteriesOn();
    }
    cab(acts, Phase.TEST);
    closeUp();
  }

  private boolean anything() {
    return wires() || scope.kitWork() != KitWork.NOTHING;
  }

  private boolean wires() {
    return !scope.newSpans().isEmpty() || scope.newBox() || !scope.wantedLamps().isEmpty();
  }

  private void tag() {
    steps.add(
        Phase.PREPARE,
        "prepare.tag",
        "Wheels chocked, plug out, old conductors tagged",
        "Measure every old conductor end to end and tag it before anything is cut.",
        List.of("chocks", "meter", "felt pen and tags"),
        List.of("tags"),
        10,
        "");
  }

  /** Every battery of the rig, each with the reason why it is opened. */
  private void batteriesOff() {
    steps.add(
        Phase.PREPARE,
        "prepare.off",
        "The vehicle's battery off",
        "It feeds the socket and the controller. Minus post first, so that a spanner that slips shorts nothing; cover the post.",
        List.of("spanner"),
        List.of(),
        5,
        LIVE + " Airbags keep their charge for minutes: wait before you work beside one.");
    if (ownBreakaway()) {
      steps.add(
          Phase.PREPARE,
          "prepare.off-breakaway",
          "The breakaway battery off",
          "It is on the trailer: with the plug out the charge line and the switch are still live, and a pin that comes out puts it on the brakes.",
          List.of("screwdriver"),
          List.of(),
          3,
          LIVE);
    }
    if (aboard()) {
      steps.add(
          Phase.PREPARE,
          "prepare.off-house",
          "The battery on board off",
          "It stands on the trailer's charge line, which stays live with the plug out. Its minus post off; chargers and solar panels off as well.",
          List.of("spanner"),
          List.of(),
          5,
          LIVE);
    }
  }

  private BreakawayKit kit() {
    return scope.rig().sheet().choice(RigField.BREAKAWAY_KIT, BreakawayKit.class);
  }

  /** A kit that this job fits has no battery to be opened yet. */
  private boolean ownBreakaway() {
    return kit().ownBox() && !scope.newBreakaway();
  }

  private boolean aboard() {
    return kit() == BreakawayKit.HOUSE_BATTERY
        || scope.rig().sheet().choice(RigField.HOUSE_BATTERY, YesNo.class) == YesNo.YES;
  }

  /** One act: nothing of what was opened stays open, and the vehicle's battery comes last. */
  private void batteriesOn() {
    boolean several = aboard() || ownBreakaway();
    steps.add(
        Phase.POWER,
        "power.on",
        several ? "Batteries on, the vehicle's last" : "Battery on",
        "Every tool off the conductors, no bare end; then join "
            + (several ? "the trailer's, then the vehicle's minus post." : "the minus post."),
        List.of("spanner"),
        List.of(),
        3,
        "A spark at the post with everything switched off is an answer: take it off again and look.");
  }

  private void cab(List<CabSteps.Act> acts, Phase phase) {
    for (CabSteps.Act act : acts) {
      if (act.phase() == phase) {
        steps.add(
            phase,
            act.id(),
            act.title(),
            act.detail(),
            act.tools(),
            List.of(),
            act.minutes(),
            act.caution());
      }
    }
  }

  private void oldCord() {
    if (scope.newCord() && scope.wish() != Wish.NEW_BUILD) {
      steps.add(
          Phase.PREPARE,
          "prepare.old-cord",
          "Take the old cord off",
          "%s comes off; note which colour did which job."
              .formatted(scope.rig().trailerConnector().label()),
          List.of("cutters"),
          List.of(),
          10,
          "");
    }
  }

  private void continuity() {
    steps.add(
        Phase.MEASURE,
        "test.continuity",
        "Check every pin to its end, and between pins",
        "Plug out. Each pin to its own end below 0.5 Ω; no pin to another but through lamps and magnets.",
        List.of("meter"),
        List.of(),
        2.0 * scope.rig().connector().pins().size(),
        "");
  }

  private void closeUp() {
    steps.add(
        Phase.TEST,
        TEST_AT_THE_BENCH,
        "The check sheet",
        "Read every check before covers go back.",
        List.of("meter"),
        List.of(),
        20,
        "A fuse that blows is an answer: find out why before the next one.");
    steps.add(
        Phase.CLOSE,
        "close.covers",
        "Covers back, box shut, as-built colours noted",
        "Note the colours that are really there, for the next person.",
        List.of("screwdriver"),
        List.of(),
        10,
        "");
  }

  private void repair() {
    steps.add(
        Phase.LIVE,
        FIND_THE_FAULT,
        "Find the fault first",
        "Take the readings that the check sheet asks for; change nothing yet.",
        List.of("meter"),
        List.of(),
        30,
        "");
    batteriesOff();
    new BrakeSteps(scope, steps).mount();
    steps.add(
        Phase.JOIN,
        "repair.mend",
        "Mend the one circuit",
        "Cut back to bright copper, join, seal, tie away from the edge that chafed it.",
        List.of("cutters", "stripper", "ratchet crimper", "hot-air gun"),
        List.of("sealed sleeves"),
        30,
        LIVE);
    batteriesOn();
    steps.add(
        Phase.TEST,
        READ_AGAIN,
        "Read the failed checks again",
        "The same check that failed must hold now, and the ones beside it.",
        List.of("meter"),
        List.of(),
        10,
        "");
    steps.add(
        Phase.CLOSE,
        "close.covers",
        "Covers back, cause and mend noted",
        "Say where it was and why; the next person starts there.",
        List.of(),
        List.of(),
        5,
        "");
  }
}
