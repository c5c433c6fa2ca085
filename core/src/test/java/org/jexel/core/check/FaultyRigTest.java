package org.jexel.core.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jexel.core.Rigs;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.HarnessPlanner;
import org.jexel.core.harness.WireSize;
import org.jexel.core.network.Element;
import org.jexel.core.network.Fault;
import org.jexel.core.network.FaultCatalog;
import org.jexel.core.network.FaultSolver;
import org.jexel.core.network.Fuse;
import org.jexel.core.network.KnownFault;
import org.jexel.core.network.Network;
import org.jexel.core.network.Readout;
import org.jexel.core.network.RigNetwork;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.NoFigure;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.junit.jupiter.api.Test;

/** What a fault leaves behind by the time that somebody looks. */
class FaultyRigTest {
  private static final Rig RIG = Rigs.twoAxles(RigField.ENGINE_OFF_VOLTS, 12.6);
  private static final Harness HARNESS = HarnessPlanner.plan(RIG, WireSize.GAUGES);
  private static final Map<Setup, FaultSolver> SOLVERS = new HashMap<>();

  /** Half of the last digit of a meter. */
  private static final double UNSEEN_VOLTS = 0.005;

  /** Of these, one fault in so many is solved anew in every state. */
  private static final Set<Fault.Kind> MANY =
      EnumSet.of(Fault.Kind.OHMS, Fault.Kind.OPEN, Fault.Kind.SHORT, Fault.Kind.BRIDGE);

  private static final int SOME_FAULTS = 3;

  /** No network tells these. */
  private static final Set<Measure> TOLD_BY_FAULTS =
      EnumSet.of(Measure.FUSE, Measure.STAMP, Measure.KIND, Measure.MOVING, Measure.COMING);

  private static double read(Rig rig, Harness harness, String check, Fault... faults) {
    return new FaultyRig(
            RigNetwork.whole(rig, harness),
            harness,
            List.of(faults),
            setup ->
                rig == RIG
                    ? SOLVERS.computeIfAbsent(setup, FaultyRigTest::solver)
                    : new FaultSolver(setup.network(rig, harness).network()))
        .read(
            CheckSheet.of(rig, harness, OptionalDouble.of(12.6)).stream()
                .filter(c -> c.id().equals(check))
                .findFirst()
                .orElseThrow());
  }

  private static FaultSolver solver(Setup setup) {
    return new FaultSolver(setup.network(RIG, HARNESS).network());
  }

  private static double read(String check, Fault... faults) {
    return read(RIG, HARNESS, check, faults);
  }

  private static Fault chafed(String node, double ohms) {
    return Fault.of(Fault.Kind.SHORT, node, ohms);
  }

  private static String word(double place) {
    return Measure.FUSE.words().get((int) Math.round(place));
  }

  /** What a break leaves hanging free reads what a network without the part reads there. */
  @Test
  void whatHangsFreeReadsAsItsOwnFactorisationDoes() {
    Network whole = RigNetwork.whole(RIG, HARNESS);
    Map<Setup, List<Check>> volts =
        CheckSheet.of(RIG, HARNESS, OptionalDouble.of(12.6)).stream()
            .filter(check -> check.measure() == Measure.VOLTS)
            .collect(Collectors.groupingBy(check -> check.probing().setup()));
    volts.forEach(
        (setup, checks) -> {
          FaultSolver solver = SOLVERS.computeIfAbsent(setup, FaultyRigTest::solver);
          for (KnownFault known : FaultCatalog.of(RIG, HARNESS)) {
            Fault fault = known.fault();
            if (fault.kind() == Fault.Kind.OPEN || fault.kind() == Fault.Kind.EXCHANGED) {
              List<FaultSolver.Change> changes = FaultSolver.changes(whole, List.of(fault));
              Readout quick = solver.solve(changes);
              Readout full = solver.factored(changes);
              for (Check check : checks) {
                assertThat(check.probing().read(quick))
                    .as("%s with %s", check.id(), fault)
                    .isCloseTo(check.probing().read(full), within(UNSEEN_VOLTS));
              }
            }
          }
        });
  }

