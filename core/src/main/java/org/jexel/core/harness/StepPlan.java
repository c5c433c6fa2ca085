package org.jexel.core.harness;

import java.util.List;
import org.jexel.core.harness.Step.Phase;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.Wish;

/**
 * The acts of a job on its harness, in an order in which none has to be undone for the next: holes,
 * pull, mount, join, earth, box, connector, test, then close up. What is there stays; only what the
 * rig lacks makes a step.
 */
public final class StepPlan {
  /** Steps that the bench's readings tick, by id. */
  public static final String TEST_AT_THE_BENCH = "test.bench";

  public static final String FIND_THE_FAULT = "repair.find";
  public static final String READ_AGAIN = "repair.again";

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
    } else if (plan.anything()) {
      plan.prepare();
      new TrailerSteps(scope, units, plan.steps).all();
      plan.cab();
      plan.test();
    } else if (!CabSteps.of(scope).isEmpty()) {
      plan.batteryOff();
      plan.cab();
      plan.closeUp();
    }
    return plan.steps.steps();
  }

  private boolean anything() {
    return !scope.newSpans().isEmpty() || scope.newBox() || !scope.wantedLamps().isEmpty();
  }

  private void batteryOff() {
    steps.add(
        Phase.PREPARE,
        "prepare.off",
        "Battery off, plug out, wheels chocked",
        "Take the minus post off the vehicle's battery. Measure every old conductor end to end and tag it before anything is cut.",
        List.of("spanner", "meter", "felt pen and tags"),
        List.of("tags"),
        15,
        LIVE);
  }

  private void cab() {
    for (CabSteps.Act act : CabSteps.of(scope)) {
      steps.add(
          Phase.CAB,
          act.id(),
          act.title(),
          act.detail(),
          act.tools(),
          List.of(),
          act.minutes(),
          act.caution());
    }
  }

  private void prepare() {
    batteryOff();
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

  private void test() {
    steps.add(
        Phase.TEST,
        "test.continuity",
        "Check every pin to its end, and between pins",
        "Plug out. Each pin to its own end below 0.5 Ω; no pin to another but through lamps and magnets.",
        List.of("meter"),
        List.of(),
        2.0 * scope.rig().connector().pins().size(),
        "");
    closeUp();
  }

  private void closeUp() {
    steps.add(
        Phase.TEST,
        TEST_AT_THE_BENCH,
        "Battery on, then the check sheet",
        "Join the battery last, then read every check before covers go back.",
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
        Phase.PREPARE,
        FIND_THE_FAULT,
        "Find the fault first",
        "Take the readings that the check sheet asks for; change nothing yet.",
        List.of("meter"),
        List.of(),
        30,
        "");
    steps.add(
        Phase.JOIN,
        "repair.mend",
        "Mend the one circuit",
        "%s Cut back to bright copper, join, seal, tie away from the edge that chafed it."
            .formatted(LIVE),
        List.of("cutters", "stripper", "ratchet crimper", "hot-air gun"),
        List.of("sealed sleeves"),
        30,
        LIVE);
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
