package org.jexel.core.harness;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.rig.Lamp;
import org.jexel.core.rig.Material;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jgrapht.graph.DefaultWeightedEdge;

/**
 * The frame as the lamps' return: 0.3 mΩ a metre of member, 5 mΩ where the drawbar is bolted to the
 * bed, an earth screw at every lamp and at the box, and one more joint at each lamp that sits on a
 * skin which is not the frame's own metal.
 */
final class FrameReturn {
  /** Two points on one spot are still joined by some metal, m. */
  private static final double SHORTEST_M = 0.01;

  private FrameReturn() {}

  static void join(Rig rig, Frame frame, List<Lamp> lamps, Wiring wiring) {
    Set<String> used = new LinkedHashSet<>();
    FramePoint box = frame.foot(Frame.BOX);
    RouteTree ways = new RouteTree(frame, box);
    boolean skin =
        rig.sheet().choice(RigField.BODY_MATERIAL, Material.class)
            != rig.sheet().choice(RigField.FRAME_MATERIAL, Material.class);
    add(
        wiring,
        Nodes.screw(Frame.BOX),
        "box to frame",
        Nodes.box(PinFunction.EARTH),
        node(box, box),
        Contacts.SCREW_OHMS,
        Joint.Kind.SCREW);
    for (Lamp lamp : lamps) {
      FramePoint foot = frame.foot(lamp.node());
      List<FramePoint> way = ways.way(foot);
      for (int i = 1; i < way.size(); i++) {
        member(frame, box, way.get(i - 1), way.get(i), used, wiring);
      }
      add(
          wiring,
          Nodes.screw(lamp.node()),
          "earth screw, " + lamp.role().label() + " " + lamp.side().label(),
          node(foot, box),
          Nodes.earth(lamp.node()),
          Contacts.SCREW_OHMS + (skin ? Contacts.FRAME_JOINT_OHMS : 0),
          Joint.Kind.SCREW);
    }
    // What joins two used points carries as well, used or not: rails are closed by their members.
    for (DefaultWeightedEdge edge : frame.graph().edgeSet()) {
      FramePoint a = frame.graph().getEdgeSource(edge);
      FramePoint b = frame.graph().getEdgeTarget(edge);
      if (used.contains(a.id()) && used.contains(b.id())) {
        member(frame, box, a, b, used, wiring);
      }
    }
  }

  private static void member(
      Frame frame, FramePoint box, FramePoint a, FramePoint b, Set<String> used, Wiring wiring) {
    used.add(a.id());
    used.add(b.id());
    String name = "frame_" + a.id() + "_to_" + b.id();
    String reverse = "frame_" + b.id() + "_to_" + a.id();
    if (wiring.joints.stream().anyMatch(j -> j.name().equals(name) || j.name().equals(reverse))) {
      return;
    }
    double metres = Frame.metres(a, b);
    boolean bolted = Frame.onLeg(a) != Frame.onLeg(b);
    add(
        wiring,
        name,
        "frame, " + a.id() + " to " + b.id(),
        node(a, box),
        node(b, box),
        Contacts.FRAME_OHMS_PER_M * Math.max(SHORTEST_M, metres)
            + (bolted ? Contacts.FRAME_JOINT_OHMS : 0),
        Joint.Kind.FRAME);
  }

  private static String node(FramePoint point, FramePoint box) {
    return point.equals(box) ? Harness.FRAME : "frame_" + point.id();
  }

  private static void add(
      Wiring wiring, String name, String label, String a, String b, double ohms, Joint.Kind kind) {
    wiring.joints.add(
        new Joint(name, label, PinFunction.EARTH, Duty.RUN, Optional.empty(), a, b, ohms, kind));
  }
}
