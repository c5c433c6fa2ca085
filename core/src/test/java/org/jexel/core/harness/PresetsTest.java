package org.jexel.core.harness;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.jexel.core.Rigs;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.Lamp;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.Wish;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

/** The presets of the work, each on the rig that asks for it, and the choice of sizes. */
class PresetsTest {
  private static Rig rig(Object... pairs) {
    return Rigs.rig(Rigs.sheet(pairs));
  }

  private static final Rig OLD_FLATBED =
      rig(RigField.AXLE_COUNT, 2, RigField.BRAKE_TYPE, "ELECTRIC");

  private static final Rig BRAKED =
      rig(
          RigField.AXLE_COUNT, 2,
          RigField.BRAKE_TYPE, "ELECTRIC",
          RigField.TOW_CONNECTOR, "blade-7",
          RigField.TRAILER_CONNECTOR, "blade-7",
          RigField.JUNCTION_BOX, "YES");

  private static final Rig CART = rig(RigField.TOW_CONNECTOR, "flat-4");

  private static List<String> steps(Rig rig, Wish wish) {
    Harness harness = HarnessPlanner.plan(rig, WireSize.GAUGES);
    return StepPlan.of(new Scope(rig, wish, harness), UnitSystem.METRIC).stream()
        .map(Step::id)
        .toList();
  }

  static Stream<Arguments> presets() {
    return Stream.of(
        Arguments.of(
            Wish.NEW_BUILD,
            CART,
            List.of("holes.box", "pull.lamps", "mount.all.rear-left", "box.land", "connector.plug"),
            List.of("pull.brakes", "prepare.old-cord")),
        Arguments.of(
            Wish.CONVERT,
            OLD_FLATBED,
            List.of(
                "prepare.old-cord",
                "pull.brakes",
                "pull.breakaway",
                "pull.vehicle",
                "mount.box",
                "mount.breakaway",
                "join.magnets",
                "connector.plug",
                "connector.socket"),
            List.of("pull.lamps", "mount.rear-left")),
        Arguments.of(
            Wish.REPLACE_CORD,
            CART,
            List.of("prepare.old-cord", "box.land", "connector.plug"),
            List.of("mount.box", "pull.lamps", "connector.socket")),
        Arguments.of(
            Wish.ADD_BREAKAWAY,
            BRAKED,
            List.of("pull.breakaway", "mount.breakaway"),
            List.of("pull.brakes", "connector.plug", "mount.box")),
        Arguments.of(
            Wish.REPAIR,
            BRAKED,
            List.of(
                "repair.find",
                "prepare.off",
                "repair.mend",
                "power.on",
                "repair.again",
                "close.covers"),
            List.of("pull.lamps", "connector.plug")),
        Arguments.of(
            Wish.NEW_CONTROLLER,
            BRAKED,
            List.of(
                "cab.signal",
                "prepare.off",
                "cab.place",
                "cab.plug",
                "cab.supply",
                "power.on",
                "cab.power",
                "test.bench",
                "close.covers"),
            List.of("pull.lamps", "test.continuity", "cab.panel")),
        Arguments.of(Wish.ANNUAL, CART, List.of(), List.of("prepare.off")));
  }

  @ParameterizedTest
  @MethodSource("presets")
  void whatIsThereStaysAndWhatIsMissingIsAdded(
      Wish wish, Rig rig, List<String> asked, List<String> not) {
    assertThat(steps(rig, wish)).as(wish.label()).containsSubsequence(asked);
    assertThat(steps(rig, wish)).as(wish.label()).doesNotContainAnyElementsOf(not);
  }

  @Test
  void eachKindOfControllerHasItsOwnActs() {
    assertThat(steps(kind("REMOTE_KNOB"), Wish.NEW_CONTROLLER))
        .containsSubsequence(
            "cab.signal",
            "cab.knob",
            "cab.panel",
            "cab.zero",
            "cab.module",
            "cab.bulkhead",
            "cab.supply",
            "cab.power");
    assertThat(steps(kind("WIRELESS"), Wish.NEW_CONTROLLER))
        .containsSubsequence("cab.unit", "cab.supply", "cab.pair", "cab.power")
        .doesNotContain("cab.signal");
    assertThat(steps(kind("BUILT_IN"), Wish.NEW_CONTROLLER))
        .containsSubsequence("cab.brake-type", "cab.power", "cab.output")
        .doesNotContain("cab.supply");
    assertThat(steps(kind("NONE"), Wish.NEW_CONTROLLER)).isEmpty();
    assertThat(steps(CART, Wish.NEW_CONTROLLER)).isEmpty();
    assertThat(steps(OLD_FLATBED, Wish.CONVERT))
        .containsSubsequence("connector.socket", "cab.supply", "test.bench");
  }

