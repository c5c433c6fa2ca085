package org.jexel.core.network;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.jexel.core.Rigs;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.HarnessPlanner;
import org.jexel.core.harness.Load;
import org.jexel.core.harness.WireSize;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.FieldKey;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.junit.jupiter.api.Test;

/** The rig as a network, state by state and fault by fault. */
class RigNetworkTest {
  private static final Rig RIG = Rigs.twoAxles();
  private static final Harness HARNESS = HarnessPlanner.plan(RIG, WireSize.GAUGES);

  private static Solution solve(StateWord... on) {
    return solve(RigState.of(on), "");
  }

  private static Solution solve(RigState state, String faults) {
    return RigNetwork.of(RIG, HARNESS, state, Fault.parse(faults)).network().solve();
  }

  private static double tailLamp(Solution solution) {
    return solution.across("lamp_tail_rear_left");
  }

  @Test
  void withNothingSwitchedOnNothingFlows() {
    assertThat(solve().amps(RigNetwork.SUPPLY)).isCloseTo(0, within(1e-6));
  }

  @Test
  void theEngineLiftsEveryLamp() {
    assertThat(tailLamp(solve(StateWord.TAIL, StateWord.RUNNING)))
        .isGreaterThan(tailLamp(solve(StateWord.TAIL)) + 1);
  }

  @Test
  void withThePlugOutTheTrailerIsDark() {
    Solution out = solve(StateWord.TAIL, StateWord.LEVER, StateWord.UNPLUGGED);
    assertThat(tailLamp(out)).isCloseTo(0, within(1e-6));
    // Less what the vehicle's own tail lamps take on the way.
    assertThat(out.volts("sock_tail", "sock_earth")).isBetween(12.5, 12.6);
  }

  @Test
  void theLeftIndicatorLightsTheLeftLampAloneAndStopLightsBoth() {
    Solution left = solve(StateWord.LEFT);
    assertThat(left.across("lamp_left_rear_left")).isGreaterThan(11);
    assertThat(Math.abs(left.across("lamp_right_rear_right"))).isLessThan(0.2);
    Solution stop = solve(StateWord.STOP);
    assertThat(stop.across("lamp_left_rear_left")).isGreaterThan(11);
    assertThat(stop.across("lamp_right_rear_right")).isGreaterThan(11);
  }

  @Property(tries = 50)
  void moreGainNeverMeansLessCurrentInAMagnet(
      @ForAll @DoubleRange(min = 0.05, max = 0.94) double share,
      @ForAll @DoubleRange(min = 0, max = 0.05) double more) {
    RigState lever = RigState.of(StateWord.LEVER);
    assertThat(solve(lever.withGain(share + more), "").amps("magnet_axle2_right"))
        .isGreaterThanOrEqualTo(
            solve(lever.withGain(share), "").amps("magnet_axle2_right") - 1e-12);
  }

  @Test
  void theFarMagnetGetsTheLeast() {
    Solution solution = solve(StateWord.LEVER);
    assertThat(solution.across("magnet_axle2_right"))
        .isLessThan(solution.across("magnet_axle1_left"))
        .isGreaterThan(10);
  }

  @Test
  void lampsAndBrakesShareTheEarthPinAndFeelEachOther() {
    double alone = tailLamp(solve(StateWord.TAIL));
    double braking = tailLamp(solve(StateWord.TAIL, StateWord.LEVER));
    assertThat(braking).isLessThan(alone);
    assertThat(alone - braking).isLessThan(1.2);
  }

  @Test
  void everyUncertainPartIsInTheNetworkAndToldOnce() {
    RigNetwork network = RigNetwork.of(RIG, HARNESS, RigState.of(StateWord.TAIL, StateWord.LEVER));
    Set<String> told = new HashSet<>();
    for (Tolerance tolerance : network.tolerances()) {
      assertThat(told.add(tolerance.element())).as(tolerance.element()).isTrue();
      assertThat(network.network().element(tolerance.element()).name()).matches("[a-z0-9_]+");
      assertThat(tolerance.below()).isNotNegative();
      assertThat(tolerance.above()).isPositive();
    }
    assertThat(told).contains("battery", "controller", "pin_brake", "magnet_axle1_left");
  }

  @Test
  void aMagnetThatWasMeasuredIsKnownBetterThanOneThatIsAssumed() {
    Rig measured = RIG.with(RIG.sheet().with(FieldKey.of(RigField.MAGNET_OHMS), 3.3));
    assertThat(spread(measured)).isLessThan(spread(RIG) / 3);
  }

  private static double spread(Rig rig) {
    Harness harness = HarnessPlanner.plan(rig, WireSize.GAUGES);
    return RigNetwork.dead(rig, harness).tolerances().stream()
        .filter(t -> t.element().equals("magnet_axle1_left"))
        .findFirst()
        .orElseThrow()
        .above();
  }

