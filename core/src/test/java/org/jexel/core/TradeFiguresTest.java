package org.jexel.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jexel.core.check.Plausible;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.diagnosis.Diagnosis;
import org.jexel.core.diagnosis.Hypothesis;
import org.jexel.core.harness.Circuit;
import org.jexel.core.harness.Duty;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.HarnessPlanner;
import org.jexel.core.harness.LampLoad;
import org.jexel.core.harness.Span;
import org.jexel.core.harness.WireSize;
import org.jexel.core.network.FaultCatalog;
import org.jexel.core.network.FaultFamily;
import org.jexel.core.network.KnownFault;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.FieldKey;
import org.jexel.core.rig.Lamp;
import org.jexel.core.rig.LampRole;
import org.jexel.core.rig.LampTechnology;
import org.jexel.core.rig.LoadSheet;
import org.jexel.core.rig.RatingCheck;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.Side;
import org.jexel.core.rig.TongueBand;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The trade's starting values, each as somebody would meet it on a rig, worked by hand. */
class TradeFiguresTest {
  private static final Harness TWO_AXLES = plan(Rigs.twoAxles());

  private static Harness plan(Rig rig) {
    return HarnessPlanner.plan(rig, WireSize.GAUGES);
  }

  /** 5 % of 12.8 V for lamps, 10 % for brakes, 4 % for charge. */
  @ParameterizedTest
  @CsvSource({"tail, 0.64", "left, 0.64", "brake, 1.28", "charge, 0.512"})
  void dropLimits(String circuit, double volts) {
    assertThat(TWO_AXLES.circuits().stream().filter(c -> c.name().equals(circuit)))
        .singleElement()
        .extracting(Circuit::limit)
        .asInstanceOf(org.assertj.core.api.InstanceOfAssertFactories.DOUBLE)
        .isCloseTo(volts, within(1e-9));
  }

  /**
   * A controller at the dash sits 40 % along the run to the socket, a wireless unit near its end.
   */
  @ParameterizedTest
  @CsvSource({"UNDER_DASH, 4, 6", "WIRELESS, 9.5, 0.5"})
  void placeOfTheController(String kind, double before, double behind) {
    Rig rig = Rigs.twoAxles(RigField.FEED_RUN, 10, RigField.CONTROLLER_KIND, kind);
    assertThat(plan(rig).spans())
        .filteredOn(s -> s.duty() == Duty.VEHICLE && s.function() == PinFunction.BRAKE)
        .extracting(Span::length)
        .usingComparatorForType((a, b) -> Math.abs(a - b) < 1e-9 ? 0 : 1, Double.class)
        .containsExactly(before, behind);
  }

  /** 16 AWG for a lamp's core, 12 AWG for earth, brake and trunk, 14 AWG across the axle. */
  @Test
  void leastSizes() {
    assertThat(sizes(Rigs.unbraked(), PinFunction.EARTH, Duty.CORD)).containsOnly("12 AWG");
    assertThat(sizes(Rigs.unbraked(), PinFunction.TAIL, Duty.CORD)).containsOnly("16 AWG");
    assertThat(sizes(Rigs.oneAxle(), PinFunction.BRAKE, Duty.CORD)).containsOnly("12 AWG");
    assertThat(sizes(Rigs.oneAxle(), PinFunction.BRAKE, Duty.TRUNK)).containsOnly("12 AWG");
    assertThat(sizes(Rigs.oneAxle(), PinFunction.BRAKE, Duty.ACROSS)).containsOnly("14 AWG");
  }

  private static List<String> sizes(Rig rig, PinFunction function, Duty duty) {
    return plan(rig).spans().stream()
        .filter(span -> span.function() == function && span.duty() == duty)
        .map(span -> span.size().label())
        .toList();
  }

