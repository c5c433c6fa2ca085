package org.jexel.core.cab;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.jexel.core.Rigs;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.connector.WireColour;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.HarnessPlanner;
import org.jexel.core.harness.WireSize;
import org.jexel.core.quantity.Fraction;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.ControllerKind;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** The last figure that is still taken in the cab, and the first that is not. */
class CabLimitsTest {
  private static final Map<ControllerLead, WireColour> LEADS =
      Map.of(
          ControllerLead.SUPPLY, WireColour.BLACK,
          ControllerLead.STOP, WireColour.RED,
          ControllerLead.BRAKE, WireColour.BLUE,
          ControllerLead.EARTH, WireColour.WHITE);

  private static Rig rig(String controller) {
    return Rigs.rig(
        Rigs.sheet(
            RigField.BRAKE_TYPE, "ELECTRIC",
            RigField.TOW_CONNECTOR, "blade-7",
            RigField.TRAILER_CONNECTOR, "blade-7",
            RigField.TOW_CONVENTION, "utility",
            RigField.CONTROLLER_KIND, controller));
  }

  private static SupplyPlan plan(String controller) {
    Rig rig = rig(controller);
    return SupplyPlan.of(rig, HarnessPlanner.plan(rig, WireSize.GAUGES), LEADS);
  }

  @Test
  void theFeedIsProtectedAtTheBatteryAndNotOnceMoreBehindTheController() {
    Rig rig = rig("UNDER_DASH");
    Harness harness = HarnessPlanner.plan(rig, WireSize.GAUGES);
    SupplyPlan plan = SupplyPlan.of(rig, harness, LEADS);
    assertThat(plan.runs())
        .extracting(SupplyPlan.Run::what)
        .contains(
            "battery to controller",
            "controller to the brake pin",
            "earth pin to battery minus",
            "battery to the tail pin");
    for (SupplyPlan.Run run : plan.runs()) {
      boolean behind = run.what().equals("controller to the brake pin");
      PinFunction function = run.span().function();
      assertThat(run.protection())
          .as(run.what())
          .isEqualTo(behind ? 0 : harness.protection(function));
      // The earth carries the brakes' and the charge's return together.
      double amps =
          function == PinFunction.EARTH
              ? harness.amps(PinFunction.BRAKE) + harness.amps(PinFunction.CHARGE)
              : harness.amps(function);
      assertThat(run.drop()).isCloseTo(amps * run.span().ohms(), within(1e-12));
    }
  }

  @Test
  void colourMeetsColourAtEachPinAndTheControllersOwnLeadsEndSomewhere() {
    SupplyPlan plan = plan("UNDER_DASH");
    SupplyPlan.Splice brake = splice(plan, PinFunction.BRAKE);
    assertThat(brake.lead()).contains(ControllerLead.BRAKE);
    assertThat(brake.leadColour()).contains(WireColour.BLUE);
    assertThat(brake.changes()).isFalse();
    assertThat(splice(plan, PinFunction.EARTH).lead()).contains(ControllerLead.EARTH);
    // Green in the blade cord, brown behind a utility socket.
    assertThat(splice(plan, PinFunction.TAIL).lead()).isEmpty();
    assertThat(splice(plan, PinFunction.TAIL).changes()).isTrue();
    assertThat(plan.ends())
        .extracting(SupplyPlan.End::lead, SupplyPlan.End::colour, SupplyPlan.End::where)
        .containsExactly(
            org.assertj.core.groups.Tuple.tuple(
                ControllerLead.SUPPLY, Optional.of(WireColour.BLACK), "load side of the breaker"),
            org.assertj.core.groups.Tuple.tuple(
                ControllerLead.STOP,
                Optional.of(WireColour.RED),
                "switched side of the stop-lamp switch, as read"));
  }

  @ParameterizedTest
  @EnumSource(
      value = ControllerKind.class,
      names = {"NONE", "BUILT_IN", "WIRELESS"})
  void aControllerWithoutLeadsOfItsOwnHasNoneToJoin(ControllerKind kind) {
    SupplyPlan plan = plan(kind.name());
    assertThat(plan.ends()).isEmpty();
    assertThat(plan.splices()).allMatch(splice -> splice.lead().isEmpty());
  }