  /** Nobody knows its maker; of a vehicle's own switch the same ohms would be a fault. */
  @Test
  void aModuleMayLoseMoreThanItIsAssumedTo() {
    for (String feed : List.of("MODULE", "DIRECT")) {
      Rig rig = Rigs.twoAxles(RigField.ENGINE_OFF_VOLTS, 12.6, RigField.LAMP_FEED, feed);
      Harness harness = HarnessPlanner.plan(rig, WireSize.GAUGES);
      FaultyRig more =
          FaultyRig.of(rig, harness, List.of(Fault.of(Fault.Kind.OHMS, "switch_tail", 0.1)));
      Check tail =
          CheckSheet.of(rig, harness, OptionalDouble.of(12.6)).stream()
              .filter(check -> check.id().equals("loaded.tail"))
              .findFirst()
              .orElseThrow();
      assertThat(more.read(tail) > tail.band().low()).as(feed).isEqualTo(feed.equals("MODULE"));
    }
  }

  /** Between a live pin and one that hangs free a voltmeter brings both to the same volts. */
  @Test
  void aVoltmeterOnWhatHangsFreeReadsNothing() {
    Fault socket = Fault.of(Fault.Kind.OPEN, "wire_sock_earth");
    for (String check : List.of("socket.tail", "socket.left", "socket.right", "socket.charge")) {
      assertThat(read(check)).isGreaterThan(11);
      assertThat(read(check, socket)).as(check).isCloseTo(0, within(0.05));
    }
    for (String core : List.of("wire_cord_earth", "wire_cord_brake")) {
      assertThat(read("breakaway.pulled", Fault.of(Fault.Kind.OPEN, core)))
          .as(core)
          .isCloseTo(0, within(0.05));
    }
  }

  /** No battery of the trailer holds the stud up, and its pump rests. */
  @Test
  void aBrokenChargeRunThatNothingLoadsReadsNothing() {
    Rig rig =
        Rigs.twoAxles(
            RigField.BRAKE_TYPE, "ELECTRIC_HYDRAULIC",
            RigField.BREAKAWAY_KIT, "NONE",
            RigField.PLANNED_BREAKAWAY, "NONE");
    Harness harness = HarnessPlanner.plan(rig, WireSize.GAUGES);
    Check charge =
        CheckSheet.of(rig, harness, OptionalDouble.of(12.6)).stream()
            .filter(check -> check.id().equals("charge.box"))
            .findFirst()
            .orElseThrow();
    assertThat(charge.band().expected()).isGreaterThan(13);
    for (String part : List.of("pin_charge", "wire_cord_charge", "fuse_charge")) {
      List<Fault> broken = List.of(Fault.of(Fault.Kind.OPEN, part));
      assertThat(FaultyRig.of(rig, harness, broken).read(charge))
          .as(part)
          .isCloseTo(0, within(0.2));
    }
  }

  /** Whatever it is in, and whatever feeds it in that state, the running engine included. */
  @Test
  void ohmsOfNextToNothingChangeNoReading() {
    Network whole = RigNetwork.whole(RIG, HARNESS);
    List<Check> figures =
        CheckSheet.of(RIG, HARNESS, OptionalDouble.of(12.6)).stream()
            .filter(check -> check.solved() && check.measure().words().isEmpty())
            .toList();
    Function<Setup, FaultSolver> solvers =
        setup -> SOLVERS.computeIfAbsent(setup, FaultyRigTest::solver);
    FaultyRig sound = new FaultyRig(whole, HARNESS, List.of(), solvers);
    for (Element element : whole.elements()) {
      if (element instanceof Element.Source || element instanceof Element.Ohmic) {
        Fault hardly = Fault.of(Fault.Kind.OHMS, element.name(), 1e-7);
        FaultyRig faulty = new FaultyRig(whole, HARNESS, List.of(hardly), solvers);
        for (Check check : figures) {
          assertThat(faulty.read(check))
              .as("%s, %s", element.name(), check.id())
              .isCloseTo(sound.read(check), within(2e-4));
        }
      }
    }
  }