  /** Filaments by their watts at 12.8 V; LEDs by their own amperes. */
  @ParameterizedTest
  @CsvSource({
    "COMBINED, TAIL, 8, 0.05",
    "COMBINED, LEFT, 27, 0.25",
    "COMBINED, STOP, 27, 0.25",
    "PLATE, TAIL, 5, 0.06",
    "SIDE_MARKER, TAIL, 4, 0.06",
    "FRONT_MARKER, TAIL, 4, 0.06",
    "REAR_CLEARANCE, TAIL, 4, 0.06",
    "REVERSE, REVERSE, 27, 0.25"
  })
  void whatALampDraws(LampRole role, PinFunction function, double watts, double ledAmps) {
    assertThat(amps(role, LampTechnology.FILAMENT).get(function))
        .isCloseTo(watts / 12.8, within(1e-12));
    assertThat(amps(role, LampTechnology.LED).get(function)).isCloseTo(ledAmps, within(1e-12));
  }

  /** What is stamped on rear lamps is theirs alone, and of no lamp of the other kind. */
  @Test
  void whatAStampedLampDraws() {
    RigField tail = RigField.REAR_TAIL_WATTS;
    assertThat(amps(LampRole.COMBINED, LampTechnology.FILAMENT, tail, 5).get(PinFunction.TAIL))
        .isCloseTo(5 / 12.8, within(1e-12));
    assertThat(amps(LampRole.COMBINED, LampTechnology.LED, tail, 5).get(PinFunction.TAIL))
        .isCloseTo(0.05, within(1e-12));
    assertThat(amps(LampRole.REAR_CLEARANCE, LampTechnology.FILAMENT, tail, 5))
        .containsEntry(PinFunction.TAIL, 4 / 12.8);
    assertThat(
            amps(LampRole.COMBINED, LampTechnology.FILAMENT, RigField.REAR_STOP_WATTS, 21)
                .get(PinFunction.STOP))
        .isCloseTo(21 / 12.8, within(1e-12));
  }

  private static Map<PinFunction, Double> amps(
      LampRole role, LampTechnology technology, Object... entered) {
    Lamp lamp = new Lamp("x", role, Side.LEFT, 4, 0.8, technology, Lamp.State.PRESENT, "", false);
    Map<PinFunction, Double> amps = new EnumMap<>(PinFunction.class);
    Object[] all =
        Stream.of(new Object[] {RigField.TRAILER_CONNECTOR, "flat-7"}, entered)
            .flatMap(Stream::of)
            .toArray();
    LampLoad.amps(lamp, Rigs.rig(Rigs.sheet(all)))
        .forEach((function, figure) -> amps.put(function, figure.si()));
    return amps;
  }

  /** Returns first, then contacts, lamps and magnets, joints, supply, conductors. */
  @ParameterizedTest
  @CsvSource({
    "RETURN_LOST, 10",
    "POOR_EARTH_IN_VEHICLE, 10",
    "NO_CONTACT, 6",
    "CORRODED, 6",
    "BURNT_OUT, 4",
    "OPEN, 4",
    "CORRODED_JOINT, 3",
    "FUSE_OPEN, 2",
    "EXCHANGED, 1.5",
    "CHAFED, 1.5",
    "STRANDS_BROKEN, 6",
    "FEED_BROKEN_IN_VEHICLE, 2",
    "POOR_SWITCH, 4",
    "WRONG_LAMP, 2",
    "EXCHANGED_AT_LAMP, 1"
  })
  void howOftenPracticeMeetsAFault(FaultFamily.Trouble trouble, double weight) {
    Map<FaultFamily, Double> weights =
        FaultCatalog.of(Rigs.twoAxles(), TWO_AXLES).stream()
            .filter(known -> known.family().trouble() == trouble)
            .filter(known -> !(known.family().place() instanceof FaultFamily.OfVehicle))
            .collect(
                Collectors.groupingBy(
                    KnownFault::family, Collectors.summingDouble(KnownFault::weight)));
    assertThat(weights.values())
        .isNotEmpty()
        .allSatisfy(sum -> assertThat(sum).isCloseTo(weight, within(1e-9)));
  }

  /** The wiring of one rig in four that is looked at is sound. */
  @Test
  void howOftenARigIsSound() {
    List<Hypothesis> all = Hypothesis.of(Rigs.twoAxles(), TWO_AXLES);
    double sum =
        all.stream()
            .filter(one -> one.faults().stream().allMatch(fault -> fault.condition().isEmpty()))
            .mapToDouble(Hypothesis::weight)
            .sum();
    assertThat(all.get(0).healthy()).isTrue();
    assertThat(all.get(0).weight() / sum).isCloseTo(0.25, within(1e-9));
  }

