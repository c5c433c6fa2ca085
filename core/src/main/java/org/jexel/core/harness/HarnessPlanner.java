package org.jexel.core.harness;

import static org.jexel.core.harness.Harness.BATTERY_MINUS;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.quantity.Figure;
import org.jexel.core.quantity.Provenance;
import org.jexel.core.rig.BrakeType;
import org.jexel.core.rig.BreakawayKit;
import org.jexel.core.rig.ControllerKind;
import org.jexel.core.rig.JointMethod;
import org.jexel.core.rig.Lamp;
import org.jexel.core.rig.LampReturn;
import org.jexel.core.rig.LampTechnology;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.Side;
import org.jexel.core.rig.YesNo;

/**
 * Plans the harness of a rig by the schools chosen for the job.
 *
 * <p>A cord from plug to box; from there every conductor takes the shortest way along the frame,
 * shares a loom with whatever goes the same way, and branches where ways part. Sizes are then
 * chosen by {@link SizeChooser}.
 */
public final class HarnessPlanner {
  /** Signal input of an electric-over-hydraulic actuator, Ω. */
  private static final double ACTUATOR_OHMS = 10_000;

  /** The part of the vehicle's run that lies before a controller at the dash. */
  private static final double AT_THE_DASH = 0.4;

  /** The same before a wireless unit, which sits at the socket. */
  private static final double AT_THE_SOCKET = 0.95;

  private static final double ZERO = 0.001;

  /** Two ends that can still be crimped, m. */
  private static final double SHORTEST_RUN = 0.1;

  private final Rig rig;
  private final Frame frame;
  private final Wiring wiring;
  private final RouteTree routes;
  private final WireSize thinnest;
  private final JointMethod joints;

  /** From the front on. */
  private final List<Lamp> lamps;

  private final boolean box;

  private HarnessPlanner(Rig rig, List<WireSize> stock) {
    this.rig = rig;
    this.wiring = new Wiring(Ratings.of(rig));
    this.frame = Frame.of(rig);
    this.routes = new RouteTree(frame, frame.part(Frame.BOX));
    this.thinnest = stock.get(0);
    this.lamps =
        rig.fittedLamps().stream()
            .sorted(Comparator.comparingDouble(Lamp::x).thenComparing(Lamp::slot))
            .toList();
    JointMethod wanted = rig.sheet().choice(RigField.JOINT_METHOD, JointMethod.class);
    this.joints = wanted.weatherproof() ? wanted : JointMethod.CRIMP;
    this.box = rig.sheet().choice(RigField.PLANNED_BOX, YesNo.class) == YesNo.YES;
  }

  /**
   * @param stock sizes on the shelf, thinnest first
   */
  public static Harness plan(Rig rig, List<WireSize> stock) {
    HarnessPlanner planner = new HarnessPlanner(rig, stock);
    planner.crossing(PinFunction.EARTH, BATTERY_MINUS);
    PinFunction.LIGHTS.stream().filter(rig::carries).forEach(planner::lights);
    planner.returns();
    planner.brakes();
    planner.charge();
    planner.wiring.problems.addAll(PlanCheck.of(rig));
    return SizeChooser.choose(planner.wiring, stock);
  }

  /** From the battery's end to the box: vehicle, pin, cord, and the cord's end in the box. */
  private void crossing(PinFunction function, String root) {
    String name = function == PinFunction.EARTH ? "earth" : function.label();
    double run = rig.sheet().si(RigField.FEED_RUN);
    if (function == PinFunction.BRAKE) {
      ControllerKind kind = rig.sheet().choice(RigField.CONTROLLER_KIND, ControllerKind.class);
      double at = kind == ControllerKind.WIRELESS ? AT_THE_SOCKET : AT_THE_DASH;
      span(name, function, Duty.VEHICLE, root, Harness.CONTROLLER_IN, at * run);
      root = Harness.CONTROLLER_OUT;
      run = (1 - at) * run;
    }
    span(name, function, Duty.VEHICLE, root, Nodes.socket(function), run);
    join(
        Nodes.pin(function),
        function.label() + " pin",
        function,
        Duty.CORD,
        Optional.empty(),
        Nodes.socket(function),
        Nodes.plug(function),
        Joint.Kind.PIN);
    double cord = rig.sheet().si(RigField.BOX_X) + rig.sheet().si(RigField.CORD_SLACK);
    span(name, function, Duty.CORD, Nodes.plug(function), Nodes.cord(function), cord);
    join(
        Nodes.cordJoint(function),
        "cord's end, " + function.label(),
        function,
        Duty.CORD,
        Optional.empty(),
        Nodes.cord(function),
        Nodes.box(function),
        box ? Joint.Kind.RING : Joint.Kind.SPLICE);
  }