  /** Its pump holds the wheels whenever the lights are on; with them off nothing would show. */
  @Test
  void aLampsConductorThatFeedsTheActuatorShowsAtTheBrakePin() {
    Rig rig = Rigs.twoAxles(RigField.BRAKE_TYPE, "ELECTRIC_HYDRAULIC");
    Harness harness = HarnessPlanner.plan(rig, WireSize.GAUGES);
    assertThat(read(rig, harness, "brake.unasked")).isLessThan(0.3);
    for (String lamp : List.of("box_tail", "box_left", "box_right")) {
      Fault touches = new Fault(Fault.Kind.BRIDGE, lamp, "box_brake", 0.1);
      assertThat(read(rig, harness, "brake.unasked", touches)).as(lamp).isGreaterThan(10);
    }
  }

  /** Judged by a network with the faults in it, factored anew, and by the words of each fault. */
  @Test
  void whatReadsAsOnASoundRigDoesSo() {
    Network whole = RigNetwork.whole(RIG, HARNESS);
    List<Check> sheet = CheckSheet.of(RIG, HARNESS, OptionalDouble.of(12.6));
    Function<Setup, FaultSolver> solvers =
        setup -> SOLVERS.computeIfAbsent(setup, FaultyRigTest::solver);
    FaultyRig sound = new FaultyRig(whole, HARNESS, List.of(), solvers);
    Set<Measure> said = EnumSet.noneOf(Measure.class);
    int some = 0;
    for (KnownFault known : FaultCatalog.of(RIG, HARNESS)) {
      Fault.Kind kind = known.fault().kind();
      boolean skipped = MANY.contains(kind) && some++ % SOME_FAULTS != 0;
      if (skipped || kind == Fault.Kind.SIGNAL) {
        continue;
      }
      FaultyRig faulty = new FaultyRig(whole, HARNESS, List.of(known.fault()), solvers);
      List<FaultSolver.Change> changes = FaultSolver.changes(whole, faulty.standing());
      Map<Setup, Readout> full = new HashMap<>();
      for (Check check : sheet) {
        if (faulty.asSound(check)) {
          Probing probing = check.probing();
          assertThat(faulty.read(check))
              .as("%s with %s", check.id(), known.fault())
              .isCloseTo(sound.read(check), within(UNSEEN_VOLTS));
          if (!TOLD_BY_FAULTS.contains(check.measure()) && !AtTheWheels.tells(check.measure())) {
            Readout anew =
                full.computeIfAbsent(probing.setup(), s -> solvers.apply(s).factored(changes));
            assertThat(probing.read(anew))
                .as("%s with %s, factored anew", check.id(), known.fault())
                .isCloseTo(sound.read(check), within(UNSEEN_VOLTS));
          }
          said.add(check.measure());
        }
      }
    }
    assertThat(said).containsAll(sheet.stream().map(Check::measure).toList());
  }

  @Test
  void aChafeLeavesABlownFuseAndADarkCircuitBehind() {
    Fault tail = chafed("box_tail", 0.05);
    assertThat(word(read("fuse.tail"))).isEqualTo("sound");
    assertThat(word(read("fuse.tail", tail))).isEqualTo("blows again");
    assertThat(word(read("fuse.left", tail))).isEqualTo("sound");
    assertThat(read("socket.tail", tail)).isLessThan(0.1);
    assertThat(read("look.tail.lamp_tail_rear_left", tail)).isLessThan(0.5);
    // Ohms show it with no fuse spent; a sound circuit shows its cold lamps.
    assertThat(read("dead.tail", tail)).isLessThan(0.2);
    assertThat(read("dead.tail")).isGreaterThan(0.35);
  }

  /** A fuse that somebody took out, or that aged, is blown, and a new one stays. */
  @Test
  void aFuseThatIsOpenForItselfIsNoChafe() {
    Fault open = Fault.of(Fault.Kind.OPEN, "fuse_tail");
    assertThat(word(read("fuse.tail", open))).isEqualTo("blown");
    assertThat(read("dead.tail", open)).isEqualTo(read("dead.tail"));
  }

  @Test
  void aGreasyTouchThatTheFuseCarriesBlowsNothing() {
    assertThat(word(read("fuse.tail", chafed("box_tail", 5)))).isEqualTo("sound");
    assertThat(read("socket.tail", chafed("box_tail", 5))).isGreaterThan(12);
  }

