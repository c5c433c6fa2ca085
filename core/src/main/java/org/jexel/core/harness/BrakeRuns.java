package org.jexel.core.harness;

import java.util.List;
import java.util.Optional;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.quantity.Figure;
import org.jexel.core.rig.BrakeFeed;
import org.jexel.core.rig.FieldKey;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.Side;

/**
 * Conductors to the magnets, live and return alike: one trunk along the left rail that crosses each
 * axle, one run per side, or a ring that joins both sides at the rear axle. Returns are always
 * conductors of their own.
 */
final class BrakeRuns {
  /** The conductors' own words. */
  private static final String LIVE = "brake";

  private static final String RETURN = "bret";

  private final Frame frame;
  private final Wiring wiring;

  private BrakeRuns(Frame frame, Wiring wiring) {
    this.frame = frame;
    this.wiring = wiring;
  }

  static void plan(Rig rig, Frame frame, Wiring wiring) {
    BrakeRuns runs = new BrakeRuns(frame, wiring);
    BrakeFeed feed = rig.sheet().choice(RigField.BRAKE_FEED, BrakeFeed.class);
    int[] axles = rig.brakedAxles();
    if (feed == BrakeFeed.TRUNK) {
      runs.trunk(axles, Side.LEFT, Optional.empty());
    } else {
      for (Side side : Side.values()) {
        runs.trunk(axles, side, Optional.of(side));
      }
      if (feed == BrakeFeed.RING) {
        runs.close(axles[axles.length - 1]);
      }
    }
    for (int axle : axles) {
      Figure magnet = rig.sheet().figure(new FieldKey(RigField.MAGNET_OHMS, axle));
      for (Side side : Side.values()) {
        wiring.loads.add(runs.wheelLoad(axle, side, magnet));
      }
    }
  }

  /** Along one rail from axle to axle, with a branch to the wheels there. */
  private void trunk(int[] axles, Side rail, Optional<Side> served) {
    FramePoint from = frame.part(Frame.BOX);
    for (int axle : axles) {
      FramePoint under = frame.underRail(axle, rail);
      both(served, Duty.TRUNK, new RouteTree(frame, from).way(under));
      for (Side side : Side.values()) {
        if (side == rail || served.isEmpty()) {
          both(served, Duty.ACROSS, new RouteTree(frame, under).way(frame.wheel(axle, side)));
        }
      }
      from = under;
    }
  }

  private void both(Optional<Side> served, Duty duty, List<FramePoint> way) {
    RouteTree.Limb limb = new RouteTree.Limb(way);
    wiring.limb(
        new Branch(Branch.Way.FEED, PinFunction.BRAKE, served),
        PinFunction.BRAKE,
        duty,
        LIVE,
        limb);
    wiring.limb(
        new Branch(Branch.Way.BRAKE_RETURN, PinFunction.EARTH, served),
        PinFunction.EARTH,
        duty,
        RETURN,
        limb);
  }

  /** The link across the rear axle that makes a ring of two runs. */
  private void close(int axle) {
    FramePoint left = frame.underRail(axle, Side.LEFT);
    FramePoint right = frame.underRail(axle, Side.RIGHT);
    List<FramePoint> way = new RouteTree(frame, left).way(right);
    for (PinFunction function : List.of(PinFunction.BRAKE, PinFunction.EARTH)) {
      boolean live = function == PinFunction.BRAKE;
      String conductor = live ? LIVE : RETURN;
      Branch branch = Branch.of(live ? Branch.Way.RING : Branch.Way.RING_RETURN, function);
      String end = Nodes.at(conductor, "ring");
      for (FramePoint point : List.of(left, right)) {
        String at = end + (point == left ? "_left" : "_right");
        boolean nearer = point == left;
        wiring.joints.add(
            new Joint(
                Nodes.joint(at),
                "splice, " + branch.label(),
                function,
                Duty.ACROSS,
                Optional.of(point),
                nearer ? Nodes.at(conductor, point.id()) : at,
                nearer ? at : Nodes.at(conductor, point.id()),
                Contacts.CRIMP_OHMS,
                Joint.Kind.SPLICE));
      }
      wiring.spans.add(
          new Span(
              branch,
              function,
              Duty.ACROSS,
              end + "_left",
              end + "_right",
              RouteTree.length(way),
              wiring.spans.get(0).size(),
              way));
    }
  }

  private Load wheelLoad(int axle, Side side, Figure ohms) {
    String wheel = frame.wheel(axle, side).id();
    Spot spot = Spot.wheel(axle, side);
    return new Load(
        Nodes.magnet(axle, side),
        "Magnet, " + spot.wheelLabel(),
        PinFunction.BRAKE,
        spot,
        Nodes.at(LIVE, wheel),
        Nodes.at(RETURN, wheel),
        ohms.si(),
        LampLoad.NOMINAL_VOLTS / ohms.si(),
        Load.Kind.MAGNET,
        ohms.provenance());
  }
}
