package org.jexel.core.harness;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.jexel.core.Rigs;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.ControllerKind;
import org.jexel.core.rig.Lamp;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.Wish;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Which conductor serves which side, and what the plan does not depend on. */
class SidesTest {
  private static Harness plan(Rig rig) {
    return HarnessPlanner.plan(rig, WireSize.GAUGES);
  }

  private static Map<String, Double> lengths(Harness harness) {
    return harness.circuits().stream()
        .collect(Collectors.toMap(Circuit::name, Circuit::length, Double::sum, TreeMap::new));
  }

  @Property(tries = 30)
  void theOrderInWhichLampsAreToldChangesNothing(@ForAll long seed) {
    Rig rig = Rigs.twoAxles();
    List<Lamp> shuffled = new ArrayList<>(rig.lamps());
    Collections.shuffle(shuffled, new Random(seed));
    Harness one = plan(rig);
    Harness two = plan(new Rig(rig.sheet(), shuffled, rig.load()));
    assertThat(lengths(two)).isEqualTo(lengths(one));
    assertThat(two.loads()).containsExactlyInAnyOrderElementsOf(one.loads());
  }

  @ParameterizedTest
  @ValueSource(strings = {"CRIMP", "SOLDER", "RINGS_IN_BOX"})
  void aConductorThatServesOneSideSaysWhich(String method) {
    Rig rig = Rigs.rig(Rigs.sheet(RigField.JOINT_METHOD, method));
    Harness harness = plan(rig);
    for (Span span : harness.spans()) {
      boolean left = span.to().endsWith("_left");
      boolean right = span.to().endsWith("_right");
      if (span.duty() == Duty.RUN && span.function() == PinFunction.TAIL && (left || right)) {
        assertThat(span.circuit()).as(span.to()).isEqualTo(left ? "tail, left" : "tail, right");
      }
      if (span.function() == PinFunction.LEFT) {
        assertThat(span.circuit()).isEqualTo("left");
      }
    }
  }

  @Test
  void aMirroredTrailerHasMirroredRunsButForTheSideOfItsEntry() {
    Rig rig = Rigs.rig(Rigs.sheet(RigField.ENTRY_Y, 0, RigField.LAMP_RETURN, "OWN_CONDUCTOR"));
    Map<String, Double> lengths = lengths(plan(rig));
    assertThat(lengths.get("left")).isCloseTo(lengths.get("right"), within(1e-9));
  }

  @Test
  void everyConductorOfALoomIsTheLengthOfItsWayOrLongEnoughToCrimp() {
    for (Span span : plan(Rigs.twoAxles()).spans()) {
      if (!span.path().isEmpty()) {
        assertThat(span.length())
            .as(span.to())
            .isCloseTo(Math.max(0.1, RouteTree.length(span.path())), within(1e-9));
      }
    }
  }

  @Test
  void aLampOnItsOwnJointIsToldAndStillGetsAWire() {
    Rig rig = Rigs.unbraked();
    double rail = 0.62 * rig.sheet().si(RigField.OVERALL_WIDTH) / 2;
    Rig moved =
        new Rig(
            rig.sheet(),
            rig.lamps().stream()
                .map(l -> l.slot().equals("marker-rear-left") ? l.at(2.5, rail) : l)
                .toList(),
            List.of());
    Harness harness = plan(moved);
    assertThat(harness.problems()).extracting(Problem::part).contains("marker_rear_left");
    assertThat(harness.spans())
        .filteredOn(span -> span.to().equals("tail_marker_rear_left"))
        .singleElement()
        .satisfies(span -> assertThat(span.length()).isEqualTo(0.1));
  }

  @Test
  void lampsOfOneKindOnOneSideAreCountedFromTheFront() {
    List<String> markers =
        plan(Rigs.unbraked()).loads().stream()
            .filter(load -> load.label().startsWith("Side marker"))
            .map(load -> load.name() + " is " + load.label())
            .toList();
    assertThat(markers)
        .contains(
            "lamp_tail_marker_front_left is Side marker 1, left",
            "lamp_tail_marker_rear_left is Side marker 2, left");
  }

  /** The rules of the trade know no screens: what they say must read as well on paper. */
  @ParameterizedTest
  @EnumSource(ControllerKind.class)
  void stepsSpeakOfTheWorkAndNotOfScreens(ControllerKind kind) {
    Rig rig =
        Rigs.rig(
            Rigs.sheet(RigField.BRAKE_TYPE, "ELECTRIC", RigField.CONTROLLER_KIND, kind.name()));
    for (Wish wish : Wish.values()) {
      for (Step step : StepPlan.of(new Scope(rig, wish, plan(rig)), UnitSystem.METRIC)) {
        String words = step.title() + " " + step.detail() + " " + step.caution();
        assertThat(words)
            .as(step.id())
            .doesNotContainPattern("(?i)\\b(card|button|page|click|screen|station)\\b");
      }
    }
  }
}
