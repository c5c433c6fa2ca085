package org.jexel.core.network;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.HashSet;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.jexel.core.Rigs;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.HarnessPlanner;
import org.jexel.core.harness.Load;
import org.jexel.core.harness.WireSize;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.junit.jupiter.api.Test;

/** The rig as a network, state by state. */
class RigNetworkTest {
  private static final Rig RIG = Rigs.twoAxles();
  private static final Harness HARNESS = HarnessPlanner.plan(RIG, WireSize.GAUGES);

  private static Solution solve(
      Set<PinFunction> lights, double output, boolean running, boolean plugged) {
    return RigNetwork.of(RIG, HARNESS, new RigState(lights, output, running, plugged))
        .network()
        .solve();
  }

  @Test
  void withNothingSwitchedOnNothingFlows() {
    assertThat(solve(Set.of(), 0, false, true).amps(RigNetwork.SUPPLY)).isCloseTo(0, within(1e-6));
  }

  @Test
  void theEngineLiftsEveryLamp() {
    double off = lamp(solve(Set.of(PinFunction.TAIL), 0, false, true));
    double on = lamp(solve(Set.of(PinFunction.TAIL), 0, true, true));
    assertThat(on).isGreaterThan(off + 1);
  }

  private static double lamp(Solution solution) {
    return solution.volts("tail_rear_left", "earth_rear_left");
  }

  @Test
  void withThePlugOutTheTrailerIsDark() {
    Network network =
        RigNetwork.of(RIG, HARNESS, new RigState(Set.of(PinFunction.TAIL), 1, false, false))
            .network();
    assertThat(network.hasNode("tail_rear_left")).isFalse();
    assertThat(network.solve().volts("sock_tail", "sock_earth")).isCloseTo(12.6, within(1e-6));
  }

  @Test
  void theLeftIndicatorLightsTheLeftLampAlone() {
    Solution solution = solve(Set.of(PinFunction.LEFT), 0, false, true);
    assertThat(solution.volts("left_rear_left", "earth_rear_left")).isGreaterThan(11);
    assertThat(Math.abs(solution.volts("right_rear_right", "earth_rear_right"))).isLessThan(0.2);
  }

  @Property(tries = 50)
  void moreOutputNeverMeansLessCurrentInAMagnet(
      @ForAll @DoubleRange(min = 0.05, max = 0.94) double share,
      @ForAll @DoubleRange(min = 0, max = 0.05) double more) {
    assertThat(solve(Set.of(), share + more, false, true).amps("magnet_axle2_right"))
        .isGreaterThanOrEqualTo(
            solve(Set.of(), share, false, true).amps("magnet_axle2_right") - 1e-12);
  }

  @Test
  void theFarMagnetGetsTheLeast() {
    Solution solution = solve(Set.of(), 1, false, true);
    double near = solution.volts("brake_axle1_left", "bret_axle1_left");
    double far = solution.volts("brake_axle2_right", "bret_axle2_right");
    assertThat(far).isLessThan(near).isGreaterThan(10);
  }

  @Test
  void lampsAndBrakesShareTheEarthPinAndFeelEachOther() {
    double alone = lamp(solve(Set.of(PinFunction.TAIL), 0, false, true));
    double braking = lamp(solve(Set.of(PinFunction.TAIL), 1, false, true));
    assertThat(braking).isLessThan(alone);
    assertThat(alone - braking).isLessThan(1.2);
  }

  @Test
  void everyUncertainPartIsInTheNetworkAndToldOnce() {
    RigNetwork network =
        RigNetwork.of(RIG, HARNESS, new RigState(Set.of(PinFunction.TAIL), 1, false, true));
    Set<String> told = new HashSet<>();
    for (Tolerance tolerance : network.tolerances()) {
      assertThat(told.add(tolerance.element())).as(tolerance.element()).isTrue();
      network.network().element(tolerance.element());
      assertThat(tolerance.below()).isNotNegative();
      assertThat(tolerance.above()).isPositive();
      assertThat(tolerance.element()).matches("[A-Za-z0-9_]+");
    }
    assertThat(told).contains("battery", "controller", "pin_brake", "magnet_axle1_left");
  }

  @Test
  void aMagnetThatWasMeasuredIsKnownBetterThanOneThatIsAssumed() {
    Rig measured =
        RIG.with(RIG.sheet().with(org.jexel.core.rig.FieldKey.of(RigField.MAGNET_OHMS), 3.3));
    assertThat(spread(measured)).isLessThan(spread(RIG) / 3);
  }

  private static double spread(Rig rig) {
    return RigNetwork.trailerAlone(HarnessPlanner.plan(rig, WireSize.GAUGES), PinFunction.BRAKE)
        .tolerances()
        .stream()
        .filter(t -> t.element().equals("magnet_axle1_left"))
        .findFirst()
        .orElseThrow()
        .above();
  }

  @Test
  void theOhmmeterSeesTheMagnetsAndNotTheLamps() {
    Solution alone = RigNetwork.trailerAlone(HARNESS, PinFunction.BRAKE).network().solve();
    assertThat(1 / alone.amps(RigNetwork.OHMMETER)).isBetween(0.8, 0.95);
    Solution tail = RigNetwork.trailerAlone(HARNESS, PinFunction.TAIL).network().solve();
    double lamps =
        HARNESS.loads().stream()
            .filter(l -> l.function() == PinFunction.TAIL)
            .mapToDouble(l -> 1 / l.ohms())
            .sum();
    assertThat(1 / tail.amps(RigNetwork.OHMMETER))
        .isGreaterThan(1 / lamps)
        .isLessThan(1 / lamps + 0.5);
  }

  @Test
  void theChargeFeedIsNotALoadOfTheChecks() {
    assertThat(HARNESS.loads()).noneMatch(load -> load.kind() == Load.Kind.CHARGE);
    assertThatThrownBy(() -> new RigState(Set.of(), 1.2, false, true)).hasMessageContaining("1.2");
  }
}