  /** Nine of ten for a fault, nineteen of twenty for its place and for its absence. */
  @Test
  void sureMeansNineOfTen() {
    List<Hypothesis> all = Hypothesis.of(Rigs.twoAxles(), TWO_AXLES);
    assertThat(sure(all.get(1), 0.90, 0.96)).isFalse();
    assertThat(sure(all.get(1), 0.91, 0.95)).isFalse();
    assertThat(sure(all.get(1), 0.91, 0.96)).isTrue();
    assertThat(sure(all.get(0), 0.95, 0.95)).isFalse();
    assertThat(sure(all.get(0), 0.96, 0.96)).isTrue();
  }

  private static boolean sure(Hypothesis of, double present, double here) {
    return new Diagnosis.Group(List.of(of), present, present, here, List.of(), List.of(), true)
        .sure();
  }

  /** Of 1 000 kg: inside 10 to 15 % holds, under half of the least fails. */
  @ParameterizedTest
  @CsvSource({
    "49, FAILS",
    "51, WATCH",
    "99, WATCH",
    "100, HOLDS",
    "150, HOLDS",
    "151, WATCH",
    "300, WATCH"
  })
  void shareOnTheTongue(double tongue, Verdict verdict) {
    Rig rig =
        Rigs.rig(
            Rigs.sheet(RigField.WEIGHED_TONGUE, tongue, RigField.WEIGHED_AXLES, 1000 - tongue));
    List<RatingCheck> checks = RatingCheck.of(rig, LoadSheet.of(rig), TongueBand.NORTH_AMERICA);
    assertThat(checks.get(checks.size() - 1).verdict()).isEqualTo(verdict);
  }

  /**
   * 3.2 Ω goes with drums of 10 in, 3.9 Ω with 7 in; each axle by its own drum where it was read.
   */
  @Test
  void aMagnetFollowsTheDrumOfItsOwnAxle() {
    var sheet = Rigs.sheet(RigField.AXLE_COUNT, 2, "DRUM_DIAMETER.1", 0.178);
    assertThat(sheet.si(new FieldKey(RigField.MAGNET_OHMS, 0))).isEqualTo(3.2);
    assertThat(sheet.si(new FieldKey(RigField.MAGNET_OHMS, 1))).isEqualTo(3.9);
    var measured = Rigs.sheet(RigField.AXLE_COUNT, 2, RigField.MAGNET_OHMS, 3.4);
    assertThat(measured.si(new FieldKey(RigField.MAGNET_OHMS, 1))).isEqualTo(3.4);
  }

  /** Past 95 % of a rating there is no room; past it there is none at all. */
  @ParameterizedTest
  @CsvSource({"940, HOLDS", "951, WATCH", "1000, WATCH", "1001, FAILS"})
  void aMassAgainstItsRating(double mass, Verdict verdict) {
    Rig rig =
        Rigs.rig(
            Rigs.sheet(
                RigField.WEIGHED_TONGUE, 0.12 * mass,
                RigField.WEIGHED_AXLES, 0.88 * mass,
                RigField.TRAILER_PERMITTED_MASS, 1000));
    assertThat(RatingCheck.of(rig, LoadSheet.of(rig), TongueBand.NORTH_AMERICA).get(0).verdict())
        .isEqualTo(verdict);
  }

  @ParameterizedTest
  @CsvSource({
    "VOLTS, 30, true", "VOLTS, 30.1, false", "VOLTS, -30.1, false",
    "AMPS, 150, true", "AMPS, 150.1, false", "AMPS, -150.1, false",
    "OHMS, 2e7, true", "OHMS, 2.1e7, false", "OHMS, -1, false"
  })
  void whatAMeterCanShow(Measure measure, double si, boolean plausible) {
    assertThat(Plausible.problem(measure, si).isEmpty()).isEqualTo(plausible);
  }
}
