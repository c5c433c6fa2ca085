package org.jexel.core.harness;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.jexel.core.Rigs;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.junit.jupiter.api.Test;

/** Ways along the frame, schools of wiring, and how currents divide. */
class RoutesTest {
  private static Rig rig(Object... more) {
    List<Object> all =
        new ArrayList<>(
            List.of(
                RigField.AXLE_COUNT, 2,
                RigField.BRAKE_TYPE, "ELECTRIC",
                RigField.TOW_CONNECTOR, "blade-7",
                RigField.TRAILER_CONNECTOR, "blade-7"));
    all.addAll(Arrays.asList(more));
    return Rigs.rig(Rigs.sheet(all.toArray()));
  }

  private static Harness plan(Object... more) {
    return HarnessPlanner.plan(rig(more), WireSize.GAUGES);
  }

  private static double metres(Harness harness, PinFunction function) {
    return harness.spans().stream()
        .filter(s -> s.function() == function && s.duty() == Duty.RUN)
        .mapToDouble(Span::length)
        .sum();
  }

  @Test
  void everyRunFollowsTheFrameWithoutAJump() {
    for (String method : List.of("CRIMP", "RINGS_IN_BOX")) {
      for (Span span : plan(RigField.JOINT_METHOD, method, RigField.BRAKE_FEED, "RING").spans()) {
        double straight = 0;
        for (int i = 1; i < span.path().size(); i++) {
          FramePoint a = span.path().get(i - 1);
          FramePoint b = span.path().get(i);
          straight += Math.hypot(a.x() - b.x(), a.y() - b.y());
        }
        assertThat(span.length()).as(span.to()).isGreaterThanOrEqualTo(straight - 1e-9);
        assertThat(span.length()).as(span.to()).isPositive();
      }
    }
  }

  @Property(tries = 60)
  void aLampFartherAlongTheRailNeverNeedsLessWire(
      @ForAll @DoubleRange(min = 1.6, max = 3.8) double x,
      @ForAll @DoubleRange(min = 0, max = 1.5) double further) {
    assertThat(withRearLampAt(x + further)).isGreaterThanOrEqualTo(withRearLampAt(x) - 1e-9);
  }

  private static double withRearLampAt(double x) {
    Rig rig = rig();
    Rig moved =
        new Rig(
            rig.sheet(),
            rig.lamps().stream()
                .map(l -> l.slot().equals("rear-left") ? l.at(x, l.y()) : l)
                .toList(),
            rig.load());
    return HarnessPlanner.plan(moved, WireSize.GAUGES).spans().stream()
        .filter(s -> s.function() == PinFunction.LEFT)
        .mapToDouble(Span::length)
        .sum();
  }

  @Test
  void homeRunsTakeMoreWireAndNoSplices() {
    Harness branched = plan(RigField.JOINT_METHOD, "CRIMP");
    Harness home = plan(RigField.JOINT_METHOD, "RINGS_IN_BOX");
    assertThat(metres(home, PinFunction.TAIL)).isGreaterThan(metres(branched, PinFunction.TAIL));
    assertThat(home.joints())
        .filteredOn(j -> j.function() == PinFunction.TAIL)
        .noneMatch(j -> j.kind() == Joint.Kind.SPLICE);
  }

  @Test
  void withoutABoxTheCordIsSpliced() {
    assertThat(plan(RigField.PLANNED_BOX, "NO").joints())
        .noneMatch(j -> j.kind() == Joint.Kind.RING);
    assertThat(plan().joints()).anyMatch(j -> j.kind() == Joint.Kind.RING);
  }

  @Test
  void lampsThatReturnThroughTheFrameHaveNoReturnWireButAScrewEach() {
    Rig rig = rig(RigField.LAMP_RETURN, "FRAME");
    Harness harness = HarnessPlanner.plan(rig, WireSize.GAUGES);
    assertThat(metres(harness, PinFunction.EARTH)).isZero();
    assertThat(harness.joints().stream().filter(j -> j.name().startsWith("screw_")))
        .hasSize(rig.fittedLamps().size() + 1);
  }

  @Test
  void aRingFeedsEachSideFromBothEnds() {
    Harness ring = plan(RigField.BRAKE_FEED, "RING");
    Load far =
        ring.loads().stream()
            .filter(l -> l.name().equals("magnet_axle2_right"))
            .findFirst()
            .orElseThrow();
    Currents currents = new Currents(ring.spans(), ring.joints(), ring.loads());
    List<Double> shares =
        ring.spans().stream()
            .filter(
                s ->
                    s.branch().side().isPresent()
                        && s.function() == PinFunction.BRAKE
                        && s.duty() == Duty.TRUNK)
            .filter(s -> currents.passes(far, s))
            .map(s -> currents.of(List.of(far)).get(s) / far.amps())
            .toList();
    assertThat(shares).hasSize(4).allSatisfy(s -> assertThat(s).isBetween(0.05, 0.95));
  }

  @Test
  void whatCannotBeIsToldBesideItsPartAndTheRestIsPlanned() {
    Harness odd =
        plan(
            RigField.BOX_X, 4.0,
            RigField.JOINT_METHOD, "TAP",
            RigField.BREAKAWAY_X, 9.0,
            RigField.ENTRY_Y, 1.5,
            RigField.TOW_CONNECTOR, "flat-4");
    assertThat(odd.problems().stream().map(Problem::part).collect(Collectors.toSet()))
        .contains("box", "joints", "entry", "connector", "breakaway");
    assertThat(odd.circuits()).isNotEmpty();
    assertThat(plan().problems()).isEmpty();
  }

  @Property(tries = 100)
  void unitFlowsKeepToKirchhoffAndShareByConductance(
      @ForAll @IntRange(min = 1, max = 100) int near,
      @ForAll @IntRange(min = 1, max = 100) int far) {
    Flow flow =
        new Flow(
            List.of(
                new Flow.Link("root", "a", near),
                new Flow.Link("root", "b", far),
                new Flow.Link("a", "end", 1),
                new Flow.Link("b", "end", 1)));
    double[] unit = flow.unit("end");
    assertThat(unit[0] + unit[1]).isCloseTo(1, within(1e-12));
    assertThat(unit[0] * (near + 1)).isCloseTo(unit[1] * (far + 1), within(1e-9));
    assertThat(unit[0]).isCloseTo(unit[2], within(1e-12));
  }
}
