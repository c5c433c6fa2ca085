package org.jexel.core.network;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jexel.core.Rigs;
import org.jexel.core.bench.Stand;
import org.jexel.core.harness.Harness;
import org.jexel.core.quantity.UnitSystem;
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
    for (KnownFault named : FaultCatalog.of(RIG, HARNESS)) {
      if (named.fault().kind() == Fault.Kind.OHMS && named.fault().part().equals("pin_brake")) {
        Readout faulty = solver.solve(FaultSolver.changes(whole, List.of(named.fault())));
        double lost = faulty.volts("sock_brake", "plug_brake");
        double supply = faulty.volts("sock_brake", "sock_earth");
        double share = named.loses().orElseThrow();
        assertThat(lost / supply).as(named.key()).isCloseTo(share, within(0.05));
        seen++;
      }
    }
    assertThat(seen).isEqualTo(6);
  }

  /** One place counts once, however many severities it stands there in. */
  @Test
  void theSeveritiesOfOnePlaceShareItsWeight() {
    Map<FaultFamily, Double> weights =
        FaultCatalog.of(RIG, HARNESS).stream()
            .collect(
                Collectors.groupingBy(
                    KnownFault::family, Collectors.summingDouble(KnownFault::weight)));
    assertThat(weights.get(family("Corroded: tail pin", weights)))
        .isCloseTo(weights.get(family("No contact: tail pin", weights)), within(1e-9));
    assertThat(weights).allSatisfy((family, weight) -> assertThat(weight).isBetween(1.0, 20.0));
    assertThat(weights.keySet())
        .noneMatch(family -> family.words(UnitSystem.METRIC).contains("loses"));
  }

  /** What is in the vehicle begins at two fifths of the loss of the same joint on the trailer. */
  @Test
  void whatIsPoorBeforeTheSocketIsListedFromASlighterLossOn() {
    Map<String, Double> least =
        FaultCatalog.of(RIG, HARNESS).stream()
            .filter(known -> known.loses().isPresent())
            .collect(
                Collectors.toMap(
                    known -> known.family().words(UnitSystem.METRIC),
                    known -> known.loses().getAsDouble(),
                    Math::min));
    assertThat(least.get("Corroded: brake pin")).isCloseTo(0.2, within(1e-9));
    assertThat(least.get("Poor feed in the vehicle: before the controller"))
        .isCloseTo(0.08, within(1e-9));
    assertThat(least.get("Poor battery post")).isCloseTo(0.08, within(1e-9));
    assertThat(least.get("Corroded: tail pin")).isCloseTo(0.1, within(1e-9));
    assertThat(least.get("Poor feed in the vehicle: tail")).isCloseTo(0.04, within(1e-9));
    assertThat(least.get("Poor joint or broken strands: breakaway, to its switch"))
        .as("with no state of the sheet that feeds it")
        .isCloseTo(0.2, within(1e-9));
  }

  private static FaultFamily family(String words, Map<FaultFamily, Double> among) {
    return among.keySet().stream()
        .filter(family -> family.words(UnitSystem.METRIC).equals(words))
        .findFirst()
        .orElseThrow();
  }

  /** A form posts the key and finds the same fault again. */
  @Test
  void noTwoFaultsHaveOneKey() {
    assertThat(FaultCatalog.of(RIG, HARNESS)).extracting(KnownFault::key).doesNotHaveDuplicates();
  }

  @Test
  void aJointIsToldInThePersonsUnits() {
    assertThat(FaultCatalog.of(RIG, HARNESS))
        .extracting(fault -> fault.words(UnitSystem.US))
        .anyMatch(words -> words.contains(" ft behind the ball"))
        .noneMatch(words -> words.contains(" m behind"));
  }
}
