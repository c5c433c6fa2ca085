package org.jexel.core.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jexel.core.Rigs;
import org.jexel.core.bench.Stand;
import org.jexel.core.connector.Face;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Duty;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.HarnessPlanner;
import org.jexel.core.harness.Load;
import org.jexel.core.harness.Span;
import org.jexel.core.harness.WireSize;
import org.jexel.core.network.Fault;
import org.jexel.core.network.Network;
import org.jexel.core.network.RigNetwork;
import org.jexel.core.network.RigState;
import org.jexel.core.network.StateWord;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.NoFigure;
import org.jexel.core.quantity.Term;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** What holds for the whole sheet, whatever the rig. */
class WholeSheetTest {
  static Stream<Arguments> rigs() {
    return Stream.of(
        Arguments.of("unbraked", rig("NONE", "flat-4", "OWN_CONDUCTOR", 1)),
        Arguments.of("unbraked, frame return", rig("NONE", "flat-4", "FRAME", 2)),
        Arguments.of("braked", rig("ELECTRIC", "blade-7", "OWN_CONDUCTOR", 2)),
        Arguments.of("braked, frame return", rig("ELECTRIC", "blade-7", "FRAME", 3)),
        Arguments.of("hydraulic", rig("ELECTRIC_HYDRAULIC", "blade-7", "OWN_CONDUCTOR", 3)));
  }

  private static Rig rig(String brakes, String connector, String lampReturn, int axles) {
    boolean braked = !brakes.equals("NONE");
    return Rigs.rig(
        Rigs.sheet(
            RigField.AXLE_COUNT, axles,
            RigField.BRAKE_TYPE, brakes,
            RigField.TOW_CONNECTOR, connector,
            RigField.TRAILER_CONNECTOR, connector,
            RigField.CONTROLLER_KIND, braked ? "UNDER_DASH" : "NONE",
            RigField.TRAILER_KIND, axles == 3 ? "PLANT" : "FLATBED",
            RigField.BREAKAWAY_KIT, braked ? "OWN_BATTERY" : "NONE",
            RigField.LAMP_RETURN, lampReturn));
  }

  private static List<Check> all(Rig rig) {
    return Stand.checks(rig, Stand.harness(rig));
  }

  @ParameterizedTest(name = "{0}")
  @MethodSource("rigs")
  void everyCheckHasItsOwnNameItsLeadsAndItsReason(String name, Rig rig) {
    Harness harness = Stand.harness(rig);
    Set<String> ids = new HashSet<>();
    Map<Setup, Network> networks = new HashMap<>();
    Set<Measure> noPart =
        Set.of(Measure.OHMS, Measure.MOVING, Measure.COMING, Measure.PULLING, Measure.LEANING);
    for (Check check : all(rig)) {
      assertThat(ids.add(check.id())).as(check.id()).isTrue();
      assertThat(check.id().length()).isLessThanOrEqualTo(80);
      assertThat(List.of(check.title(), check.state(), check.place(), check.why()))
          .as(check.id())
          .noneMatch(String::isBlank);
      assertThat(check.minutes()).isPositive();
      Probing probing = check.probing();
      Network network =
          networks.computeIfAbsent(probing.setup(), s -> s.network(rig, harness).network());
      boolean leads = probing.measure() == Measure.VOLTS || probing.measure() == Measure.WAKING;
      boolean there =
          leads
              ? network.hasNode(probing.red()) && network.hasNode(probing.black())
              : network.has(probing.red()) || noPart.contains(probing.measure());
      assertThat(there).as(check.id()).isTrue();
    }
  }

  @ParameterizedTest(name = "{0}")
  @MethodSource("rigs")
  void theExpectedReadingLiesInItsBand(String name, Rig rig) {
    for (Check check : all(rig)) {
      assertThat(check.band().expected())
          .as(check.id())
          .isBetween(check.band().low(), check.band().high());
    }
  }

  /**
   * One walk: the same thing switched on, the same kind of word, one place to walk round. At a rear
   * lamp whose lens is off its parts are lit one after the other, the black lead where it is, and
   * the stamp of each is read.
   */
  @ParameterizedTest(name = "{0}")
  @MethodSource("rigs")
  void whatIsTakenInOneRoundNeedsOneStateOnly(String name, Rig rig) {
    Map<String, List<Check>> rounds = new HashMap<>();
    all(rig).forEach(c -> rounds.computeIfAbsent(c.round(), r -> new ArrayList<>()).add(c));
    rounds.forEach(
        (round, checks) -> {
          boolean rear = checks.get(0).group() == Check.Group.REAR_LAMPS;
          assertThat(checks.stream().map(c -> c.probing().setup()).distinct())
              .as(round)
              .hasSize(rear ? checks.size() / 2 : 1);
          boolean drumOff = checks.get(0).group() == Check.Group.DRUM;
          assertThat(checks.stream().map(Check::measure).distinct())
              .as(round)
              .hasSize(drumOff ? 3 : rear ? 2 : 1);
          assertThat(checks.stream().map(Check::place).distinct()).as(round).hasSize(1);
          assertThat(checks.stream().map(c -> c.probing().black()).distinct())
              .as(round)
              .hasSize(rear ? 2 : 1);
          boolean words = !checks.get(0).measure().words().isEmpty();
          assertThat(words || rear || checks.size() == 1).as(round).isTrue();
        });
  }