  private void lights(PinFunction function) {
    List<Lamp> fed =
        lamps.stream()
            .filter(lamp -> LampLoad.amps(lamp, rig.connector()).containsKey(function))
            .toList();
    if (!fed.isEmpty()) {
      crossing(function, Nodes.switched(function));
      web(function.label(), function, fed);
      fed.forEach(lamp -> lampLoad(lamp, function));
    }
  }

  private void lampLoad(Lamp lamp, PinFunction function) {
    double amps = LampLoad.amps(lamp, rig.connector()).get(function);
    boolean led = lamp.technology() == LampTechnology.LED;
    wiring.loads.add(
        new Load(
            Nodes.lamp(function, lamp.node()),
            rig.name(lamp),
            function,
            Spot.of(lamp),
            Nodes.at(Nodes.id(function), lamp.node()),
            Nodes.earth(lamp.node()),
            LampLoad.NOMINAL_VOLTS / amps,
            amps,
            led ? Load.Kind.LED : Load.Kind.FILAMENT,
            Provenance.ASSUMED));
  }

  private void returns() {
    if (rig.sheet().choice(RigField.LAMP_RETURN, LampReturn.class) == LampReturn.OWN_CONDUCTOR) {
      web("return", PinFunction.EARTH, lamps);
      join(
          Nodes.screw(Frame.BOX),
          "box to frame",
          PinFunction.EARTH,
          Duty.RUN,
          Optional.of(frame.part(Frame.BOX)),
          Nodes.box(PinFunction.EARTH),
          Harness.FRAME,
          Joint.Kind.SCREW);
    } else {
      FrameReturn.join(rig, frame, lamps, wiring);
    }
  }

  /** A conductor from the box to every lamp: one branched web, or a home run each. */
  private void web(String name, PinFunction function, List<Lamp> fed) {
    String prefix = Nodes.id(function);
    Set<FramePoint> parts = new LinkedHashSet<>();
    // Which sides a conductor serves is known at every point that its lamps' ways pass.
    Map<FramePoint, Set<Side>> serves = new HashMap<>();
    List<RouteTree.Limb> homes = new ArrayList<>();
    for (Lamp lamp : fed) {
      FramePoint part = frame.part(lamp.node());
      List<FramePoint> way = routes.way(part);
      parts.add(part);
      homes.add(new RouteTree.Limb(way));
      way.forEach(
          point -> serves.computeIfAbsent(point, p -> EnumSet.noneOf(Side.class)).add(lamp.side()));
    }
    boolean oneSide = fed.stream().map(Lamp::side).distinct().count() == 1;
    for (RouteTree.Limb limb : joints == JointMethod.RINGS_IN_BOX ? homes : routes.limbs(parts)) {
      Set<Side> sides = serves.get(limb.to());
      String circuit =
          oneSide || sides.size() > 1 ? name : name + ", " + sides.iterator().next().label();
      limb(circuit, function, Duty.RUN, prefix, limb);
    }
  }

