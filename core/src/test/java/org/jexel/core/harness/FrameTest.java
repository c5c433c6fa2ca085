package org.jexel.core.harness;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.assertj.core.data.Offset;
import org.jexel.core.Rigs;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.quantity.Term;
import org.jexel.core.rig.Lamp;
import org.jexel.core.rig.LampRole;
import org.jexel.core.rig.LampTechnology;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.RigSheet;
import org.jexel.core.rig.Side;
import org.jgrapht.Graphs;
import org.jgrapht.alg.connectivity.ConnectivityInspector;
import org.jgrapht.graph.DefaultWeightedEdge;
import org.junit.jupiter.api.Test;

/**
 * The members of one frame, drawn on paper: drawbar 1.50 m, 4.90 m long, 2.00 m wide. The rails run
 * 0.62 m beside the middle, and the bed of 3.40 m has three bays of 1.133 m.
 */
class FrameTest {
  private static final double TO_A_TENTH_MM = 1e-4;
  private static final double FIRST_CROSS = 1.5 + 3.4 / 3;

  private static RigSheet sheet(Object... more) {
    Object[] outline = {
      RigField.AXLE_COUNT, 1,
      RigField.BRAKE_TYPE, "ELECTRIC",
      RigField.TRAILER_CONNECTOR, "blade-7",
      RigField.TOW_CONNECTOR, "blade-7",
      RigField.DRAWBAR_LENGTH, 1.5,
      RigField.OVERALL_LENGTH, 4.9,
      RigField.OVERALL_WIDTH, 2.0,
      RigField.BOX_X, 1.0,
      RigField.BOX_Y, 0.1,
      RigField.BREAKAWAY_X, 0.5,
      RigField.BREAKAWAY_Y, -0.3,
      RigField.ENTRY_X, 1.5,
      RigField.ENTRY_Y, 0.3
    };
    return Rigs.sheet(Stream.of(outline, more).flatMap(Stream::of).toArray());
  }

  private static Lamp lamp(String slot, LampRole role, double x, double y) {
    return new Lamp(
        slot,
        role,
        y < 0 ? Side.RIGHT : Side.LEFT,
        x,
        y,
        LampTechnology.FILAMENT,
        Lamp.State.PRESENT,
        "",
        true);
  }

  private static final Lamp REAR = lamp("rear-left", LampRole.COMBINED, 4.9, 0.9);
  private static final Lamp MARKER = lamp("marker", LampRole.SIDE_MARKER, 3.0, -1.0);
  private static final Lamp UNDER = lamp("under", LampRole.REVERSE, 3.0, 0.2);
  private static final Lamp PLATE = lamp("plate", LampRole.PLATE, 4.8, 0.0);

  private static Rig rig(Object... more) {
    return new Rig(sheet(more), List.of(REAR, MARKER, UNDER, PLATE), List.of());
  }

  private final Rig rig = rig();
  private final Frame frame = Frame.of(rig);
  private final double axle = rig.axlePlaces()[0];

  private FramePoint at(double x, double y) {
    return frame.graph().vertexSet().stream()
        .filter(p -> p.member() != FramePoint.Member.PART)
        .filter(p -> (p.member() == FramePoint.Member.LEG) == (x < 1.5))
        .filter(p -> Math.hypot(p.x() - x, p.y() - y) < 1e-9)
        .findFirst()
        .orElseThrow(() -> new AssertionError("no point at " + x + ", " + y));
  }

  /** Where a leg ends below the rail's corner: looms go from it to the entry hole. */
  private FramePoint legEnd(Side side) {
    return frame.graph().vertexSet().stream()
        .filter(p -> p.id().equals("leg_" + side.label() + "_1500"))
        .findFirst()
        .orElseThrow();
  }

  private double weight(FramePoint a, FramePoint b) {
    DefaultWeightedEdge edge = frame.graph().getEdge(a, b);
    assertThat(edge).as("%s to %s", a.id(), b.id()).isNotNull();
    return frame.graph().getEdgeWeight(edge);
  }

  private static Offset<Double> exactly() {
    return within(TO_A_TENTH_MM);
  }

  @Test
  void twoLegsOpenFromTheCouplerToTheRailsAndLoomsOnThemRunSlanted() {
    FramePoint coupler = at(0, 0);
    // The switch outside the right leg and the box between both cut the legs at 0.5 m and 1.0 m.
    assertThat(weight(coupler, at(0.5, -0.62 / 3))).isCloseTo(Math.hypot(0.5, 0.62 / 3), exactly());
    assertThat(weight(coupler, at(1.0, 1.24 / 3))).isCloseTo(Math.hypot(1, 1.24 / 3), exactly());
    assertThat(weight(at(1.0, 1.24 / 3), legEnd(Side.LEFT)))
        .isCloseTo(Math.hypot(0.5, 0.62 / 3), exactly());
    assertThat(Frame.onLeg(coupler)).isFalse();
  }