  /** No lamp is proved by a round in which it is dark. */
  @ParameterizedTest(name = "{0}")
  @MethodSource("rigs")
  void everyLampIsSeenBrightInSomeRound(String name, Rig rig) {
    Harness harness = Stand.harness(rig);
    List<Check> checks = all(rig);
    assertThat(harness.loads().stream().filter(Load::lamp))
        .allSatisfy(
            lamp ->
                assertThat(checks)
                    .anyMatch(
                        c ->
                            c.proves()
                                && c.probing().red().equals(lamp.name())
                                && c.band().expected() == 3));
  }

  /** Plug out, one sees the socket's or the plug's open face; plug in, the wires behind. */
  @Test
  void theFaceIsTheOneInFrontOfWhoeverStandsThere() {
    for (Check check : all(rig("ELECTRIC", "blade-7", "OWN_CONDUCTOR", 2))) {
      Optional<Face.View> face = check.face();
      boolean out = check.state().toLowerCase(Locale.ROOT).contains("plug out");
      assertThat(face)
          .as(check.id())
          .isEqualTo(
              check.place().startsWith("At the vehicle's socket")
                  ? Optional.of(Face.View.SOCKET_FACE)
                  : check.place().startsWith("At the trailer's plug")
                      ? Optional.of(Face.View.PLUG_FACE)
                      : check.place().contains("probes from behind")
                              || check.id().equals("loaded.return")
                          ? Optional.of(Face.View.SOCKET_WIRING)
                          : Optional.empty());
      face.ifPresent(view -> assertThat(view == Face.View.SOCKET_WIRING).isEqualTo(!out));
      assertThat(check.blackPin().isPresent())
          .isEqualTo(check.black().contains("earth") && face.isPresent());
    }
  }

  /** By Ohm's law: what all magnets draw, times copper and contacts from the box to the battery. */
  @Test
  void theWholeReturnLosesWhatTheBrakesDrawOverItsOhms() {
    // A module lets nothing back over the lamp pins.
    Rig rig = Rigs.twoAxles(RigField.LAMP_FEED, "MODULE");
    Harness harness = HarnessPlanner.plan(rig, WireSize.GAUGES);
    Check check =
        CheckSheet.of(rig, harness, OptionalDouble.empty()).stream()
            .filter(c -> c.id().equals("box.return"))
            .findFirst()
            .orElseThrow();
    double copper =
        harness.spans().stream()
            .filter(s -> s.function() == PinFunction.EARTH)
            .filter(s -> s.duty() == Duty.VEHICLE || s.duty() == Duty.CORD)
            .mapToDouble(Span::ohms)
            .sum();
    double amps =
        RigNetwork.of(rig, harness, RigState.of(StateWord.LEVER))
            .network()
            .solve()
            .amps(RigNetwork.CONTROLLER);
    // A pin 5 mΩ, and the cord's end on its stud 2 mΩ.
    assertThat(check.band().expected()).isCloseTo(amps * (copper + 0.007), within(0.005));
  }

  /** Four magnets of 3.2 Ω, and as copper no less than the bare conductors, out and back. */
  @Test
  void theSumOfTheBrakesNamesMagnetsAndWhatCopperAdds() {
    Rig rig = Rigs.twoAxles();
    Harness harness = HarnessPlanner.plan(rig, WireSize.GAUGES);
    Map<String, Double> terms =
        CheckSheet.of(rig, harness, OptionalDouble.empty()).stream()
            .filter(c -> c.id().equals("brake.resistance"))
            .flatMap(c -> c.sum().terms().stream())
            .collect(Collectors.toMap(Term::symbol, Term::si));
    // Copper that carries all of the current counts whole, a branch's less than that.
    double bare =
        harness.spans().stream()
            .filter(s -> s.function() == PinFunction.BRAKE || s.circuit().equals("brake return"))
            .mapToDouble(Span::ohms)
            .sum();
    assertThat(terms).containsOnlyKeys("r", "n", "R_c");
    assertThat(terms).containsEntry("r", 3.2).containsEntry("n", 4.0);
    assertThat(terms.get("R_c")).isBetween(0.02, bare);
  }

