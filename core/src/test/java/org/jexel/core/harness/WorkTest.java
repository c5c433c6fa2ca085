package org.jexel.core.harness;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.Size;
import org.jexel.core.Rigs;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.connector.WireColour;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.Lamp;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.Wish;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Lists, colours, box and steps: what a plan means for hands. */
class WorkTest {
  private static Rig braked(Object... more) {
    List<Object> all =
        new ArrayList<>(List.of(RigField.AXLE_COUNT, 2, RigField.BRAKE_TYPE, "ELECTRIC"));
    all.addAll(Arrays.asList(more));
    return Rigs.rig(Rigs.sheet(all.toArray()));
  }

  private static Scope scope(Rig rig, Wish wish) {
    return new Scope(rig, wish, HarnessPlanner.plan(rig, WireSize.GAUGES));
  }

  @ParameterizedTest
  @EnumSource(Wish.class)
  void aListCoversEveryNewRunExactlyOnce(Wish wish) {
    Scope scope = scope(braked(), wish);
    CutList list = CutList.of(scope, List.of());
    assertThat(list.pieces()).extracting(CutList.Piece::span).isEqualTo(scope.newSpans());
    assertThat(list.lines().stream().mapToInt(line -> line.pieces().size()).sum())
        .isEqualTo(scope.newSpans().size());
    double runs = scope.newSpans().stream().mapToDouble(s -> s.length() + 0.2).sum();
    assertThat(list.lines().stream().mapToDouble(CutList.Line::metres).sum())
        .isCloseTo(runs, within(1e-9));
    assertThat(list.lines().stream().mapToDouble(CutList.Line::buy).sum())
        .isCloseTo(runs, within(1e-9));
  }

  @Property(tries = 60)
  void noReelGivesMoreThanItHasAndNothingIsForgotten(
      @ForAll @Size(min = 1, max = 6) List<@DoubleRange(min = 0.1, max = 40) Double> metres) {
    Scope scope = scope(braked(), Wish.NEW_BUILD);
    List<CutList.Reel> reels = new ArrayList<>();
    for (int i = 0; i < metres.size(); i++) {
      WireColour colour = i % 2 == 0 ? WireColour.BROWN : WireColour.WHITE;
      reels.add(new CutList.Reel(i, "16 AWG", colour, metres.get(i)));
    }
    CutList list = CutList.of(scope, reels);
    list.cuts()
        .forEach(
            (reel, cut) -> assertThat(cut).isLessThanOrEqualTo(metres.get(reel.intValue()) + 1e-9));
    for (CutList.Line line : list.lines()) {
      double given = line.cuts().values().stream().mapToDouble(Double::doubleValue).sum();
      assertThat(given + line.buy()).isCloseTo(line.metres(), within(1e-9));
    }
  }

  @Test
  void aReelShorterThanAPieceIsSaid() {
    CutList.Reel stub = new CutList.Reel(1, "16 AWG", WireColour.YELLOW, 0.5);
    assertThat(CutList.of(scope(braked(), Wish.NEW_BUILD), List.of(stub)).lines())
        .anySatisfy(
            line ->
                assertThat(line.remark())
                    .hasValueSatisfying(
                        remark ->
                            assertThat(remark.words(UnitSystem.METRIC))
                                .contains("0.50 m, shorter than the piece")));
  }

  @Test
  void aConversionKeepsTheLampLoomsAndAddsBrakesCordAndSocket() {
    Scope scope = scope(braked(), Wish.CONVERT);
    Set<Duty> duties = new HashSet<>();
    scope.newSpans().forEach(span -> duties.add(span.duty()));
    assertThat(duties)
        .contains(Duty.CORD, Duty.TRUNK, Duty.ACROSS, Duty.BREAKAWAY, Duty.VEHICLE)
        .doesNotContain(Duty.RUN);
    assertThat(scope.newSpans())
        .filteredOn(s -> s.duty() == Duty.VEHICLE)
        .extracting(Span::function)
        .contains(PinFunction.BRAKE)
        .doesNotContain(PinFunction.TAIL);
  }

  @Test
  void aWantedLampMakesItsHoleItsRunAndItsMounting() {
    Rig whole = Rigs.unbraked();
    assertThat(StepPlan.of(scope(whole, Wish.ADD_LAMPS), UnitSystem.METRIC))
        .extracting(Step::id)
        .doesNotContain("mount.plate");
    Rig wanted =
        new Rig(
            whole.sheet(),
            whole.lamps().stream()
                .map(l -> l.slot().equals("plate") ? l.with(Lamp.State.WANTED, l.technology()) : l)
                .toList(),
            List.of());
    assertThat(StepPlan.of(scope(wanted, Wish.ADD_LAMPS), UnitSystem.METRIC))
        .extracting(Step::id)
        .containsSubsequence("holes.plate", "pull.lamps", "mount.plate", "test.continuity");
  }

  @ParameterizedTest
  @EnumSource(Wish.class)
  void everyStepComesAfterWhatItNeedsAndSaysHow(Wish wish) {
    Set<String> done = new HashSet<>();
    for (Step step : StepPlan.of(scope(braked(), wish), UnitSystem.METRIC)) {
      assertThat(done).as(step.id()).containsAll(step.needs());
      assertThat(done.add(step.id())).as(step.id()).isTrue();
      assertThat(step.minutes()).isPositive();
      assertThat(step.detail()).isNotBlank();
    }
  }