  @Test
  void theOhmmeterSeesTheMagnetsAndOnTheTailPinColdFilaments() {
    Solution dead = RigNetwork.dead(RIG, HARNESS).network().solve();
    assertThat(dead.ohms("plug_brake", "plug_earth")).isBetween(0.8, 0.95);
    double hot = 12.8 / HARNESS.amps(PinFunction.TAIL);
    assertThat(dead.ohms("plug_tail", "plug_earth")).isBetween(hot / 12, hot / 2);
    assertThat(dead.ohms("magnet_axle1_left")).isEqualTo(3.2);
    assertThatThrownBy(() -> solve(StateWord.TAIL).ohms("plug_tail", "plug_earth"))
        .isInstanceOf(IllegalStateException.class)
        .hasMessageContaining("battery");
  }

  @Test
  void aLostReturnSendsALampsCurrentThroughAnother() {
    // The rear left lamp keeps both filaments but loses its way back: stop current returns through
    // the tail filament, and the tail circuit's other lamps glow.
    RigState left = RigState.of(StateWord.LEFT);
    Solution lost = solve(left, "open:wire_earth_rear_left");
    assertThat(lost.across("lamp_left_rear_left")).isBetween(0.1, 9.0);
    assertThat(lost.across("lamp_tail_rear_left")).isLessThan(-1);
    double glow = lost.across("lamp_tail_plate");
    assertThat(glow).isGreaterThan(0.01);
    assertThat(solve(left, "").across("lamp_tail_plate")).isCloseTo(0, within(0.2));
  }

  @Test
  void everyFaultOfTheCatalogCanBeSolvedAndHasAPlaceOfItsOwn() {
    List<KnownFault> faults = FaultCatalog.of(RIG, HARNESS);
    assertThat(faults).hasSizeGreaterThan(80);
    assertThat(faults).extracting(fault -> fault.words(UnitSystem.METRIC)).doesNotHaveDuplicates();
    RigState all = RigState.of(StateWord.TAIL, StateWord.LEFT, StateWord.LEVER, StateWord.RUNNING);
    for (KnownFault named : faults) {
      Solution solution =
          RigNetwork.of(RIG, HARNESS, all, List.of(named.fault())).network().solve();
      assertThat(solution.amps(RigNetwork.SUPPLY)).as(named.key()).isFinite();
    }
  }

  @Test
  void aLostReturnReadsInPlainWords() {
    RigState left = RigState.of(StateWord.LEFT);
    Solution whole = solve(left, "");
    List<Lit> lit = Lit.of(HARNESS, solve(left, "open:wire_earth_rear_left"), whole);
    assertThat(lit.stream().filter(Lit::differs).map(Lit::story))
        .anySatisfy(
            s ->
                assertThat(s)
                    .startsWith("Rear lamp, left, indicator: ")
                    .contains("should be bright"))
        .anySatisfy(s -> assertThat(s).contains("should be dark").contains("backwards"));
    assertThat(Lit.of(HARNESS, whole, whole)).noneMatch(Lit::differs);
    Solution burnt = solve(left, "open:lamp_left_rear_left");
    assertThat(Lit.of(HARNESS, burnt, whole).stream().filter(Lit::differs).map(Lit::word))
        .containsExactly("dark");
  }

  @Test
  void exchangedConductorsLightTheOtherLamp() {
    Solution swapped =
        solve(RigState.of(StateWord.LEFT), "exchanged:wire_cord_left:wire_cord_tail");
    assertThat(tailLamp(swapped)).isGreaterThan(10);
    assertThat(swapped.across("lamp_left_rear_left")).isLessThan(1);
  }

  @Test
  void aBreakawayPinPartWayOutMakesTheWheelsDrag() {
    Rig kit =
        Rigs.rig(
            Rigs.sheet(
                RigField.BRAKE_TYPE, "ELECTRIC",
                RigField.TOW_CONNECTOR, "blade-7",
                RigField.TRAILER_CONNECTOR, "blade-7",
                RigField.BREAKAWAY_KIT, "OWN_BATTERY"));
    Harness harness = HarnessPlanner.plan(kit, WireSize.GAUGES);
    RigState idle = RigState.of();
    assertThat(amps(kit, harness, idle, "")).isCloseTo(0, within(1e-6));
    assertThat(amps(kit, harness, idle, "pulled:1.5")).isBetween(1.0, 3.0);
    assertThat(amps(kit, harness, RigState.of(StateWord.BREAKAWAY, StateWord.UNPLUGGED), ""))
        .isBetween(3.0, 4.0);
  }

  private static double amps(Rig rig, Harness harness, RigState state, String faults) {
    return RigNetwork.of(rig, harness, state, Fault.parse(faults))
        .network()
        .solve()
        .amps("magnet_axle1_left");
  }

  @Test
  void aSignalFromTheConstantSideBrakesAlways() {
    assertThat(solve(RigState.of(), "signal").amps("magnet_axle1_left")).isGreaterThan(0.3);
  }