  /** A socket with reverse on a vehicle that had none, and a cord with more cores than jobs. */
  @Test
  void whatANewSocketAndANewCordAskForIsThere() {
    Harness harness = HarnessPlanner.plan(OLD_FLATBED, WireSize.GAUGES);
    List<Step> steps =
        StepPlan.of(new Scope(OLD_FLATBED, Wish.CONVERT, harness), UnitSystem.METRIC);
    assertThat(steps)
        .extracting(Step::id)
        .containsSubsequence(
            "join.charge", "box.unused.all", "connector.bracket", "connector.socket");
    Step unused =
        steps.stream().filter(s -> s.id().equals("box.unused.all")).findFirst().orElseThrow();
    long idle =
        OLD_FLATBED.connector().pins().stream()
            .filter(pin -> pin.function() != PinFunction.EARTH && !harness.has(pin.function()))
            .count();
    assertThat(idle).isPositive();
    assertThat(unused.ticks()).hasSize((int) idle);
    assertThat(steps(reversing("flat-4"), Wish.NEW_BUILD)).contains("vehicle.reverse");
    assertThat(steps(reversing("blade-7"), Wish.NEW_BUILD))
        .as("its socket has it")
        .doesNotContain("vehicle.reverse");
  }

  private static Rig reversing(String tow) {
    return rig(
        RigField.TRAILER_KIND, "PLANT",
        RigField.TOW_CONNECTOR, tow,
        RigField.TRAILER_CONNECTOR, "blade-7");
  }

  private static Rig kind(String kind) {
    return rig(
        RigField.BRAKE_TYPE, "ELECTRIC",
        RigField.TOW_CONNECTOR, "blade-7",
        RigField.TRAILER_CONNECTOR, "blade-7",
        RigField.CONTROLLER_KIND, kind);
  }

  /** What needs volts is done before or after; in between every battery of the rig is open. */
  @ParameterizedTest
  @EnumSource(Wish.class)
  void liveAndDeadWorkNeverMix(Wish wish) {
    for (Rig rig : List.of(OLD_FLATBED, BRAKED, CART, kind("REMOTE_KNOB"), kind("WIRELESS"))) {
      List<String> steps = steps(rig, wish);
      int off = steps.indexOf("prepare.off");
      int on = steps.indexOf("power.on");
      assertThat(off < 0).as(steps.toString()).isEqualTo(on < 0);
      for (int i = 0; i < steps.size(); i++) {
        boolean live =
            List.of(
                    "cab.signal",
                    "vehicle.reverse",
                    "cab.brake-type",
                    "cab.power",
                    "cab.output",
                    "test.bench",
                    "repair.find",
                    "repair.again")
                .contains(steps.get(i));
        boolean dead =
            steps
                .get(i)
                .matches("(pull|join|earth|box|connector)\\..*|cab.(supply|bulkhead)|repair.mend");
        assertThat(live && i > off && i < on).as("%s in %s", steps.get(i), steps).isFalse();
        assertThat(dead && (i < off || i > on)).as("%s in %s", steps.get(i), steps).isFalse();
      }
    }
  }

  /** No phase is gone back to, whatever the brakes are. */
  @ParameterizedTest
  @EnumSource(Wish.class)
  void noPhaseIsGoneBackTo(Wish wish) {
    Rig hydraulic =
        rig(
            RigField.BRAKE_TYPE, "ELECTRIC_HYDRAULIC",
            RigField.TOW_CONNECTOR, "flat-4",
            RigField.TRAILER_CONNECTOR, "flat-4");
    for (Rig rig : List.of(OLD_FLATBED, hydraulic, reversing("flat-4"), kind("REMOTE_KNOB"))) {
      Harness harness = HarnessPlanner.plan(rig, WireSize.GAUGES);
      assertThat(StepPlan.of(new Scope(rig, wish, harness), UnitSystem.METRIC))
          .extracting(Step::phase)
          .isSorted();
    }
    assertThat(steps(hydraulic, Wish.CONVERT)).contains("mount.actuator", "join.actuator");
  }

