package org.jexel.core.harness;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.quantity.Provenance;
import org.jexel.core.rig.JointMethod;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.YesNo;

/**
 * Conductors, joints and loads while a harness is being planned, all of one school: one way of
 * joining, with or without a box.
 */
final class Wiring {
  private static final double ZERO_M = 0.001;

  /** Two ends that can still be crimped, m. */
  private static final double SHORTEST_RUN_M = 0.1;

  final Ratings ratings;
  final List<Span> spans = new ArrayList<>();
  final List<Joint> joints = new ArrayList<>();
  final List<Load> loads = new ArrayList<>();
  final List<Problem> problems = new ArrayList<>();

  private final WireSize thinnest;
  private final JointMethod method;
  private final boolean box;

  /**
   * @param thinnest size that every conductor starts from
   */
  Wiring(Rig rig, WireSize thinnest) {
    this.ratings = Ratings.of(rig);
    this.thinnest = thinnest;
    JointMethod wanted = rig.sheet().choice(RigField.JOINT_METHOD, JointMethod.class);
    this.method = wanted.weatherproof() ? wanted : JointMethod.CRIMP;
    this.box = rig.sheet().choice(RigField.PLANNED_BOX, YesNo.class) == YesNo.YES;
  }

  /** Whether every conductor comes from the box by itself. */
  boolean homeRuns() {
    return method == JointMethod.RINGS_IN_BOX;
  }

  /** How a conductor ends in the box, or where the box would be. */
  Joint.Kind inTheBox() {
    return box ? Joint.Kind.RING : Joint.Kind.SPLICE;
  }

  /** One conductor along a limb, joined at its nearer end. */
  void limb(Branch branch, PinFunction function, Duty duty, String prefix, RouteTree.Limb limb) {
    boolean fromBox = limb.from().id().equals(Frame.BOX);
    String from = fromBox ? Nodes.box(function) : Nodes.at(prefix, limb.from().id());
    String to = Nodes.at(prefix, limb.to().id());
    String near = Nodes.near(to);
    join(
        Nodes.joint(to),
        (fromBox ? "in the box, " : "splice, ") + branch.label(),
        function,
        duty,
        Optional.of(limb.to()),
        from,
        near,
        fromBox ? inTheBox() : Joint.Kind.SPLICE);
    double length = RouteTree.length(limb.path());
    if (length < ZERO_M) {
      problems.add(
          new Problem(
              limb.to().id(),
              "%s has no length: its part sits on its own joint. %s is planned; move the part."
                  .formatted(branch.label(), "0.1 m (4 in)")));
    }
    spans.add(
        new Span(
            branch,
            function,
            duty,
            near,
            to,
            Math.max(SHORTEST_RUN_M, length),
            thinnest,
            limb.path()));
  }

  void span(Branch branch, PinFunction function, Duty duty, String from, String to, double length) {
    spans.add(new Span(branch, function, duty, from, to, length, thinnest, List.of()));
  }

  void join(
      String name,
      String label,
      PinFunction function,
      Duty duty,
      Optional<FramePoint> towards,
      String a,
      String b,
      Joint.Kind kind) {
    double ohms =
        switch (kind) {
          case PIN -> Contacts.PIN_OHMS;
          case RING -> Contacts.RING_ON_STUD_OHMS + Contacts.CRIMP_OHMS;
          case SPLICE -> method.ohms();
          case SCREW -> Contacts.SCREW_OHMS;
          case FRAME -> Contacts.FRAME_JOINT_OHMS;
        };
    joints.add(new Joint(name, label, function, duty, towards, a, b, ohms, kind));
  }

  void load(
      String name,
      String label,
      PinFunction function,
      double ohms,
      double amps,
      Load.Kind kind,
      Provenance provenance) {
    loads.add(
        new Load(
            name,
            label,
            function,
            Spot.BOX,
            Nodes.box(function),
            Nodes.box(PinFunction.EARTH),
            ohms,
            amps,
            kind,
            provenance));
  }

  /** A conductor with a way of its own. */
  void span(
      Branch branch,
      PinFunction function,
      Duty duty,
      String from,
      String to,
      List<FramePoint> way) {
    double length = RouteTree.length(way);
    spans.add(new Span(branch, function, duty, from, to, length, thinnest, way));
  }
}
