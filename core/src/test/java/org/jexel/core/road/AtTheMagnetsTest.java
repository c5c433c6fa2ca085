package org.jexel.core.road;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Set;
import org.jexel.core.Rigs;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.HarnessPlanner;
import org.jexel.core.harness.Load;
import org.jexel.core.harness.Nodes;
import org.jexel.core.harness.WireSize;
import org.jexel.core.network.RigNetwork;
import org.jexel.core.network.RigState;
import org.jexel.core.network.Solution;
import org.jexel.core.network.StateWord;
import org.jexel.core.rig.Rig;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class AtTheMagnetsTest {
  private static final Rig RIG = Rigs.twoAxles();
  private static final Harness PLAN = HarnessPlanner.plan(RIG, WireSize.GAUGES);

  private static Solution solved(double output) {
    RigState held = new RigState(Set.of(StateWord.LEVER), output, 1, 1);
    return RigNetwork.of(RIG, PLAN, held).network().solve();
  }

  private static double pin(Solution solved) {
    return solved.volts(Nodes.socket(PinFunction.BRAKE), Nodes.socket(PinFunction.EARTH));
  }

  /** The whole network solved at a part of the output says the same as full output, scaled. */
  @ParameterizedTest
  @ValueSource(doubles = {0.2, 0.5, 0.8})
  void whatReachesTheMagnetsGoesWithTheVoltsAtThePin(double output) {
    Solution part = solved(output);
    List<String> magnets =
        PLAN.loads().stream()
            .filter(load -> load.kind() == Load.Kind.MAGNET)
            .map(Load::name)
            .toList();
    AtTheMagnets told =
        AtTheMagnets.of(RIG, PLAN, List.of(new VoltsByGain.Reading(5, pin(part)))).get(0);
    assertThat(told.pin()).isEqualTo(pin(part));
    assertThat(told.farthest())
        .isCloseTo(
            magnets.stream().mapToDouble(m -> Math.abs(part.across(m))).min().orElseThrow(),
            within(5e-3))
        .isLessThan(told.pin());
    assertThat(told.amps())
        .isCloseTo(magnets.stream().mapToDouble(m -> Math.abs(part.amps(m))).sum(), within(5e-3));
  }

  @Test
  void offIsNoGain() {
    assertThat(AtTheMagnets.of(RIG, PLAN, List.of(new VoltsByGain.Reading(0, 0)))).isEmpty();
  }
}
