package org.jexel.core.network;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jexel.core.Rigs;
import org.jexel.core.bench.Stand;
import org.jexel.core.harness.Harness;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.junit.jupiter.api.Test;

/** Every fault that a rig can have, and how bad it is. */
class FaultCatalogTest {
  private static final Rig RIG =
      Rigs.twoAxles(RigField.ENGINE_OFF_VOLTS, 12.6, RigField.FEED_RUN, 6);
  private static final Harness HARNESS = Stand.harness(RIG);

  /** Of the volts across the joint and what hangs on it; magnets keep to Ohm's law. */
  @Test
  void aCorrodedBrakeJointLosesTheShareThatItSays() {
    Network lever = RigNetwork.of(RIG, HARNESS, RigState.of(StateWord.LEVER)).network();
    FaultSolver solver = new FaultSolver(lever);
    Network whole = RigNetwork.whole(RIG, HARNESS);
    int seen = 0;
    for (FaultCatalog.Named named : FaultCatalog.of(RIG, HARNESS)) {
      if (named.fault().kind() == Fault.Kind.OHMS && named.fault().part().equals("pin_brake")) {
        Readout faulty = solver.solve(FaultSolver.changes(whole, List.of(named.fault())));
        double lost = faulty.volts("sock_brake", "plug_brake");
        double supply = faulty.volts("sock_brake", "sock_earth");
        double share = Double.parseDouble(named.label().replaceAll(".*loses ([0-9]+) %.*", "$1"));
        assertThat(lost / supply).as(named.label()).isCloseTo(share / 100, within(0.05));
        seen++;
      }
    }
    assertThat(seen).isEqualTo(3);
  }

  /** One place counts once, however many severities it stands there in. */
  @Test
  void theSeveritiesOfOnePlaceShareItsWeight() {
    Map<String, Double> weights =
        FaultCatalog.of(RIG, HARNESS).stream()
            .collect(
                Collectors.groupingBy(
                    FaultCatalog.Named::family,
                    Collectors.summingDouble(FaultCatalog.Named::weight)));
    assertThat(weights.get("Corroded: tail pin"))
        .isCloseTo(weights.get("No contact: tail pin"), within(1e-9));
    assertThat(weights).allSatisfy((family, weight) -> assertThat(weight).isBetween(1.0, 20.0));
    assertThat(weights.keySet()).noneMatch(family -> family.contains("loses"));
  }
}