  @Test
  void aFuseOpensAtAThirdMoreThanItCarries() {
    Fuse ten = new Fuse("f", "a", "b", 0.005, 10);
    assertThat(ten.opens(13.4)).isFalse();
    assertThat(ten.opens(-13.6)).isTrue();
  }

  /** The lead of a bench supply is fused for what it feeds; a short blows it. */
  @Test
  void aShortOnTheBenchIsReadAsABlownFuse() {
    assertThat(read("bench.brake", chafed("box_brake", 0.03))).isEqualTo(NoFigure.BLOWN.si());
    assertThat(read("bench.brake")).isBetween(12.0, 17.0);
    Rig three = Rigs.twoAxles(RigField.AXLE_COUNT, 3, RigField.ENGINE_OFF_VOLTS, 12.6);
    Harness harness = HarnessPlanner.plan(three, WireSize.GAUGES);
    double six = read(three, harness, "bench.brake");
    assertThat(six).isBetween(18.0, 24.0);
    assertThat(RigNetwork.benchFuse(harness, org.jexel.core.connector.PinFunction.BRAKE))
        .isBetween(1.25 * six, 2 * six);
  }

  @Test
  void withoutItsStopSignalTheControllerSleepsThroughThePedalAndWakesForTheLever() {
    Fault deaf = Fault.of(Fault.Kind.SIGNAL, "", 0);
    assertThat(readSignalled("wakes.controller", deaf)).isZero();
    assertThat(readSignalled("brake.volts", deaf)).isGreaterThan(10);
    assertThat(read("wakes.controller")).isEqualTo(1);
    Fault constant = Fault.of(Fault.Kind.SIGNAL, "");
    assertThat(readSignalled("brake.unasked", constant)).isGreaterThan(0.5);
    assertThat(read("brake.unasked")).isBetween(0.0, 0.2);
  }

  /** A hand on the part shows it, a hand elsewhere does not, and at rest it reads sound. */
  @Test
  void whatIsLooseMakesAndBreaksUnderTheHandThatMovesIt() {
    Fault pin = Fault.of(Fault.Kind.LOOSE, "pin_left");
    assertThat(read("moved.plug.left", pin)).isEqualTo(1);
    assertThat(read("moved.plug.right", pin)).isZero();
    assertThat(read("moved.cord.left", pin)).isZero();
    assertThat(read("look.left.lamp_left_rear_left", pin)).isGreaterThan(2.5);
    Fault core = Fault.of(Fault.Kind.LOOSE, "wire_cord_earth");
    assertThat(read("moved.cord.tail", core)).isEqualTo(1);
    assertThat(read("moved.cord.brake", core)).isEqualTo(1);
    assertThat(read("moved.box.brake", core)).isZero();
    assertThat(read("moved.box.brake", Fault.of(Fault.Kind.LOOSE, "joint_cord_brake")))
        .isEqualTo(1);
    Fault splice = Fault.of(Fault.Kind.LOOSE, "joint_tail_front_left");
    assertThat(read("moved.loom.tail", splice)).isEqualTo(1);
    assertThat(read("moved.loom.left", splice)).isZero();
    assertThat(read("moved.loom.tail")).isZero();
    assertThat(read("told.coming", splice)).isEqualTo(2);
    assertThat(read("told.coming", Fault.of(Fault.Kind.OPEN, "joint_tail_front_left"))).isZero();
    assertThat(read("told.coming")).isZero();
  }