  @Test
  void everyBatteryOfTheRigIsNamedAndOpened() {
    Rig own = Rigs.twoAxles(RigField.BREAKAWAY_KIT, "OWN_BATTERY");
    assertThat(steps(own, Wish.NEW_CONTROLLER))
        .containsSubsequence("prepare.off", "prepare.off-breakaway", "cab.supply", "power.on");
    Rig house = Rigs.twoAxles(RigField.HOUSE_BATTERY, "YES");
    assertThat(steps(house, Wish.NEW_CONTROLLER)).contains("prepare.off-house");
    assertThat(steps(CART, Wish.REPLACE_CORD))
        .contains("prepare.off")
        .doesNotContain("prepare.off-breakaway", "prepare.off-house");
    assertThat(steps(own, Wish.ADD_BREAKAWAY))
        .as("it hangs there since this job")
        .contains("mount.breakaway")
        .doesNotContain("prepare.off-breakaway");
  }

  @Test
  void aControllerThatIsPluggedInTakesNoBatteryOff() {
    Rig plugged = Rigs.twoAxles(RigField.TOW_PREP, "CONTROLLER_PLUG");
    assertThat(steps(plugged, Wish.NEW_CONTROLLER))
        .containsExactly(
            "cab.place", "cab.screws", "cab.plug", "cab.power", "test.bench", "close.covers");
  }

  /** Entering the kit that was just fitted does not take its steps away. */
  @Test
  void stepsOfAKitThatIsBegunStay() {
    Rig fitted =
        rig(
            RigField.AXLE_COUNT, 2,
            RigField.BRAKE_TYPE, "ELECTRIC",
            RigField.BREAKAWAY_KIT, "OWN_BATTERY");
    Harness harness = HarnessPlanner.plan(fitted, WireSize.GAUGES);
    assertThat(new Scope(fitted, Wish.CONVERT, harness).newBreakaway()).isFalse();
    assertThat(new Scope(fitted, Wish.CONVERT, harness, Set.of("pull.breakaway")).newBreakaway())
        .isTrue();
  }

  /** One act for each kind, with a list to tick; a tick of one lamp is no tick of the others. */
  @Test
  void whatIsDoneAlikeOnSeveralLampsIsOneStep() {
    Harness harness = HarnessPlanner.plan(CART, WireSize.GAUGES);
    List<Step> mount =
        StepPlan.of(new Scope(CART, Wish.NEW_BUILD, harness), UnitSystem.METRIC).stream()
            .filter(step -> step.phase() == Step.Phase.MOUNT)
            .toList();
    assertThat(mount)
        .extracting(Step::title)
        .doesNotHaveDuplicates()
        .contains("Mount 2 rear lamps");
    assertThat(mount.stream().flatMap(step -> step.ticks().stream()))
        .hasSize(CART.fittedLamps().size() + 1)
        .doesNotHaveDuplicates()
        .contains("mount.rear-left", "mount.rear-right", "mount.box");
    assertThat(mount)
        .filteredOn(step -> step.id().equals("mount.all.rear-left"))
        .singleElement()
        .satisfies(
            rear -> {
              assertThat(rear.minutes()).isEqualTo(12);
              assertThat(rear.items())
                  .extracting(Step.Item::words)
                  .allMatch(
                      words -> words.matches("Rear lamp, (left|right), .* m behind the ball"));
            });
  }

  /** A 4-way that the maker fitted is where the new socket's lamps come from, its earth is not. */
  @Test
  void theOldSocketFeedsTheNewOnesLampsButNotItsEarth() {
    assertThat(steps(OLD_FLATBED, Wish.CONVERT))
        .containsSubsequence(
            "vehicle.source", "prepare.off", "vehicle.lamps", "connector.socket", "power.on")
        .doesNotContain("vehicle.module");
    Scope scope =
        new Scope(OLD_FLATBED, Wish.CONVERT, HarnessPlanner.plan(OLD_FLATBED, WireSize.GAUGES));
    assertThat(scope.newSpans())
        .filteredOn(span -> span.duty() == Duty.VEHICLE)
        .extracting(Span::function)
        .contains(PinFunction.EARTH, PinFunction.BRAKE, PinFunction.CHARGE)
        .doesNotContain(PinFunction.TAIL, PinFunction.LEFT, PinFunction.RIGHT);
    assertThat(steps(CART, Wish.REPLACE_CORD)).doesNotContain("vehicle.source", "vehicle.lamps");
  }