  @Test
  void anAnnualCheckOfAWholeRigHasNothingToWire() {
    Rig rig =
        braked(
            RigField.TOW_CONNECTOR, "blade-7",
            RigField.TRAILER_CONNECTOR, "blade-7",
            RigField.JUNCTION_BOX, "YES",
            RigField.BREAKAWAY_KIT, "OWN_BATTERY");
    assertThat(StepPlan.of(scope(rig, Wish.ANNUAL), UnitSystem.METRIC)).isEmpty();
    assertThat(CutList.of(scope(rig, Wish.ANNUAL), List.of()).lines()).isEmpty();
    assertThat(StepPlan.of(scope(rig, Wish.REPLACE_CORD), UnitSystem.METRIC))
        .extracting(Step::id)
        .contains("prepare.old-cord", "connector.plug")
        .doesNotContain("pull.lamps", "connector.socket");
  }

  @Test
  void theTrapOfTheTwoConventionsIsFlaggedAtTheBox() {
    Rig rig = braked(RigField.TRAILER_CONVENTION, "utility");
    Crosswalk walk = Crosswalk.of(rig, HarnessPlanner.plan(rig, WireSize.GAUGES), Map.of());
    assertThat(walk.clashes())
        .extracting(Crosswalk.Clash::colour)
        .contains(WireColour.BROWN, WireColour.GREEN, WireColour.YELLOW);
    assertThat(walk.clashes().get(0).words()).contains("towards the vehicle");
    assertThat(walk.bonded()).hasSize(2);
    Rig same = braked(RigField.TRAILER_CONVENTION, "blade", RigField.TOW_CONVENTION, "blade");
    assertThat(Crosswalk.of(same, HarnessPlanner.plan(same, WireSize.GAUGES), Map.of()).clashes())
        .isEmpty();
  }

  @Test
  void aColourThatSomebodySawReplacesThePlan() {
    Rig rig = braked(RigField.TRAILER_CONVENTION, "blade", RigField.TOW_CONVENTION, "blade");
    Crosswalk.Seen seen = new Crosswalk.Seen(Segment.TRAILER, PinFunction.LEFT);
    Crosswalk walk =
        Crosswalk.of(
            rig, HarnessPlanner.plan(rig, WireSize.GAUGES), Map.of(seen, WireColour.BROWN));
    Crosswalk.Row left =
        walk.rows().stream()
            .filter(r -> r.pin().function() == PinFunction.LEFT)
            .findFirst()
            .orElseThrow();
    assertThat(left.cells().get(Segment.TRAILER).differs()).isTrue();
    assertThat(walk.clashes()).extracting(Crosswalk.Clash::joint).containsOnly("box");
  }

  @Test
  void everyCoreOfTheCordHasAStudAndUnusedOnesAnOwn() {
    Rig rig = braked();
    StudPlan plan = StudPlan.of(rig, HarnessPlanner.plan(rig, WireSize.GAUGES));
    assertThat(plan.studs()).hasSize(rig.connector().pins().size());
    StudPlan.Stud tail =
        plan.studs().stream()
            .filter(s -> s.function() == PinFunction.TAIL)
            .findFirst()
            .orElseThrow();
    assertThat(tail.landings()).extracting(StudPlan.Landing::what).contains("cord");
    assertThat(plan.studs().stream().filter(s -> s.landings().isEmpty()))
        .allSatisfy(s -> assertThat(s.why()).contains("never hangs loose"))
        .extracting(StudPlan.Stud::function)
        .contains(PinFunction.REVERSE);
    for (StudPlan.Stud stud : plan.studs()) {
      for (int i = 1; i < stud.landings().size(); i++) {
        assertThat(stud.landings().get(i).conductor().size().area())
            .isLessThanOrEqualTo(stud.landings().get(i - 1).conductor().size().area());
      }
    }
  }

  @Test
  void aHoleTakesItsBundleAndThickerLoomsNeedLargerOnes() {
    Rig rig = braked();
    Loom loom = Loom.of(rig, HarnessPlanner.plan(rig, WireSize.GAUGES));
    assertThat(loom.holes())
        .allSatisfy(h -> assertThat(h.drill()).isGreaterThanOrEqualTo(h.bundle() / 0.8 - 1e-9));
    assertThat(loom.clips()).isPositive();
    assertThat(loom.stretches())
        .anySatisfy(stretch -> assertThat(stretch.conductors().size()).isGreaterThan(4));
    Rig inside = braked(RigField.ROUTE_STYLE, "INSIDE");
    assertThat(Loom.of(inside, HarnessPlanner.plan(inside, WireSize.GAUGES)).clips()).isZero();
  }

  @Test
  void materialsFollowTheWork() {
    List<String> items =
        Materials.of(scope(braked(), Wish.CONVERT), UnitSystem.METRIC).items().stream()
            .map(Materials.Item::what)
            .toList();
    assertThat(items)
        .contains("7-way blade socket with gasket", "breakaway switch with cable")
        .anyMatch(what -> what.startsWith("ring M"))
        .anyMatch(what -> what.startsWith("breaker"));
  }
}