  @Test
  void betweenTheLegsABoxIsReachedFromBothAndASwitchOutsideFromItsOwnAlone() {
    FramePoint box = frame.part(Frame.BOX);
    assertThat(weight(box, at(1.0, 1.24 / 3))).isCloseTo(1.24 / 3 - 0.1, exactly());
    assertThat(weight(box, at(1.0, -1.24 / 3))).isCloseTo(1.24 / 3 + 0.1, exactly());
    assertThat(frame.foot(Frame.BOX)).isEqualTo(at(1.0, 1.24 / 3));
    FramePoint pin = frame.part(Frame.SWITCH);
    assertThat(frame.graph().degreeOf(pin)).isEqualTo(1);
    assertThat(weight(pin, at(0.5, -0.62 / 3))).isCloseTo(0.3 - 0.62 / 3, exactly());
  }

  @Test
  void theBedHasCrossMembersAboutEveryOnePointTwoMetres() {
    Set<Double> left = new TreeSet<>();
    frame.graph().vertexSet().stream()
        .filter(p -> Math.abs(p.y() - 0.62) < 1e-9 && p.member() == FramePoint.Member.RAIL)
        .forEach(p -> left.add(Math.rint(1000 * p.x()) / 1000));
    assertThat(left).containsExactly(1.5, 2.633, Math.rint(1000 * axle) / 1000, 3.767, 4.9);
  }

  @Test
  void acrossBetweenFrontAndRearCountsAQuarterMoreAndAtTheEndsDoesNot() {
    // Nothing sits on the second cross-member, so one edge spans it from rail to rail.
    double second = 1.5 + 2 * 3.4 / 3;
    assertThat(weight(at(second, -0.62), at(second, 0.62))).isCloseTo(1.25 * 1.24, exactly());
    // The lamp under the bed cuts the first one: 0.82 m are a crossing, 0.42 m are not.
    assertThat(weight(at(FIRST_CROSS, -0.62), at(FIRST_CROSS, 0.2)))
        .isCloseTo(1.25 * 0.82, exactly());
    assertThat(weight(at(FIRST_CROSS, 0.2), at(FIRST_CROSS, 0.62))).isCloseTo(0.42, exactly());
    assertThat(weight(at(1.5, -0.62), at(1.5, 0.3))).isCloseTo(0.92, exactly());
    assertThat(weight(at(4.9, -0.62), at(4.9, 0.0))).isCloseTo(0.62, exactly());
    assertThat(weight(frame.underRail(0, Side.RIGHT), frame.underRail(0, Side.LEFT)))
        .isCloseTo(1.25 * 1.24, exactly());
  }

  @Test
  void partsHangOnTheNearestMember() {
    FramePoint rear = frame.part(REAR.node());
    assertThat(frame.foot(REAR.node())).isEqualTo(at(4.9, 0.62));
    assertThat(weight(rear, at(4.9, 0.62))).isCloseTo(0.28, exactly());
    assertThat(weight(frame.part(MARKER.node()), at(3.0, -0.62))).isCloseTo(0.38, exactly());
    assertThat(weight(frame.part(UNDER.node()), at(FIRST_CROSS, 0.2)))
        .isCloseTo(3.0 - FIRST_CROSS, exactly());
    assertThat(weight(frame.part(PLATE.node()), at(4.9, 0))).isCloseTo(0.1, exactly());
  }

  @Test
  void wheelsSitOnTheirTubeOutsideTheRails() {
    for (Side side : Side.values()) {
      FramePoint wheel = frame.wheel(0, side);
      assertThat(wheel.x()).isEqualTo(axle);
      assertThat(wheel.y()).isCloseTo(0.8 * side.sign(), exactly());
      assertThat(weight(wheel, frame.underRail(0, side))).isCloseTo(0.18, exactly());
      assertThat(frame.graph().degreeOf(wheel)).isEqualTo(1);
    }
    assertThat(frame.wheel(0, Side.LEFT).label()).isEqualTo("axle 1 left");
  }

  @Test
  void bothLegsLeadToTheEntryHoleAndOnFromThere() {
    FramePoint hole = frame.part(Frame.ENTRY);
    assertThat(weight(hole, at(1.5, 0.3))).isZero();
    assertThat(weight(hole, legEnd(Side.LEFT))).isCloseTo(0.32, exactly());
    assertThat(weight(hole, legEnd(Side.RIGHT))).isCloseTo(0.92, exactly());
    // Beside or outside a rail the hole leads onto that rail.
    Frame beside = Frame.of(rig(RigField.ENTRY_X, 1.8, RigField.ENTRY_Y, -0.9));
    assertThat(
            beside.graph().edgesOf(beside.part(Frame.ENTRY)).stream()
                .map(
                    edge ->
                        Graphs.getOppositeVertex(beside.graph(), edge, beside.part(Frame.ENTRY)))
                .map(p -> Math.rint(100 * p.x()) / 100 + " " + p.y()))
        .containsExactlyInAnyOrder("1.5 0.62", "1.5 -0.62", "1.8 -0.62");
  }