  private static SupplyPlan.Splice splice(SupplyPlan plan, PinFunction function) {
    return plan.splices().stream().filter(s -> s.function() == function).findFirst().orElseThrow();
  }

  private static Fraction f(String text) {
    return Fraction.parse(text, UnitSystem.US);
  }

  @Test
  void aCutOutKeepsItsWebOnEverySide() {
    CutOut held = CutOut.of(f("8"), f("4"), f("2"), f("3/8"), f("3/8"), UnitSystem.US);
    assertThat(held.right()).isEqualTo(f("4 3/8"));
    assertThat(held.bottom()).isEqualTo(f("2 3/8"));
    assertThat(held.leftOver()).isEqualTo(f("3 5/8"));
    assertThat(held.corners().label()).isEqualTo("6.0 mm");
    assertThat(CutOut.of(f("4 3/4"), f("4"), f("2"), f("3/8"), f("3/8"), UnitSystem.US).leftOver())
        .isEqualTo(f("3/8"));
    assertThat(CutOut.of(null, f("4"), f("2"), f("3/8"), f("3/8"), UnitSystem.US).leftOver())
        .isNull();
    assertThatThrownBy(
            () -> CutOut.of(f("4 47/64"), f("4"), f("2"), f("3/8"), f("3/8"), UnitSystem.US))
        .hasMessageContaining("4 47/64");
    assertThatThrownBy(() -> CutOut.of(f("8"), f("4"), f("2"), f("23/64"), f("3/8"), UnitSystem.US))
        .hasMessageContaining("3/8");
    assertThatThrownBy(() -> CutOut.of(f("8"), f("4"), f("2"), f("3/8"), f("23/64"), UnitSystem.US))
        .hasMessageContaining("3/8");
    assertThatThrownBy(() -> CutOut.of(f("8"), f("0"), f("2"), f("1"), f("1"), UnitSystem.US))
        .hasMessageContaining("wider");
    assertThatThrownBy(() -> CutOut.of(f("8"), f("4"), f("0"), f("1"), f("1"), UnitSystem.US))
        .hasMessageContaining("higher");
  }

  /** The rack of the workshop from end to end. */
  @ParameterizedTest
  @CsvSource({
    "0.0010, 1.0 mm",
    "0.0130, 13.0 mm",
    "0.0510, 51 mm",
    "0.00158, 1/16 in",
    "0.0127, 1/2 in",
    "0.01429, 9/16 in",
    "0.0508, 2 in"
  })
  void aHoleThatADrillMakesIsMadeByThatDrill(double hole, String drill) {
    assertThat(Drills.nearest(hole).get(0).label()).isEqualTo(drill);
    assertThat(Drills.nearest(hole)).hasSize(3);
  }

  @Test
  void aPartGoesThroughTheDrillOfItsOwnSize() {
    assertThat(Drills.through(0.010).label()).isEqualTo("10.0 mm");
    assertThat(Drills.through(0.010).error()).isCloseTo(0, within(1e-9));
    assertThat(Drills.through(0.0455).label()).isEqualTo("1 13/16 in");
    assertThatThrownBy(() -> Drills.nearest(0)).hasMessageContaining("no drill");
    assertThatThrownBy(() -> Drills.nearest(0.2)).hasMessageContaining("no drill");
    assertThatThrownBy(() -> Drills.through(0.09)).hasMessageContaining("no drill");
  }

  @ParameterizedTest
  @CsvSource({"8, HOLDS", "8.1, WATCH", "10, WATCH", "10.1, FAILS"})
  void anAngleHoldsToFourFifthsOfItsLimit(double degrees, Verdict verdict) {
    Mounting.Limits limits =
        new Mounting.Limits(Math.toRadians(10), Math.toRadians(10), Math.toRadians(10), false);
    double angle = Math.toRadians(degrees);
    assertThat(Mounting.of(angle, 0, 0, limits).verdict()).isEqualTo(verdict);
    assertThat(Mounting.of(0, -angle, 0, limits).verdict()).isEqualTo(verdict);
    assertThat(Mounting.of(0, 0, angle, limits).verdict()).isEqualTo(verdict);
    assertThat(Mounting.of(0, 0, angle, limits).reasons())
        .hasSize(verdict == Verdict.HOLDS ? 0 : 1)
        .allMatch(r -> r.contains(verdict == Verdict.FAILS ? "more than the 10°" : "close to"));
    assertThatThrownBy(() -> Mounting.of(0, 0, Math.PI + 0.01, limits))
        .isInstanceOf(IllegalArgumentException.class);
    assertThat(Mounting.of(0, 0, Math.PI, Mounting.Limits.UNSTATED).verdict())
        .isEqualTo(Verdict.WATCH);
  }