  /** One conductor along a limb, joined at its nearer end. */
  private void limb(
      String circuit, PinFunction function, Duty duty, String prefix, RouteTree.Limb limb) {
    boolean fromBox = limb.from().id().equals(Frame.BOX);
    String from = fromBox ? Nodes.box(function) : Nodes.at(prefix, limb.from().id());
    String to = Nodes.at(prefix, limb.to().id());
    String near = Nodes.near(to);
    join(
        Nodes.joint(to),
        (fromBox ? "in the box, " : "splice, ") + circuit,
        function,
        duty,
        Optional.of(limb.to()),
        from,
        near,
        fromBox && box ? Joint.Kind.RING : Joint.Kind.SPLICE);
    double length = RouteTree.length(limb.path());
    if (length < ZERO) {
      wiring.problems.add(
          new Problem(
              limb.to().id(),
              "%s has no length: its part sits on its own joint. %s is planned; move the part."
                  .formatted(circuit, "0.1 m (4 in)")));
    }
    wiring.spans.add(
        new Span(
            circuit,
            function,
            duty,
            near,
            to,
            Math.max(SHORTEST_RUN, length),
            thinnest,
            limb.path()));
  }

  private void brakes() {
    if (!rig.hasElectricBrakes() || !rig.carries(PinFunction.BRAKE)) {
      return;
    }
    crossing(PinFunction.BRAKE, Nodes.fused(PinFunction.BRAKE));
    if (rig.brakeType() == BrakeType.ELECTRIC_HYDRAULIC) {
      load(
          Load.ACTUATOR,
          "Actuator signal",
          PinFunction.BRAKE,
          ACTUATOR_OHMS,
          LampLoad.NOMINAL_VOLTS / ACTUATOR_OHMS,
          Load.Kind.ACTUATOR,
          Provenance.ASSUMED);
    } else {
      BrakeRuns.plan(rig, frame, wiring, this::limb);
    }
    breakaway();
  }

  /** The switch by the coupler, fed from the battery at the box and led back to the brake feed. */
  private void breakaway() {
    if (rig.sheet().choice(RigField.PLANNED_BREAKAWAY, BreakawayKit.class) == BreakawayKit.NONE) {
      return;
    }
    List<FramePoint> way = routes.way(frame.part(Frame.SWITCH));
    double length = RouteTree.length(way);
    for (String[] ends :
        new String[][] {
          {Harness.BREAKAWAY_PLUS, Harness.SWITCH_IN},
          {Harness.SWITCH_OUT, Nodes.box(PinFunction.BRAKE)}
        }) {
      wiring.spans.add(
          new Span(
              "breakaway",
              PinFunction.BRAKE,
              Duty.BREAKAWAY,
              ends[0],
              ends[1],
              length,
              thinnest,
              way));
    }
  }

  private void charge() {
    boolean actuator = rig.brakeType() == BrakeType.ELECTRIC_HYDRAULIC;
    boolean battery =
        rig.sheet().choice(RigField.PLANNED_BREAKAWAY, BreakawayKit.class) != BreakawayKit.NONE
            || rig.sheet().choice(RigField.HOUSE_BATTERY, YesNo.class) == YesNo.YES;
    if (!rig.carries(PinFunction.CHARGE) || !(actuator || battery)) {
      return;
    }
    crossing(PinFunction.CHARGE, Nodes.fused(PinFunction.CHARGE));
    Figure amps = rig.sheet().figure(RigField.CHARGE_AMPS);
    load(
        actuator ? Load.ACTUATOR_SUPPLY : "charge",
        actuator ? "Actuator supply" : "Charge feed",
        PinFunction.CHARGE,
        LampLoad.NOMINAL_VOLTS / amps.si(),
        amps.si(),
        Load.Kind.CHARGE,
        amps.provenance());
  }

  private void load(
      String name,
      String label,
      PinFunction function,
      double ohms,
      double amps,
      Load.Kind kind,
      Provenance provenance) {
    wiring.loads.add(
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

  private void join(
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
          case PIN -> Contacts.PIN;
          case RING -> Contacts.RING_ON_STUD + Contacts.CRIMP;
          case SPLICE -> joints.ohms();
          case SCREW -> Contacts.SCREW;
          case FRAME -> Contacts.FRAME_JOINT;
        };
    wiring.joints.add(new Joint(name, label, function, duty, towards, a, b, ohms, kind));
  }

  private void span(
      String circuit, PinFunction function, Duty duty, String from, String to, double length) {
    wiring.spans.add(new Span(circuit, function, duty, from, to, length, thinnest, List.of()));
  }
}