  @Test
  void anUnbrakedTrailerHasNoBrakeChecks() {
    assertThat(all(rig("NONE", "flat-4", "OWN_CONDUCTOR", 1)))
        .noneMatch(c -> c.function() == PinFunction.BRAKE)
        .noneMatch(c -> c.measure() == Measure.TURNING || c.measure() == Measure.HUMMING);
    assertThat(all(rig("ELECTRIC", "blade-7", "OWN_CONDUCTOR", 1)))
        .anyMatch(c -> c.measure() == Measure.TURNING)
        .anyMatch(c -> c.id().equals("bench.brake"));
  }

  private static Check check(Rig rig, String id) {
    return all(rig).stream().filter(c -> c.id().equals(id)).findFirst().orElseThrow();
  }

  private static double read(Rig rig, String check, String... faults) {
    List<Fault> hidden = Fault.parse(String.join(",", faults));
    return FaultyRig.of(rig, Stand.harness(rig), hidden).read(check(rig, check));
  }

  /** R = ρ·L/A out of the harness's own spans, and its joints; the pin is not on the way. */
  @Test
  void aRunIsTheCopperAndTheJointsBetweenItsPinAndItsTerminal() {
    Rig rig = rig("ELECTRIC", "blade-7", "OWN_CONDUCTOR", 1);
    Check run = check(rig, "continuity.lamp_left_rear_left");
    double copper =
        Stand.harness(rig).spans().stream()
            .filter(s -> s.function() == PinFunction.LEFT && s.duty() != Duty.VEHICLE)
            .mapToDouble(Span::ohms)
            .sum();
    assertThat(run.band().expected()).isBetween(copper, copper + 0.02);
    assertThat(run.sum().terms()).hasSizeGreaterThanOrEqualTo(3);
    double told = run.sum().terms().stream().mapToDouble(Term::si).sum();
    assertThat(told).isCloseTo(run.band().expected(), within(1e-3));
    assertThat(read(rig, run.id(), "open:wire_left_rear_left")).isGreaterThan(100);
  }

  /** Volts over amperes and ohms off the leads tell the same of a magnet. */
  @Test
  void aMagnetOffItsLeadsStandsForItselfAndIsNeverLive() {
    Rig rig = rig("ELECTRIC", "blade-7", "OWN_CONDUCTOR", 2);
    String magnet = "magnet.ohms.magnet_axle1_left";
    Band band = check(rig, magnet).band();
    assertThat(band.expected()).isEqualTo(3.2);
    assertThat(band.judge(3.2 * 1.09)).isEqualTo(Verdict.HOLDS);
    assertThat(read(rig, magnet, "pulled")).isEqualTo(3.2);
    assertThat(read(rig, magnet, "open:wire_brake_axle1_left")).isEqualTo(3.2);
    assertThat(NoFigure.of(Measure.OHMS, read(rig, magnet, "open:magnet_axle1_left")))
        .contains(NoFigure.OPEN);
  }

  /** The pump needs its signal and its own supply; the wheels are held by the signal alone. */
  @Test
  void anActuatorRunsWithSignalAndSupplyAndHoldsTheWheelsWhileItIsFed() {
    Rig rig = rig("ELECTRIC_HYDRAULIC", "blade-7", "OWN_CONDUCTOR", 3);
    assertThat(read(rig, "hums.actuator")).isEqualTo(1);
    assertThat(read(rig, "hums.actuator", "open:fuse_charge")).isZero();
    assertThat(read(rig, "hums.actuator", "open:wire_cord_brake")).isZero();
    Check supply = check(rig, "brake.supply");
    assertThat(supply.band().expected()).isBetween(9.0, 12.4);
    assertThat(supply.band().judge(read(rig, "brake.supply", "open:fuse_charge")))
        .isEqualTo(Verdict.FAILS);
    assertThat(all(rig)).noneMatch(c -> c.id().equals("brake.amps"));
    assertThat(read(rig, "turns.actuator")).isZero();
    assertThat(read(rig, "turns.actuator", "pulled")).isEqualTo(1);
  }

  /** The battery's reading moves every later expectation that hangs on it, and nothing else. */
  @Test
  void theBatterysReadingSetsWhatFollows() {
    Rig rig = rig("ELECTRIC", "blade-7", "OWN_CONDUCTOR", 1);
    Harness harness = Stand.harness(rig);
    List<Check> high = CheckSheet.of(rig, harness, OptionalDouble.of(12.8));
    List<Check> low = CheckSheet.of(rig, harness, OptionalDouble.of(12.2));
    for (int i = 0; i < high.size(); i++) {
      Check check = high.get(i);
      double fell = check.band().expected() - low.get(i).band().expected();
      if (check.group() == Check.Group.BENCH) {
        assertThat(Math.abs(fell)).as(check.id()).isLessThan(1e-9);
      } else if (check.id().startsWith("loaded.") && check.function() != PinFunction.EARTH) {
        assertThat(fell).as(check.id()).isBetween(0.4, 0.61);
      }
    }
  }
}
