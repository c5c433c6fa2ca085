package org.jexel.core.harness;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.jexel.core.harness.FramePoint.Member;
import org.jexel.core.quantity.Must;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.rig.Lamp;
import org.jexel.core.rig.Plan;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.Side;
import org.jgrapht.Graph;
import org.jgrapht.graph.DefaultWeightedEdge;
import org.jgrapht.graph.SimpleWeightedGraph;

/**
 * The members of a trailer's frame on which looms can run, as a graph: two drawbar legs from the
 * coupler to the rails, the rails to the rear, cross-members between them, the axle tubes, and a
 * short way off the nearest member to each part. Edge weights are metres.
 */
final class Frame {
  /** Cross-members stand about this far apart, m. */
  private static final double CROSS_MEMBERS_M = 1.2;

  /** Brake backing plates sit at this share of the half width. */
  private static final double WHEEL = 0.8;

  /** Closer than this, two points on a member are one, m. */
  private static final double SAME_PLACE_M = 0.0015;

  /** A crossing between front and rear counts as so much longer when a way is chosen. */
  private static final double UNWELCOME = 1.25;

  static final String BOX = "box";
  static final String SWITCH = "switch";

  /** The hole through which the loom goes from the drawbar into the bed. */
  static final String ENTRY = "entry";

  private final Plan plan;
  private final double rail;
  private final Graph<FramePoint, DefaultWeightedEdge> graph =
      new SimpleWeightedGraph<>(DefaultWeightedEdge.class);

  /** Points of each member by their place along it; a member's ends are points too. */
  private final Map<String, TreeMap<Double, FramePoint>> members = new LinkedHashMap<>();

  private final Map<String, FramePoint> parts = new LinkedHashMap<>();
  private final Map<String, FramePoint> feet = new LinkedHashMap<>();
  private final Map<String, Double> crossAt = new LinkedHashMap<>();

  private Frame(Rig rig) {
    plan = Plan.of(rig.sheet());
    rail = plan.half() * Plan.DRAWBAR_SHARE;
    crossMembers();
    entry(rig.sheet().si(RigField.ENTRY_X), rig.sheet().si(RigField.ENTRY_Y));
    double[] axles = rig.axlePlaces();
    for (int i = 0; i < axles.length; i++) {
      axle(i, axles[i]);
    }
    attach(BOX, "box", rig.sheet().si(RigField.BOX_X), rig.sheet().si(RigField.BOX_Y));
    attach(
        SWITCH,
        "breakaway switch",
        rig.sheet().si(RigField.BREAKAWAY_X),
        rig.sheet().si(RigField.BREAKAWAY_Y));
    for (Lamp lamp : rig.fittedLamps()) {
      attach(lamp.node(), rig.name(lamp), lamp.x(), lamp.y());
    }
    members.values().forEach(this::string);
  }

  static Frame of(Rig rig) {
    return new Frame(rig);
  }

  Graph<FramePoint, DefaultWeightedEdge> graph() {
    return graph;
  }

  /** Where a part sits: box, switch, or a lamp by its node name. */
  FramePoint part(String name) {
    FramePoint point = parts.get(name);
    if (point == null) {
      throw new IllegalArgumentException("nothing on the frame is called " + name);
    }
    return point;
  }

  /** The point of a member beside which a part sits. */
  FramePoint foot(String name) {
    part(name);
    return Must.have(feet, name);
  }

  /** The backing plate of a wheel, axles counted from 0. */
  FramePoint wheel(int axle, Side side) {
    return part(Nodes.wheel(axle, side));
  }

  /** Where an axle tube passes under a rail. */
  FramePoint underRail(int axle, Side side) {
    return part("under" + (axle + 1) + "_" + side.label());
  }

  private void crossMembers() {
    for (Side side : Side.values()) {
      members.put("leg_" + side.label(), new TreeMap<>());
      members.put("rail_" + side.label(), new TreeMap<>());
    }
    FramePoint coupler = new FramePoint("coupler", Member.LEG, "coupler", 0, 0);
    double bed = plan.length() - plan.bed();
    int bays = (int) Math.max(1, Math.round(bed / CROSS_MEMBERS_M));
    for (Side side : Side.values()) {
      Must.have(members, "leg_" + side.label()).put(0.0, coupler);
      legPoint(side, plan.bed());
    }
    for (int i = 0; i <= bays; i++) {
      String name = i == 0 ? "front" : i == bays ? "rear" : "cross" + i;
      double x = plan.bed() + bed * i / bays;
      crossAt.put(name, x);
      TreeMap<Double, FramePoint> member = new TreeMap<>();
      for (Side side : Side.values()) {
        FramePoint corner = railPoint(side, x);
        member.put(corner.y(), corner);
      }
      members.put(name, member);
    }
  }

