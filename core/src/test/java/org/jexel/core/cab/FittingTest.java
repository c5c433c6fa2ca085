package org.jexel.core.cab;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.jexel.core.Rigs;
import org.jexel.core.harness.HarnessPlanner;
import org.jexel.core.harness.WireSize;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.Wish;
import org.junit.jupiter.api.Test;

/** How the controller stands: by what was found, and never better than the worst of it. */
class FittingTest {
  private static final Rig RIG = Rigs.twoAxles(RigField.GAIN_GREATEST, 10, RigField.GAIN_STEP, 0.5);

  private static Map<Fitting.Topic, Verdict> stands(Rig rig, Wish wish, Fitting.Found found) {
    Map<Fitting.Topic, Verdict> stands = new EnumMap<>(Fitting.Topic.class);
    List<Fitting.Finding> findings =
        Fitting.of(
            rig, wish, ControllerFeed.of(rig, HarnessPlanner.plan(rig, WireSize.GAUGES)), found);
    for (Fitting.Topic topic : Fitting.Topic.values()) {
      Fitting.stands(findings, topic).ifPresent(verdict -> stands.put(topic, verdict));
    }
    return stands;
  }

  private static Fitting.Found found(
      OptionalDouble breaker,
      StopSignal signal,
      CavityMatch plug,
      Mounting mounting,
      boolean clear) {
    return new Fitting.Found(
        Optional.empty(),
        breaker,
        Optional.ofNullable(signal),
        Optional.ofNullable(plug),
        Optional.ofNullable(mounting),
        clear ? EnumSet.allOf(Clearance.class) : Set.of());
  }

  private static StopSignal wire(double up, double down) {
    return StopSignal.of(
        List.of(new StopSignal.Reading("green", up, down, Double.NaN, Double.NaN, false)),
        12.6,
        false);
  }

  private static Mounting turned(double degrees) {
    return Mounting.of(Math.toRadians(degrees), 0, 0, Mounting.Limits.UNSTATED);
  }

  private static CavityMatch plug(String harness) {
    return CavityMatch.of(CavityMatch.parse("1 stop\n2 earth"), CavityMatch.parse(harness));
  }

  @Test
  void aFittingHasToShowEveryTopicAndThenHolds() {
    assertThat(stands(RIG, Wish.NEW_CONTROLLER, Fitting.Found.NOTHING))
        .containsEntry(Fitting.Topic.SUPPLY, Verdict.HOLDS)
        .containsEntry(Fitting.Topic.SIGNAL, Verdict.NOT_YET)
        .containsEntry(Fitting.Topic.MOUNTING, Verdict.NOT_YET);
    assertThat(
            stands(
                RIG,
                Wish.NEW_CONTROLLER,
                found(
                    OptionalDouble.of(20),
                    wire(0, 12.4),
                    plug("1 stop\n2 earth"),
                    turned(3),
                    true)))
        .allSatisfy((topic, verdict) -> assertThat(verdict).isEqualTo(Verdict.HOLDS));
  }

  /** A supply that was only reckoned is one that nobody looked at. */
  @Test
  void theSupplyIsProvedByTheBreakerThatWasFound() {
    for (boolean looked : new boolean[] {false, true}) {
      OptionalDouble breaker = looked ? OptionalDouble.of(20) : OptionalDouble.empty();
      List<Fitting.Finding> findings =
          Fitting.of(
              RIG,
              Wish.ANNUAL,
              ControllerFeed.of(RIG, HarnessPlanner.plan(RIG, WireSize.GAUGES)),
              found(breaker, null, null, turned(3), true));
      assertThat(Fitting.proved(findings, Fitting.Topic.SUPPLY)).isEqualTo(looked);
      assertThat(Fitting.proved(findings, Fitting.Topic.MOUNTING)).isTrue();
    }
  }

  @Test
  void anglesThatHoldDoNotHideAPlaceThatNobodyLookedAt() {
    assertThat(
            stands(RIG, Wish.CONVERT, found(OptionalDouble.empty(), null, null, turned(3), false)))
        .containsEntry(Fitting.Topic.MOUNTING, Verdict.NOT_YET);
  }