  @Test
  void nothingOfTheFrameIsLooseAndNoTwoPlacesShareAName() {
    assertThat(new ConnectivityInspector<>(frame.graph()).isConnected()).isTrue();
    Set<String> ids = new HashSet<>();
    frame.graph().vertexSet().forEach(p -> assertThat(ids.add(p.id())).as(p.id()).isTrue());
    assertThat(ids).allMatch(id -> id.matches("[a-z0-9_]+"));
  }

  @Test
  void twoPartsOnOneSpotShareItsPoint() {
    Frame close =
        Frame.of(
            new Rig(
                sheet(),
                List.of(
                    lamp("one", LampRole.SIDE_MARKER, 3.0, 1.0),
                    lamp("two", LampRole.SIDE_MARKER, 3.001, 1.0),
                    lamp("three", LampRole.SIDE_MARKER, 3.003, 1.0)),
                List.of()));
    assertThat(close.foot(lamp("two", LampRole.SIDE_MARKER, 3, 1).node()))
        .isEqualTo(close.foot(lamp("one", LampRole.SIDE_MARKER, 3, 1).node()));
    assertThat(close.foot(lamp("three", LampRole.SIDE_MARKER, 3, 1).node()))
        .isNotEqualTo(close.foot(lamp("one", LampRole.SIDE_MARKER, 3, 1).node()));
  }

  /** 0.3 mΩ a metre, 5 mΩ where the drawbar is bolted on, 3 mΩ a screw, 5 mΩ more on a skin. */
  @Test
  void theFrameAsAReturnHasItsMetresItsBoltsAndItsScrews() {
    Map<String, Double> joints = joints("STEEL", "STEEL");
    assertThat(joints).containsEntry("screw_box", 0.003);
    assertThat(joints.get("screw_" + REAR.node())).isCloseTo(0.003, within(1e-9));
    assertThat(joints("STEEL", "ALUMINIUM").get("screw_" + REAR.node()))
        .isCloseTo(0.008, within(1e-9));
    assertThat(between(joints, at(1.0, 1.24 / 3), legEnd(Side.LEFT)))
        .isCloseTo(0.0003 * Math.hypot(0.5, 0.62 / 3), within(1e-9));
    assertThat(between(joints, legEnd(Side.LEFT), frame.part(Frame.ENTRY)))
        .isCloseTo(0.0003 * 0.32 + 0.005, within(1e-9));
    assertThat(between(joints, at(3.767 - 0.000333333, 0.62), at(4.9, 0.62)))
        .isCloseTo(0.0003 * 3.4 / 3, within(1e-7));
  }

  private Map<String, Double> joints(String frameMetal, String body) {
    Rig byFrame =
        rig(
            RigField.LAMP_RETURN, "FRAME",
            RigField.FRAME_MATERIAL, frameMetal,
            RigField.BODY_MATERIAL, body);
    Map<String, Double> ohms = new HashMap<>();
    for (Joint joint : HarnessPlanner.plan(byFrame, WireSize.GAUGES).joints()) {
      if (joint.function() == PinFunction.EARTH) {
        assertThat(ohms.put(joint.name(), joint.ohms())).as(joint.name()).isNull();
      }
    }
    return ohms;
  }

  /**
   * What the lamps lose is copper out and frame back: the sum tells the frame as a line of its own,
   * and a frame of many bolts loses more than its copper would.
   */
  @Test
  void theDropOfALampThatReturnsByTheFrameHasTheFrameInIt() {
    Rig byFrame = rig(RigField.LAMP_RETURN, "FRAME", RigField.BODY_MATERIAL, "ALUMINIUM");
    Circuit left =
        HarnessPlanner.plan(byFrame, WireSize.GAUGES).circuits().stream()
            .filter(c -> c.name().equals("left"))
            .findFirst()
            .orElseThrow();
    Term back =
        left.sum().terms().stream()
            .filter(t -> t.meaning().startsWith("frame and earth screws"))
            .findFirst()
            .orElseThrow();
    // The left lamp's 2.1 A through its screw on the skin, 8 mΩ, and everything's through the
    // box's.
    assertThat(back.si()).isBetween(2.1 * 0.008 + 5 * 0.003, 0.1);
    double all = left.sum().terms().stream().mapToDouble(Term::si).sum();
    assertThat(left.drop()).isCloseTo(all, within(1e-9));
    assertThat(HarnessPlanner.plan(rig(), WireSize.GAUGES).circuits())
        .allSatisfy(
            c -> assertThat(c.sum().terms()).noneMatch(t -> t.meaning().startsWith("frame and")));
  }

  private static double between(Map<String, Double> joints, FramePoint a, FramePoint b) {
    Double there = joints.get("frame_" + a.id() + "_to_" + b.id());
    Double back = joints.get("frame_" + b.id() + "_to_" + a.id());
    assertThat((there == null) != (back == null)).as("%s, %s", a.id(), b.id()).isTrue();
    return there == null ? back : there;
  }
}