  private static ControllerModel model(
      double supplyLeast, double supplyGreatest, double amps, double turned, double rolled) {
    return new ControllerModel(
        "Test stand",
        ControllerKind.TIMED,
        0,
        10,
        0.01,
        supplyLeast,
        supplyGreatest,
        amps,
        new Mounting.Limits(turned, turned, rolled, false),
        List.of(),
        Map.of(),
        new TreeMap<>(),
        List.of(),
        "");
  }

  private static List<String> problems(ControllerModel model) {
    return model.problems().stream().map(ControllerModel.Problem::field).toList();
  }

  @Test
  void aModelIsTakenUpToItsLimitsAndNotBeyond() {
    assertThat(problems(model(6, 32, 100, Math.PI / 2, Math.PI))).isEmpty();
    assertThat(problems(model(6, 32, 100, 0, 0))).isEmpty();
    assertThat(problems(model(5.9, 32, 100, 0, 0))).containsExactly("supplyLeast");
    assertThat(problems(model(6, 32.1, 100, 0, 0))).containsExactly("supplyLeast");
    assertThat(problems(model(12, 12, 100, 0, 0))).containsExactly("supplyLeast");
    assertThat(problems(model(6, 32, 0, 0, 0))).containsExactly("outputAmps");
    assertThat(problems(model(6, 32, 100.1, 0, 0))).containsExactly("outputAmps");
    assertThat(problems(model(6, 32, 100, 1.58, 0))).containsExactly("yaw", "pitch");
    assertThat(problems(model(6, 32, 100, -0.1, 3.15))).containsExactly("yaw", "pitch", "roll");
  }

  @ParameterizedTest
  @CsvSource({
    "0, 10, 10, true",
    "0, 1000, 1, true",
    "1, 1001, 1, true",
    "0, 1001, 1, false",
    "2, 5, 3, true",
    "2, 5, 3.5, false"
  })
  void aScaleHasOneStepAtLeastAndAThousandMarksAtMost(
      double least, double greatest, double step, boolean taken) {
    assertThat(ControllerModelTest.model(least, greatest, step, List.of()).problems().isEmpty())
        .isEqualTo(taken);
  }

  @ParameterizedTest
  @CsvSource({
    "0, 0, 10, 16, true",
    "0, 0, 0, 1, false",
    "2, 3, 2, 4, false",
    "2, 3, 4, 3, true",
    "2, 3, 4, 16.1, false",
    "2, 3, 10.1, 4, false",
    "-0.1, 3, 4, 5, false",
    "2, -0.1, 4, 5, false"
  })
  void aCurveStaysOnItsScaleAndUnderItsSupply(
      double gain, double volts, double nextGain, double nextVolts, boolean taken) {
    List<ControllerModel.Point> curve =
        List.of(
            new ControllerModel.Point(gain, volts), new ControllerModel.Point(nextGain, nextVolts));
    ControllerModel model = ControllerModelTest.model(0, 10, 0.5, curve);
    assertThat(model.problems().isEmpty()).isEqualTo(taken);
    if (taken) {
      assertThat(model.volts(nextGain)).hasValue(nextVolts);
      assertThat(model.volts(nextGain + 0.01)).isEmpty();
    }
  }

  @ParameterizedTest
  @CsvSource({
    "CONSTANT, 12.5, 12.5, None of these",
    "NORMALLY_CLOSED, 12.5, 0, cruise",
    "DEAD, 0, 0, None of these"
  })
  void adviceGoesByWhatWasFound(StopSignal.Kind kind, double up, double down, String advice) {
    StopSignal found =
        StopSignal.of(
            List.of(new StopSignal.Reading("red", up, down, Double.NaN, Double.NaN, false)),
            12.5,
            false);
    assertThat(found.wires().get(0).kind()).isEqualTo(kind);
    assertThat(found.advice()).contains(advice);
    assertThat(found.use()).isEmpty();
  }