  @Test
  void everyAngleThatIsOutsideIsTold() {
    Mounting both =
        Mounting.of(Math.toRadians(25), Math.toRadians(40), 0, Mounting.Limits.UNSTATED);
    Fitting.Found found = found(OptionalDouble.empty(), null, null, both, true);
    assertThat(
            Fitting.of(
                RIG,
                Wish.CONVERT,
                ControllerFeed.of(RIG, HarnessPlanner.plan(RIG, WireSize.GAUGES)),
                found))
        .filteredOn(finding -> finding.topic() == Fitting.Topic.MOUNTING)
        .singleElement()
        .satisfies(finding -> assertThat(finding.words()).contains("Turned 25°", "Pitched 40°"));
  }

  @Test
  void whatSomebodyFoundWrongFailsOnAnyJob() {
    for (Wish wish : Wish.values()) {
      assertThat(stands(RIG, wish, found(OptionalDouble.empty(), null, null, turned(25), true)))
          .containsEntry(Fitting.Topic.MOUNTING, Verdict.FAILS);
      assertThat(
              stands(
                  RIG,
                  wish,
                  found(
                      OptionalDouble.of(60),
                      wire(12.5, 12.5),
                      plug("1 earth\n2 stop"),
                      null,
                      true)))
          .containsEntry(Fitting.Topic.SUPPLY, Verdict.FAILS)
          .containsEntry(Fitting.Topic.SIGNAL, Verdict.FAILS)
          .containsEntry(Fitting.Topic.PLUG, Verdict.FAILS);
    }
  }

  @Test
  void aStopSignalThatIsNotQuiteDeadAtRestIsWatched() {
    Fitting.Found leaks = found(OptionalDouble.of(30), wire(1.2, 12.5), null, null, true);
    assertThat(stands(RIG, Wish.REPAIR, leaks)).containsEntry(Fitting.Topic.SIGNAL, Verdict.WATCH);
  }

  @Test
  void aBreakerThatOpensUnderFullBrakingFailsAsWell() {
    assertThat(stands(RIG, Wish.ANNUAL, found(OptionalDouble.of(5), null, null, null, true)))
        .containsEntry(Fitting.Topic.SUPPLY, Verdict.FAILS);
  }

  /** Three axles draw 24 A and more; 25 A is all that the pin allows, and no 1.25 times that. */
  @Test
  void aFittedBreakerThatMayOpenInALongStopIsToBeWatched() {
    Rig three = RIG.with(Rigs.twoAxles(RigField.AXLE_COUNT, 3).sheet());
    assertThat(stands(three, Wish.ANNUAL, found(OptionalDouble.of(25), null, null, null, true)))
        .containsEntry(Fitting.Topic.SUPPLY, Verdict.WATCH);
    assertThat(stands(RIG, Wish.ANNUAL, found(OptionalDouble.of(25), null, null, null, true)))
        .containsEntry(Fitting.Topic.SUPPLY, Verdict.HOLDS);
  }

  @Test
  void aModelThatGivesTooLittleOrBearsTooLittleIsNamed() {
    ControllerModel weak =
        new ControllerModel(
            "Weak",
            org.jexel.core.rig.ControllerKind.UNDER_DASH,
            0,
            10,
            1,
            10,
            13,
            12,
            Mounting.Limits.UNSTATED,
            List.of(),
            Map.of(),
            new java.util.TreeMap<>(),
            List.of(),
            "");
    Fitting.Found found =
        new Fitting.Found(
            Optional.of(weak),
            OptionalDouble.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Set.of());
    List<Fitting.Finding> findings =
        Fitting.of(
            RIG,
            Wish.ANNUAL,
            ControllerFeed.of(RIG, HarnessPlanner.plan(RIG, WireSize.GAUGES)),
            found);
    assertThat(findings)
        .extracting(Fitting.Finding::words)
        .anyMatch(words -> words.contains("this model gives 12 A at most"))
        .anyMatch(words -> words.startsWith("Battery volts, running"));
  }

  @Test
  void withoutElectricBrakesThereIsNothingToJudge() {
    assertThat(stands(Rigs.unbraked(), Wish.NEW_BUILD, Fitting.Found.NOTHING)).isEmpty();
  }
}