  @Test
  void aVehicleThatWatchesItsLampsGetsAModuleBeforeItsSocket() {
    Rig watched = watchedAnd("NONE");
    assertThat(steps(watched, Wish.CONVERT))
        .containsSubsequence("vehicle.module", "vehicle.lamps", "connector.socket");
    Rig prepared = watchedAnd("FOUR_WAY");
    assertThat(steps(prepared, Wish.CONVERT)).doesNotContain("vehicle.module");
  }

  private static Rig watchedAnd(String prep) {
    return rig(
        RigField.AXLE_COUNT,
        2,
        RigField.BRAKE_TYPE,
        "ELECTRIC",
        RigField.LAMPS_MONITORED,
        "YES",
        RigField.TOW_PREP,
        prep);
  }

  @Test
  void theTestComesBeforeTheCovers() {
    List<String> steps = steps(OLD_FLATBED, Wish.CONVERT);
    assertThat(steps).containsSubsequence("test.continuity", "test.bench", "close.covers");
    assertThat(steps.get(steps.size() - 1)).isEqualTo("close.covers");
  }

  @Test
  void stepsCarryThisRigsFigures() {
    Harness harness = HarnessPlanner.plan(OLD_FLATBED, WireSize.GAUGES);
    List<Step> steps =
        StepPlan.of(new Scope(OLD_FLATBED, Wish.CONVERT, harness), UnitSystem.METRIC);
    Map<String, Step> byId = new HashMap<>();
    steps.forEach(step -> byId.put(step.id(), step));
    assertThat(byId.get("mount.box").detail()).contains("1.08 m behind the ball");
    assertThat(byId.get("pull.brakes").detail()).contains("8 AWG");
    assertThat(byId.get("connector.plug").title()).contains("7-way blade");
    assertThat(byId.get("connector.socket").caution()).contains("measure");
    assertThat(byId.get("holes.box").title()).contains("mm");
    assertThat(steps.stream().mapToDouble(Step::minutes).sum()).isBetween(200.0, 900.0);
  }

  @Test
  void aLampLeftOutNeedsNeitherWireNorHole() {
    Rig without =
        new Rig(
            CART.sheet(),
            CART.lamps().stream()
                .map(
                    l ->
                        l.slot().startsWith("marker")
                            ? l.with(Lamp.State.LEFT_OUT, l.technology())
                            : l)
                .toList(),
            List.of());
    Harness harness = HarnessPlanner.plan(without, WireSize.GAUGES);
    assertThat(harness.loads()).noneMatch(load -> load.label().startsWith("Side marker"));
    assertThat(Loom.of(without, harness).holes())
        .noneMatch(hole -> hole.where().startsWith("Side marker"));
    assertThat(harness.amps(PinFunction.TAIL))
        .isLessThan(HarnessPlanner.plan(CART, WireSize.GAUGES).amps(PinFunction.TAIL));
  }

  @Test
  void aShelfOfThinWireIsToldWhatToBuyAndTheRestIsStillPlanned() {
    List<WireSize> thin = WireSize.GAUGES.subList(0, 3);
    Harness harness = HarnessPlanner.plan(BRAKED, thin);
    Circuit brake =
        harness.circuits().stream().filter(c -> c.name().equals("brake")).findFirst().orElseThrow();
    assertThat(brake.verdict()).isIn(Verdict.WATCH, Verdict.FAILS);
    assertThat(brake.buy()).isNotEmpty();
    assertThat(brake.sizes()).allMatch(s -> thin.stream().anyMatch(w -> w.label().equals(s)));
    assertThat(harness.circuits()).anyMatch(c -> c.verdict() == Verdict.HOLDS);
  }

  @Test
  void everySizeIsOffTheShelfAndNamesWhatBoundIt() {
    for (List<WireSize> stock : List.of(WireSize.GAUGES, WireSize.METRIC)) {
      Harness harness = HarnessPlanner.plan(BRAKED, stock);
      assertThat(harness.spans()).allMatch(span -> stock.contains(span.size()));
      assertThat(harness.circuits()).allMatch(circuit -> !circuit.binding().isBlank());
    }
  }