  @Test
  void aSignalThatNeedsTheKeyIsTheSwitchedSideAsWell() {
    StopSignal found =
        StopSignal.of(List.of(new StopSignal.Reading("green", 0, 0, 0, 12.4, false)), 12.5, false);
    assertThat(found.wires().get(0).kind()).isEqualTo(StopSignal.Kind.SWITCHED);
    assertThat(found.advice()).contains("green");
    StopSignal turned =
        StopSignal.of(List.of(new StopSignal.Reading("green", 0, 12.4, 0, 0, false)), 12.5, false);
    assertThat(turned.wires().get(0).kind()).isEqualTo(StopSignal.Kind.CONTRADICTION);
  }

  /** A controller may wake at what a bulb leaks into its wire. */
  @Test
  void aStopSignalWithVoltsAtRestIsToBeWatched() {
    StopSignal leaks =
        StopSignal.of(
            List.of(new StopSignal.Reading("grey", 1.2, 12.3, 0.1, 12.4, false)), 12.5, false);
    assertThat(leaks.use().orElseThrow().kind()).isEqualTo(StopSignal.Kind.SWITCHED);
    assertThat(leaks.isDoubtful()).isTrue();
    assertThat(leaks.advice()).contains("1.20 V stand on it with the pedal up");
    StopSignal clean =
        StopSignal.of(
            List.of(new StopSignal.Reading("grey", 0.1, 12.3, Double.NaN, 12.4, false)),
            12.5,
            false);
    assertThat(clean.isDoubtful()).isFalse();
    assertThat(clean.advice()).startsWith("Take “grey”.");
  }

  @Test
  void amongSeveralTheFirstByNameIsTakenAndAMonitoredVehicleIsToldAnyway() {
    List<StopSignal.Reading> two =
        List.of(
            new StopSignal.Reading("white", 0, 12.4, Double.NaN, Double.NaN, false),
            new StopSignal.Reading("green", 0, 12.4, Double.NaN, Double.NaN, false));
    assertThat(StopSignal.of(two, 12.5, false).use().orElseThrow().reading().name())
        .isEqualTo("green");
    assertThat(StopSignal.of(two, 12.5, true).advice()).contains("isolator");
  }

  @Test
  void theMarkOnAPanelHoldsToAThirtySecond() {
    Fraction four = f("4");
    assertThat(PanelCentre.of(f("8"), four, four).verdict()).isEqualTo(Verdict.HOLDS);
    assertThat(PanelCentre.of(f("8"), f("4 1/32"), f("3 31/32")).verdict())
        .isEqualTo(Verdict.HOLDS);
    assertThat(PanelCentre.of(f("8"), f("3 15/16"), f("4 1/16")).verdict())
        .isEqualTo(Verdict.WATCH);
    assertThat(PanelCentre.of(f("8"), f("3 59/64"), f("4 5/64")).verdict())
        .isEqualTo(Verdict.FAILS);
    assertThat(PanelCentre.of(f("8"), four, null).verdict()).isEqualTo(Verdict.NOT_YET);
  }

  @Test
  void everyWordOfTheCabIsSaid() {
    assertThat(Arrays.stream(StopSignal.Kind.values()).map(StopSignal.Kind::words))
        .doesNotHaveDuplicates()
        .noneMatch(String::isBlank);
    assertThat(Arrays.stream(CavityMatch.Kind.values()).map(CavityMatch.Kind::words))
        .doesNotHaveDuplicates()
        .noneMatch(String::isBlank);
    assertThat(Arrays.stream(PowerUp.Display.values()).map(PowerUp.Display::label))
        .noneMatch(String::isBlank);
    assertThat(Arrays.stream(Clearance.values()).map(Clearance::what)).doesNotHaveDuplicates();
    assertThat(Arrays.stream(Clearance.values()).map(Clearance::why)).noneMatch(String::isBlank);
  }
}