  @Test
  void aShortToTheFrameShowsInItsFuse() {
    Solution shorted = solve(RigState.of(StateWord.TAIL), "short:box_tail");
    Fuse fuse = (Fuse) shorted.network().element("fuse_tail");
    assertThat(fuse.load(shorted.amps("fuse_tail"))).isGreaterThan(2);
    assertThat(fuse.load(solve(StateWord.TAIL).amps("fuse_tail"))).isLessThan(0.8);
  }

  @Test
  void aMeterShowsWhatItsLeadsAllow() {
    Network night = RigNetwork.of(RIG, HARNESS, RigState.of(StateWord.TAIL)).network();
    Probe probe = new Probe(night);
    assertThat(probe.volts("sock_tail", "sock_earth")).isBetween(12.0, 12.6);
    assertThat(probe.amps("wire_cord_tail"))
        .isCloseTo(night.solve().amps("wire_cord_tail"), within(0.02));
    assertThat(probe.ohms("sock_tail", "sock_earth")).isEmpty();
    Probe dead = new Probe(RigNetwork.of(RIG, HARNESS, RigState.of(StateWord.UNPLUGGED)).network());
    assertThat(dead.ohms("plug_brake", "plug_earth").orElseThrow()).isBetween(0.8, 0.95);
  }

  @Test
  void aBenchSupplyLightsTheTrailerByItself() {
    Solution bench =
        RigNetwork.onTheBench(RIG, HARNESS, PinFunction.LEFT, 12.8, List.of()).network().solve();
    assertThat(bench.across("lamp_left_rear_left")).isGreaterThan(12);
    assertThat(bench.across("lamp_right_rear_right")).isCloseTo(0, within(0.1));
    Solution lost =
        RigNetwork.onTheBench(
                RIG, HARNESS, PinFunction.LEFT, 12.8, Fault.parse("open:wire_cord_earth"))
            .network()
            .solve();
    assertThat(lost.across("lamp_left_rear_left")).isLessThan(0.5);
  }

  @Test
  void aThickerConductorNeverLowersTheVoltsOfALoadThatItFeeds() {
    double thin = tailLamp(night(WireSize.GAUGES));
    double thick = tailLamp(night(WireSize.GAUGES.subList(2, WireSize.GAUGES.size())));
    assertThat(thick).isGreaterThan(thin);
  }

  private static Solution night(List<WireSize> stock) {
    Harness harness = HarnessPlanner.plan(RIG, stock);
    return RigNetwork.of(RIG, harness, RigState.of(StateWord.TAIL)).network().solve();
  }

  @Property(tries = 60)
  void onARadialHarnessLessCopperOrMoreLoadNeverHelps(
      @ForAll @DoubleRange(min = 0.01, max = 3) double more,
      @ForAll @IntRange(min = 0, max = 8) int which) {
    List<String> loads =
        HARNESS.loads().stream()
            .filter(l -> l.function() == PinFunction.TAIL)
            .map(Load::name)
            .toList();
    RigState tail = RigState.of(StateWord.TAIL);
    Solution before = solve(tail, "");
    Solution worse = solve(tail, "ohms:wire_cord_tail:" + more);
    Solution fuller = solve(tail, "draws:" + loads.get(which % loads.size()) + ":" + (1 + more));
    for (String load : loads) {
      assertThat(worse.across(load)).isLessThanOrEqualTo(before.across(load) + 1e-9);
      assertThat(fuller.across(load)).isLessThanOrEqualTo(before.across(load) + 1e-9);
    }
  }

  @Test
  void currentsSumToZeroAtEveryNodeOfTheWholeRig() {
    Solution solution =
        solve(RigState.of(StateWord.TAIL, StateWord.STOP, StateWord.LEVER), "open:pin_earth");
    Map<String, Double> into = NetworkPropertiesTest.currentsInto(solution);
    into.remove(Harness.BATTERY_MINUS);
    into.forEach((node, sum) -> assertThat(sum).as(node).isCloseTo(0, within(2e-9)));
  }

  @Test
  void wordsAndFaultsThatNobodyKnowsAreAnsweredWithTheList() {
    assertThatThrownBy(() -> StateWord.parse(List.of("tail", "fog")))
        .hasMessageContaining("fog")
        .hasMessageContaining("tail left right stop");
    assertThatThrownBy(() -> Fault.parse("melted:wire_cord_tail")).hasMessageContaining("ohms");
    assertThatThrownBy(() -> Fault.parse("bridge:box_tail")).hasMessageContaining("two parts");
    assertThatThrownBy(() -> Fault.parse("ohms:pin_tail:lots")).hasMessageContaining("lots");
    assertThatThrownBy(() -> solve(RigState.of(), "open:wire_nowhere"))
        .hasMessageContaining("wire_nowhere");
    assertThatThrownBy(() -> RigState.of().withGain(1.2)).hasMessageContaining("1.2");
  }
}
