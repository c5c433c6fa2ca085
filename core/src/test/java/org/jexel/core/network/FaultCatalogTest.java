package org.jexel.core.network;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Collections;
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

  /** So a tool goes to one place for all of these, and to another for what is beside it. */
  @Test
  void aJointAndTheRunBehindItAreOpenedAtOnePlace() {
    Map<String, String> opened =
        FaultCatalog.of(RIG, HARNESS).stream()
            .collect(
                Collectors.toMap(
                    known -> known.fault().part(), KnownFault::opened, (one, two) -> one));
    assertThat(opened)
        .containsEntry("joint_earth_rear_left", "earth_rear_left")
        .containsEntry("wire_earth_rear_left", "earth_rear_left")
        .containsEntry("tail_rear_left", "tail_rear_left")
        .containsEntry("joint_tail_rear_left", "tail_rear_left")
        .containsEntry("lamp_tail_rear_left", "lamp_tail_rear_left")
        .containsEntry("wire_cord_earth", "wire_cord_earth")
        .containsEntry("joint_cord_earth", "joint_cord_earth");
  }

  /** Discharged or with a dead cell as often; with two dead, at 8.6 V, a quarter as often. */
  @Test
  void aBatteryWithAnotherDeadCellIsMetAQuarterAsOften() {
    Map<Double, Double> met =
        FaultCatalog.of(RIG, HARNESS).stream()
            .filter(known -> known.fault().kind() == Fault.Kind.LOW)
            .filter(known -> known.fault().part().equals(RigNetwork.BREAKAWAY_BATTERY))
            .collect(Collectors.toMap(known -> known.fault().amount(), KnownFault::weight));
    assertThat(met.get(11.5)).isEqualTo(met.get(10.6));
    assertThat(met.get(8.6)).isCloseTo(met.get(10.6) / 4, within(1e-9));
  }

  /** Of lamps from a third of what the drop limits allow on, of brakes from half of it. */
  @Test
  void whatIsPoorIsListedFromALossOnThatTheDropLimitsAllow() {
    Map<String, Double> least =
        FaultCatalog.of(RIG, HARNESS).stream()
            .filter(known -> known.loses().isPresent())
            .collect(
                Collectors.toMap(
                    known -> known.family().words(UnitSystem.METRIC),
                    known -> known.loses().getAsDouble(),
                    Math::min));
    for (String brakes :
        List.of(
            "Corroded: brake pin",
            "Poor feed in the vehicle: before the controller",
            "Poor battery post",
            "Poor joint or broken strands: breakaway, to its switch")) {
      assertThat(least.get(brakes)).as(brakes).isCloseTo(0.05, within(1e-9));
    }
    assertThat(least.get("Corroded: tail pin")).isCloseTo(0.016, within(1e-9));
    assertThat(least.get("Poor feed in the vehicle: tail")).isCloseTo(0.016, within(1e-9));
  }

  /**
   * Whatever it carries: no contact of twenty ohms is a break, and none lies between two of these.
   */
  @Test
  void whatIsPoorIsListedUpToTwentyOhmsWithoutAGap() {
    Map<FaultFamily, List<Double>> ohms =
        FaultCatalog.of(RIG, HARNESS).stream()
            .filter(known -> known.loses().isPresent())
            .collect(
                Collectors.groupingBy(
                    KnownFault::family,
                    Collectors.mapping(known -> known.fault().amount(), Collectors.toList())));
    assertThat(ohms).hasSizeGreaterThan(40);
    double reach = Math.sqrt(3);
    ohms.forEach(
        (family, all) -> {
          double covered = Collections.min(all);
          for (double one : all.stream().sorted().toList()) {
            assertThat(one / reach).as(family.key()).isLessThanOrEqualTo(covered * reach * 1.001);
            covered = one;
          }
          assertThat(covered * reach).as(family.key()).isGreaterThanOrEqualTo(20);
        });
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