  @Property(tries = 40)
  void aLongerFeedNeverMakesTheBrakesLoseLess(
      @ForAll @DoubleRange(min = 3, max = 8) double run,
      @ForAll @DoubleRange(min = 0, max = 4) double longer) {
    assertThat(brakeDrop(run + longer, WireSize.GAUGES.subList(5, 6)))
        .isGreaterThanOrEqualTo(brakeDrop(run, WireSize.GAUGES.subList(5, 6)) - 1e-9);
  }

  private static double brakeDrop(double run, List<WireSize> stock) {
    Rig rig =
        rig(
            RigField.BRAKE_TYPE, "ELECTRIC",
            RigField.TOW_CONNECTOR, "blade-7",
            RigField.TRAILER_CONNECTOR, "blade-7",
            RigField.FEED_RUN, run);
    return HarnessPlanner.plan(rig, stock).circuits().stream()
        .filter(c -> c.name().equals("brake"))
        .findFirst()
        .orElseThrow()
        .drop();
  }

  @Test
  void aSingleLoopLosesWhatItsClosedFormSays() {
    WireSize size = WireSize.gauge(12, 25);
    List<Span> spans =
        List.of(
            new Span(
                Branch.feed(PinFunction.BRAKE),
                PinFunction.BRAKE,
                Duty.TRUNK,
                "plus",
                "load",
                7.5,
                size,
                List.of()),
            new Span(
                Branch.feed(PinFunction.EARTH),
                PinFunction.EARTH,
                Duty.TRUNK,
                "minus",
                "end",
                7.5,
                size,
                List.of()));
    Load load =
        new Load(
            "magnet",
            "Magnet",
            PinFunction.BRAKE,
            Spot.BOX,
            "load",
            "end",
            3.2,
            4,
            Load.Kind.MAGNET,
            org.jexel.core.quantity.Provenance.ASSUMED);
    Currents currents = new Currents(spans, List.of(), List.of(load));
    double closed = 4 * 2 * 7.5 * WireSize.RESISTIVITY_OHM_M / size.area() * (1 + 0.00393 * 20);
    assertThat(currents.drop(load, List.of(load), span -> true)).isCloseTo(closed, within(1e-9));
  }

  @Test
  void perSideAndRingFeedEveryMagnetOfATrunkToo() {
    Map<String, Integer> magnets = new HashMap<>();
    List<Object> base =
        new ArrayList<>(
            List.of(
                RigField.AXLE_COUNT, 3,
                RigField.BRAKE_TYPE, "ELECTRIC",
                RigField.TOW_CONNECTOR, "blade-7",
                RigField.TRAILER_CONNECTOR, "blade-7"));
    for (String feed : List.of("TRUNK", "PER_SIDE", "RING")) {
      List<Object> all = new ArrayList<>(base);
      all.addAll(Arrays.asList(RigField.BRAKE_FEED, feed));
      Harness harness = HarnessPlanner.plan(rig(all.toArray()), WireSize.GAUGES);
      magnets.put(
          feed, (int) harness.loads().stream().filter(l -> l.kind() == Load.Kind.MAGNET).count());
      Circuit worst =
          harness.circuits().stream()
              .filter(c -> c.name().startsWith("brake"))
              .max((a, b) -> Double.compare(a.drop(), b.drop()))
              .orElseThrow();
      assertThat(worst.drop()).as(feed).isPositive();
    }
    assertThat(magnets.values()).containsOnly(6);
  }

  @Test
  void movingTheEntryHoleChangesTheWayOfEveryLoom() {
    Harness left = HarnessPlanner.plan(BRAKED, WireSize.GAUGES);
    Rig moved =
        BRAKED.with(BRAKED.sheet().with(org.jexel.core.rig.FieldKey.of(RigField.ENTRY_X), 3));
    Harness behind = HarnessPlanner.plan(moved, WireSize.GAUGES);
    assertThat(metres(behind)).isGreaterThan(metres(left) + 1);
    assertThat(behind.spans().stream().flatMap(s -> s.path().stream()))
        .anyMatch(point -> point.id().equals(Frame.ENTRY) && point.x() == 3);
  }

  private static double metres(Harness harness) {
    return harness.spans().stream()
        .filter(span -> span.duty() == Duty.RUN)
        .mapToDouble(Span::length)
        .sum();
  }
}