  /** The legs' looms meet at the entry hole and go on from there. */
  private void entry(double x, double y) {
    FramePoint hole = new FramePoint(ENTRY, Member.PART, "entry hole", x, y);
    parts.put(ENTRY, hole);
    for (Side side : Side.values()) {
      join(Must.have(members, "leg_" + side.label()).lastEntry().getValue(), hole);
    }
    FramePoint foot =
        Math.abs(y) >= rail - SAME_PLACE_M
            ? railPoint(y >= 0 ? Side.LEFT : Side.RIGHT, x)
            : point(Must.have(members, "front"), Member.FRONT, y, "front", plan.bed(), y);
    join(hole, foot);
  }

  private FramePoint railPoint(Side side, double x) {
    String member = "rail_" + side.label();
    double at = Math.min(plan.length(), Math.max(plan.bed(), x));
    return point(Must.have(members, member), Member.RAIL, at, member, at, side.sign() * rail);
  }

  private FramePoint legPoint(Side side, double x) {
    String member = "leg_" + side.label();
    return point(
        Must.have(members, member),
        Member.LEG,
        x,
        member,
        x,
        side.sign() * rail * Math.min(1, x / plan.bed()));
  }

  private static FramePoint point(
      TreeMap<Double, FramePoint> points,
      Member member,
      double key,
      String name,
      double x,
      double y) {
    Double near = points.floorKey(key + SAME_PLACE_M);
    if (near != null && near > key - SAME_PLACE_M) {
      return Must.have(points, near);
    }
    FramePoint made =
        new FramePoint(
            name + "_" + Math.round(1000 * Math.abs(key)) + (key < 0 ? "r" : ""),
            member,
            (y > 0 ? "left " : y < 0 ? "right " : "") + member.label(),
            x,
            y);
    points.put(key, made);
    return made;
  }

  private void axle(int index, double x) {
    String name = "axle" + (index + 1);
    TreeMap<Double, FramePoint> tube = new TreeMap<>();
    for (Side side : Side.values()) {
      FramePoint under = railPoint(side, x);
      tube.put(under.y(), under);
      parts.put("under" + (index + 1) + "_" + side.label(), under);
      double y = side.sign() * WHEEL * plan.half();
      FramePoint wheel =
          new FramePoint(
              Nodes.wheel(index, side),
              Member.PART,
              Phrase.of("axle %d %s", index + 1, side.label()),
              x,
              y);
      tube.put(y, wheel);
      parts.put(wheel.id(), wheel);
    }
    members.put(name, tube);
  }

  /** Puts a part beside the nearest member and joins it to that. */
  private void attach(String name, String label, double x, double y) {
    FramePoint part = new FramePoint(name, Member.PART, label, x, y);
    Side side = y >= 0 ? Side.LEFT : Side.RIGHT;
    FramePoint foot;
    if (x < plan.bed()) {
      foot = legPoint(side, Math.max(0, x));
      if (Math.abs(y) < Math.abs(foot.y())) {
        // Between the legs it is reached from both.
        join(part, legPoint(side == Side.LEFT ? Side.RIGHT : Side.LEFT, Math.max(0, x)));
      }
    } else if (Math.abs(y) >= rail) {
      foot = railPoint(side, x);
    } else {
      String cross =
          crossAt.entrySet().stream()
              .min(Comparator.comparingDouble(e -> Math.abs(e.getValue() - x)))
              .orElseThrow()
              .getKey();
      foot =
          point(
              Must.have(members, cross),
              cross.equals("front") ? Member.FRONT : Member.CROSS,
              y,
              cross,
              Must.have(crossAt, cross),
              y);
    }
    parts.put(name, part);
    feet.put(name, foot);
    join(part, foot);
  }

  private void string(TreeMap<Double, FramePoint> member) {
    List<FramePoint> points = new ArrayList<>(member.values());
    for (int i = 1; i < points.size(); i++) {
      join(points.get(i - 1), points.get(i));
    }
  }

  private void join(FramePoint a, FramePoint b) {
    graph.addVertex(a);
    graph.addVertex(b);
    if (!a.equals(b) && !graph.containsEdge(a, b)) {
      DefaultWeightedEdge edge = graph.addEdge(a, b);
      graph.setEdgeWeight(edge, metres(a, b) * (crossing(a, b) ? UNWELCOME : 1));
    }
  }

  /** Length of loom between two neighbouring points, m. */
  static double metres(FramePoint a, FramePoint b) {
    boolean leg = onLeg(a) || onLeg(b);
    return leg ? Math.hypot(a.x() - b.x(), a.y() - b.y()) : a.to(b);
  }

  /** The coupler is where the legs begin, and on neither. */
  static boolean onLeg(FramePoint point) {
    return point.member() == Member.LEG && point.x() > 0;
  }

  /** Across the bed between front and rear, under the load or on an axle that moves. */
  private boolean crossing(FramePoint a, FramePoint b) {
    boolean sideways = Math.abs(a.x() - b.x()) < SAME_PLACE_M && Math.abs(a.y() - b.y()) > rail;
    return sideways && a.x() > plan.bed() + SAME_PLACE_M && a.x() < plan.length() - SAME_PLACE_M;
  }
}
