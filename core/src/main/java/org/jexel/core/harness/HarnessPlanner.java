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
import org.jexel.core.quantity.Must;
import org.jexel.core.quantity.Provenance;
import org.jexel.core.rig.BrakeType;
import org.jexel.core.rig.BreakawayKit;
import org.jexel.core.rig.ControllerKind;
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

  private final Rig rig;
  private final Frame frame;
  private final Wiring wiring;
  private final RouteTree routes;

  /** From the front on. */
  private final List<Lamp> lamps;

  private HarnessPlanner(Rig rig, List<WireSize> stock) {
    this.rig = rig;
    this.wiring = new Wiring(rig, stock.get(0));
    this.frame = Frame.of(rig);
    this.routes = new RouteTree(frame, frame.part(Frame.BOX));
    this.lamps =
        rig.fittedLamps().stream()
            .sorted(Comparator.comparingDouble(Lamp::x).thenComparing(Lamp::slot))
            .toList();
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
    Branch branch = Branch.feed(function);
    double run = rig.sheet().si(RigField.FEED_RUN);
    if (function == PinFunction.BRAKE) {
      ControllerKind kind = rig.controllerKind();
      double at = kind == ControllerKind.WIRELESS ? AT_THE_SOCKET : AT_THE_DASH;
      wiring.span(branch, function, Duty.VEHICLE, root, Harness.CONTROLLER_IN, at * run);
      root = Harness.CONTROLLER_OUT;
      run = (1 - at) * run;
    }
    wiring.span(branch, function, Duty.VEHICLE, root, Nodes.socket(function), run);
    wiring.join(
        Nodes.pin(function),
        function.label() + " pin",
        function,
        Duty.CORD,
        Optional.empty(),
        Nodes.socket(function),
        Nodes.plug(function),
        Joint.Kind.PIN);
    double cord = rig.sheet().si(RigField.BOX_X) + rig.sheet().si(RigField.CORD_SLACK);
    wiring.span(branch, function, Duty.CORD, Nodes.plug(function), Nodes.cord(function), cord);
    wiring.join(
        Nodes.cordJoint(function),
        "cord's end, " + function.label(),
        function,
        Duty.CORD,
        Optional.empty(),
        Nodes.cord(function),
        Nodes.box(function),
        wiring.inTheBox());
  }

  private void lights(PinFunction function) {
    List<Lamp> fed =
        lamps.stream().filter(lamp -> LampLoad.amps(lamp, rig).containsKey(function)).toList();
    if (!fed.isEmpty()) {
      crossing(function, Nodes.switched(function));
      web(Branch.feed(function), fed);
      fed.forEach(lamp -> lampLoad(lamp, function));
    }
  }

  private void lampLoad(Lamp lamp, PinFunction function) {
    Figure amps = Must.have(LampLoad.amps(lamp, rig), function);
    boolean led = lamp.technology() == LampTechnology.LED;
    wiring.loads.add(
        new Load(
            Nodes.lamp(function, lamp.node()),
            rig.name(lamp),
            function,
            Spot.of(lamp),
            Nodes.at(Nodes.id(function), lamp.node()),
            Nodes.earth(lamp.node()),
            LampLoad.NOMINAL_VOLTS / amps.si(),
            amps.si(),
            led ? Load.Kind.LED : Load.Kind.FILAMENT,
            amps.provenance()));
  }

  private void returns() {
    if (rig.sheet().choice(RigField.LAMP_RETURN, LampReturn.class) == LampReturn.OWN_CONDUCTOR) {
      web(Branch.of(Branch.Way.RETURN, PinFunction.EARTH), lamps);
      wiring.join(
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
  private void web(Branch whole, List<Lamp> fed) {
    PinFunction function = whole.function();
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
    for (RouteTree.Limb limb : wiring.homeRuns() ? homes : routes.limbs(parts)) {
      Set<Side> sides = Must.have(serves, limb.to());
      Branch branch = oneSide || sides.size() > 1 ? whole : whole.on(sides.iterator().next());
      wiring.limb(branch, function, Duty.RUN, prefix, limb);
    }
  }

  private void brakes() {
    if (!rig.hasElectricBrakes() || !rig.carries(PinFunction.BRAKE)) {
      return;
    }
    crossing(PinFunction.BRAKE, Nodes.fused(PinFunction.BRAKE));
    if (rig.brakeType() == BrakeType.ELECTRIC_HYDRAULIC) {
      wiring.load(
          Load.ACTUATOR,
          "Actuator signal",
          PinFunction.BRAKE,
          ACTUATOR_OHMS,
          LampLoad.NOMINAL_VOLTS / ACTUATOR_OHMS,
          Load.Kind.ACTUATOR,
          Provenance.ASSUMED);
    } else {
      BrakeRuns.plan(rig, frame, wiring);
    }
    breakaway();
  }

  /** The switch by the coupler, fed from the battery at the box and led back to the brake feed. */
  private void breakaway() {
    if (rig.sheet().choice(RigField.PLANNED_BREAKAWAY, BreakawayKit.class) == BreakawayKit.NONE) {
      return;
    }
    List<FramePoint> way = routes.way(frame.part(Frame.SWITCH));
    wiring.span(
        Branch.of(Branch.Way.BREAKAWAY, PinFunction.BRAKE),
        PinFunction.BRAKE,
        Duty.BREAKAWAY,
        Harness.BREAKAWAY_PLUS,
        Harness.SWITCH_IN,
        way);
    wiring.span(
        Branch.of(Branch.Way.BREAKAWAY, PinFunction.BRAKE),
        PinFunction.BRAKE,
        Duty.BREAKAWAY,
        Harness.SWITCH_OUT,
        Nodes.box(PinFunction.BRAKE),
        way);
  }

  private void charge() {
    boolean actuator = rig.brakeType() == BrakeType.ELECTRIC_HYDRAULIC;
    boolean battery =
        rig.sheet().choice(RigField.PLANNED_BREAKAWAY, BreakawayKit.class).charged()
            || rig.sheet().choice(RigField.HOUSE_BATTERY, YesNo.class) == YesNo.YES;
    if (!rig.carries(PinFunction.CHARGE) || !(actuator || battery)) {
      return;
    }
    crossing(PinFunction.CHARGE, Nodes.fused(PinFunction.CHARGE));
    Figure amps = rig.sheet().figure(RigField.CHARGE_AMPS);
    wiring.load(
        actuator ? Load.ACTUATOR_SUPPLY : "charge",
        actuator ? "Actuator supply" : "Charge feed",
        PinFunction.CHARGE,
        LampLoad.NOMINAL_VOLTS / amps.si(),
        amps.si(),
        Load.Kind.CHARGE,
        amps.provenance());
  }
}