  /**
   * A pump stops whether its signal goes or its supply, and a brake's conductor moves no lamp. Its
   * 23 A lie on the lamps' return: without them the tail lamps shine by a third more.
   */
  @Test
  void aPumpIsHeardToStopAndTheLampsAreSeenToBrighten() {
    Rig rig = Rigs.twoAxles(RigField.BRAKE_TYPE, "ELECTRIC_HYDRAULIC");
    Harness harness = HarnessPlanner.plan(rig, WireSize.GAUGES);
    Fault supply = Fault.of(Fault.Kind.LOOSE, "wire_cord_charge");
    Fault signal = Fault.of(Fault.Kind.LOOSE, "wire_cord_brake");
    assertThat(read(rig, harness, "moved.cord.brake", supply)).isEqualTo(1);
    assertThat(read(rig, harness, "moved.cord.brake", signal)).isEqualTo(1);
    assertThat(read(rig, harness, "moved.cord.brake", Fault.of(Fault.Kind.LOOSE, "wire_cord_tail")))
        .isZero();
    assertThat(read(rig, harness, "moved.cord.tail", supply)).isEqualTo(1);
  }

  /** What is broken already goes out no more. */
  @Test
  void behindABreakNothingMakesAndBreaks() {
    Fault pin = Fault.of(Fault.Kind.LOOSE, "pin_left");
    assertThat(read("moved.plug.left", pin, Fault.of(Fault.Kind.OPEN, "wire_cord_left"))).isZero();
  }

  private static double readSignalled(String check, Fault fault) {
    return new FaultyRig(
            RigNetwork.whole(RIG, HARNESS),
            HARNESS,
            List.of(fault),
            setup -> new FaultSolver(setup.network(RIG, HARNESS, List.of(fault)).network()))
        .read(
            CheckSheet.of(RIG, HARNESS, OptionalDouble.of(12.6)).stream()
                .filter(c -> c.id().equals(check))
                .findFirst()
                .orElseThrow());
  }

  /** Half the watts, half the light: on the same volts its sound neighbour is bright. */
  @Test
  void aLampOfHalfTheWattsIsDim() {
    String look = "look.tail.lamp_tail_plate";
    assertThat(Math.round(read(look))).isEqualTo(3);
    assertThat(Math.round(read(look, Fault.of(Fault.Kind.DRAWS, "lamp_tail_plate", 0.5))))
        .isEqualTo(2);
    assertThat(Math.round(read(look, Fault.of(Fault.Kind.DRAWS, "lamp_tail_plate", 2))))
        .isEqualTo(3);
  }

  @Test
  void whatKeepsTheBreakawayAliveIsProved() {
    assertThat(read("charge.box")).isGreaterThan(13.5);
    assertThat(read("charge.box", Fault.of(Fault.Kind.OPEN, "pin_charge"))).isLessThan(12.7);
    double behind = read("charge.battery");
    assertThat(behind).isBetween(12.7, read("charge.box") - 0.4);
    assertThat(read("charge.battery", Fault.of(Fault.Kind.BYPASSED, "diode_breakaway")))
        .isGreaterThan(behind + 0.2);
    assertThat(read("charge.battery", Fault.of(Fault.Kind.REVERSED, "diode_breakaway")))
        .isLessThan(12.7);
    assertThat(read("breakaway.pulled")).isGreaterThan(11);
    assertThat(read("breakaway.pulled", Fault.of(Fault.Kind.OPEN, "wire_switch_in")))
        .isLessThan(0.1);
    assertThat(read("breakaway.pulled", Fault.of(Fault.Kind.LOW, "breakaway_battery", 9.6)))
        .isBetween(7.0, 10.0);
  }

  /**
   * The core of the left lamps on the charge stud: what leaks back from the box's battery through
   * its diode stands on a voltmeter, and is gone under an ohmmeter. Without its diode it is live.
   */
  @Test
  void whatLeaksThroughADiodeIsNotLive() {
    Rig rig = Rigs.twoAxles(RigField.ENGINE_OFF_VOLTS, 12.6, RigField.LAMP_TECHNOLOGY, "LED");
    Harness harness = HarnessPlanner.plan(rig, WireSize.GAUGES);
    Fault exchanged = Fault.between(Fault.Kind.EXCHANGED, "wire_cord_left", "wire_cord_charge");
    assertThat(read(rig, harness, "dead.left", exchanged)).isEqualTo(NoFigure.OPEN.si());
    assertThat(
            read(
                rig,
                harness,
                "dead.left",
                exchanged,
                Fault.of(Fault.Kind.BYPASSED, "diode_breakaway")))
        .isEqualTo(NoFigure.LIVE.si());
  }
}
