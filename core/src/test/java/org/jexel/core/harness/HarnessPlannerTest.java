package org.jexel.core.harness;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.Stream;
import org.jexel.core.Rigs;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.network.RigNetwork;
import org.jexel.core.network.RigState;
import org.jexel.core.network.StateWord;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class HarnessPlannerTest {
  static Stream<Rig> rigs() {
    return Stream.of(
        Rigs.oneAxle(),
        Rigs.twoAxles(),
        Rigs.unbraked(),
        Rigs.rig(
            Rigs.sheet(
                RigField.AXLE_COUNT, 3,
                RigField.BRAKE_TYPE, "ELECTRIC_HYDRAULIC",
                RigField.TOW_CONNECTOR, "blade-7",
                RigField.TRAILER_CONNECTOR, "blade-7",
                RigField.OVERALL_LENGTH, 9.5,
                RigField.OVERALL_WIDTH, 2.4,
                RigField.TRAILER_KIND, "PLANT")),
        Rigs.rig(
            Rigs.sheet(
                RigField.TOW_CONNECTOR, "flat-7",
                RigField.TRAILER_CONNECTOR, "flat-7",
                RigField.BRAKE_TYPE, "ELECTRIC",
                RigField.LAMP_TECHNOLOGY, "LED")));
  }

  @ParameterizedTest
  @MethodSource("rigs")
  void aRunThatBrakesIsNeverThinnerThanItsLeastSize(Rig rig) {
    for (Span span : HarnessPlanner.plan(rig, WireSize.METRIC).spans()) {
      if (span.duty() == Duty.TRUNK) {
        assertThat(span.size().area()).isGreaterThanOrEqualTo(3.3e-6);
      } else if (span.duty() == Duty.ACROSS) {
        assertThat(span.size().area()).isGreaterThanOrEqualTo(2.0e-6);
      } else {
        assertThat(span.size().area()).isGreaterThanOrEqualTo(1.0e-6);
      }
    }
  }

  @Test
  void theFrameIsNeverTheReturnOfTheBrakes() {
    Rig rig =
        Rigs.rig(
            Rigs.sheet(
                RigField.BRAKE_TYPE, "ELECTRIC",
                RigField.TOW_CONNECTOR, "blade-7",
                RigField.TRAILER_CONNECTOR, "blade-7",
                RigField.LAMP_RETURN, "FRAME"));
    Harness harness = HarnessPlanner.plan(rig, WireSize.GAUGES);
    assertThat(harness.problems()).extracting(Problem::part).contains("brake");
    assertThat(harness.circuits()).extracting(Circuit::name).contains("brake return");
  }

  @Test
  void theCordGoesFromTheBoxPastTheCouplerByItsSlack() {
    Rig rig = Rigs.rig(Rigs.sheet(RigField.DRAWBAR_LENGTH, 1.5));
    assertThat(
            HarnessPlanner.plan(rig, WireSize.GAUGES).spans().stream()
                .filter(span -> span.duty() == Duty.CORD))
        .isNotEmpty()
        .allSatisfy(span -> assertThat(span.length()).isCloseTo(1.88, within(1e-9)));
  }

  @Test
  void aLongerFrameMakesLongerRunsAndNoThinnerTrunk() {
    Harness near = HarnessPlanner.plan(brakedAt(4.5), WireSize.GAUGES);
    Harness far = HarnessPlanner.plan(brakedAt(9.0), WireSize.GAUGES);
    assertThat(total(far)).isGreaterThan(total(near));
    assertThat(trunk(far).size().area()).isGreaterThanOrEqualTo(trunk(near).size().area());
  }

  private static Rig brakedAt(double length) {
    return Rigs.rig(
        Rigs.sheet(
            RigField.OVERALL_LENGTH, length,
            RigField.BRAKE_TYPE, "ELECTRIC",
            RigField.TOW_CONNECTOR, "blade-7",
            RigField.TRAILER_CONNECTOR, "blade-7"));
  }

  private static double total(Harness harness) {
    return harness.spans().stream().mapToDouble(Span::length).sum();
  }

  private static Span trunk(Harness harness) {
    return harness.spans().stream().filter(s -> s.duty() == Duty.TRUNK).findFirst().orElseThrow();
  }

  @Test
  void theDropInTheTableIsTheDropOfTheNetworkButForContactsAndSaggingLoads() {
    Rig rig = Rigs.oneAxle();
    Harness harness = HarnessPlanner.plan(rig, WireSize.GAUGES);
    Circuit brake =
        harness.circuits().stream().filter(c -> c.name().equals("brake")).findFirst().orElseThrow();
    var solution = RigNetwork.of(rig, harness, RigState.of(StateWord.LEVER)).network().solve();
    double amps = solution.amps("controller");
    double lost = 12.6 - 0.3 - solution.across("magnet_axle1_right");
    // Battery 20 mΩ and breaker 2; each way a pin 5, two rings at the box 4, a splice 1.
    double contacts = 0.022 + 2 * 0.010;
    assertThat(lost).isCloseTo(brake.drop() * amps / brake.amps() + amps * contacts, within(0.05));
  }

  @Test
  void aStopPinFeedsBothRearLampsByItself() {
    Rig rig =
        Rigs.rig(
            Rigs.sheet(RigField.TOW_CONNECTOR, "flat-7", RigField.TRAILER_CONNECTOR, "flat-7"));
    assertThat(
            HarnessPlanner.plan(rig, WireSize.GAUGES).loads().stream()
                .filter(load -> load.function() == PinFunction.STOP))
        .hasSize(2);
  }

  @ParameterizedTest
  @MethodSource("rigs")
  void everySpanStandsInOneLineOfTheTable(Rig rig) {
    Harness harness = HarnessPlanner.plan(rig, WireSize.GAUGES);
    double table = harness.circuits().stream().mapToDouble(Circuit::length).sum();
    assertThat(table).isCloseTo(total(harness), within(1e-9));
  }

  @ParameterizedTest
  @MethodSource("rigs")
  void thickerStockNeverLosesMoreVolts(Rig rig) {
    List<WireSize> thick = WireSize.GAUGES.subList(3, WireSize.GAUGES.size());
    var usual = HarnessPlanner.plan(rig, WireSize.GAUGES).circuits();
    var copper = HarnessPlanner.plan(rig, thick).circuits();
    for (int i = 0; i < usual.size(); i++) {
      if (usual.get(i).function() != PinFunction.EARTH && usual.get(i).sizes().size() == 1) {
        assertThat(copper.get(i).drop())
            .as(usual.get(i).name())
            .isLessThanOrEqualTo(Math.max(usual.get(i).drop(), usual.get(i).limit()) + 1e-9);
      }
    }
  }

  @Test
  void aLineOfTheTableShowsItsSum() {
    for (Circuit circuit : HarnessPlanner.plan(Rigs.twoAxles(), WireSize.GAUGES).circuits()) {
      assertThat(circuit.sum().si()).isEqualTo(circuit.drop());
      assertThat(circuit.sum().title()).contains(circuit.name());
      assertThat(circuit.sizes()).isNotEmpty();
      assertThat(circuit.protection())
          .satisfiesAnyOf(
              amps -> assertThat(amps).isZero(),
              amps -> assertThat(amps).isGreaterThanOrEqualTo(circuit.amps()));
    }
  }
}
