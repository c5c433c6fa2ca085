package org.jexel.core.harness;

import static org.jexel.core.harness.Harness.BATTERY_MINUS;
import static org.jexel.core.harness.Harness.BATTERY_PLUS;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.quantity.Figure;
import org.jexel.core.quantity.Provenance;
import org.jexel.core.rig.BrakeType;
import org.jexel.core.rig.BreakawayKit;
import org.jexel.core.rig.FieldKey;
import org.jexel.core.rig.Lamp;
import org.jexel.core.rig.LampTechnology;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.Side;
import org.jexel.core.rig.YesNo;

/**
 * Plans the default harness of a rig.
 *
 * <p>A cord from plug to box (drawbar + 0.6 m slack); along each side of the frame one live
 * conductor for each function and one return that collects that side's lamps; a brake trunk along
 * the left rail and branches across each axle, with returns of their own to the box. Sizes are then
 * chosen by {@link SizeChooser}.
 */
public final class HarnessPlanner {
  /** Slack of the cord past the coupler, m. */
  public static final double CORD_SLACK = 0.6;

  /** Signal input of an electric-over-hydraulic actuator, Ω, and its own supply, A. */
  private static final double ACTUATOR_OHMS = 10_000;

  private static final double ACTUATOR_SUPPLY_AMPS = 30;

  /** Design current of a charge feed, A. */
  private static final double CHARGE_AMPS = 10;

  /** The part of the vehicle's run that lies before the controller. */
  private static final double CONTROLLER_AT = 0.4;

  private static final List<PinFunction> LIGHTS =
      List.of(
          PinFunction.TAIL,
          PinFunction.LEFT,
          PinFunction.RIGHT,
          PinFunction.STOP,
          PinFunction.REVERSE);

  private final Rig rig;
  private final List<Span> spans = new ArrayList<>();
  private final List<Load> loads = new ArrayList<>();
  private final WireSize thinnest;

  private HarnessPlanner(Rig rig, List<WireSize> stock) {
    this.rig = rig;
    this.thinnest = stock.get(0);
  }

  /**
   * @param stock sizes on the shelf, thinnest first
   */
  public static Harness plan(Rig rig, List<WireSize> stock) {
    HarnessPlanner planner = new HarnessPlanner(rig, stock);
    planner.earth();
    LIGHTS.stream().filter(rig::carries).forEach(planner::lights);
    planner.brakes();
    planner.charge();
    return SizeChooser.choose(planner.spans, planner.loads, stock);
  }

  private void earth() {
    vehicleAndCord(PinFunction.EARTH, BATTERY_MINUS);
    for (Side side : Side.values()) {
      collect("return, " + side.label(), PinFunction.EARTH, "earth", lampsOn(side));
    }
  }

  private void vehicleAndCord(PinFunction function, String root) {
    String id = id(function);
    double run = rig.sheet().si(RigField.FEED_RUN);
    if (function == PinFunction.BRAKE) {
      span(function.label(), function, Duty.VEHICLE, root, "ctrl_in", CONTROLLER_AT * run);
      span(
          function.label(),
          function,
          Duty.VEHICLE,
          "ctrl_in",
          "sock_" + id,
          (1 - CONTROLLER_AT) * run);
    } else {
      span(function.label(), function, Duty.VEHICLE, root, "sock_" + id, run);
    }
    span(
        function.label(),
        function,
        Duty.CORD,
        "sock_" + id,
        "box_" + id,
        rig.sheet().si(RigField.DRAWBAR_LENGTH) + CORD_SLACK);
  }

  private void lights(PinFunction function) {
    Map<Side, List<Lamp>> bySide = new LinkedHashMap<>();
    for (Side side : Side.values()) {
      List<Lamp> lamps =
          lampsOn(side).stream()
              .filter(lamp -> LampLoad.amps(lamp, rig.connector()).containsKey(function))
              .toList();
      if (!lamps.isEmpty()) {
        bySide.put(side, lamps);
      }
    }
    if (bySide.isEmpty()) {
      return;
    }
    vehicleAndCord(function, BATTERY_PLUS);
    bySide.forEach(
        (side, lamps) -> {
          String circuit =
              bySide.size() == 1 ? function.label() : function.label() + ", " + side.label();
          collect(circuit, function, id(function), lamps);
          lamps.forEach(lamp -> lampLoad(lamp, function));
        });
  }

  /** A conductor along one rail that passes every lamp in turn. */
  private void collect(String circuit, PinFunction function, String prefix, List<Lamp> lamps) {
    String from = "box_" + prefix;
    double x = rig.sheet().si(RigField.DRAWBAR_LENGTH);
    double y = 0;
    for (Lamp lamp : lamps) {
      String to = prefix + "_" + id(lamp);
      double length = Math.max(0.1, Math.abs(lamp.x() - x) + Math.abs(lamp.y() - y));
      span(circuit, function, Duty.RUN, from, to, length);
      from = to;
      x = lamp.x();
      y = lamp.y();
    }
  }

  private void lampLoad(Lamp lamp, PinFunction function) {
    double amps = LampLoad.amps(lamp, rig.connector()).get(function);
    boolean led = lamp.technology() == LampTechnology.LED;
    loads.add(
        new Load(
            "lamp_" + id(function) + "_" + id(lamp),
            lamp.role().label() + ", " + lamp.side().label(),
            function,
            id(function) + "_" + id(lamp),
            "earth_" + id(lamp),
            LampLoad.NOMINAL_VOLTS / amps,
            amps,
            led ? Load.Kind.LED : Load.Kind.FILAMENT,
            Provenance.ASSUMED));
  }

  private void brakes() {
    if (!rig.hasElectricBrakes() || !rig.carries(PinFunction.BRAKE)) {
      return;
    }
    vehicleAndCord(PinFunction.BRAKE, BATTERY_PLUS);
    if (rig.brakeType() == BrakeType.ELECTRIC_HYDRAULIC) {
      loads.add(
          new Load(
              "actuator",
              "Actuator signal",
              PinFunction.BRAKE,
              "box_brake",
              "box_earth",
              ACTUATOR_OHMS,
              LampLoad.NOMINAL_VOLTS / ACTUATOR_OHMS,
              Load.Kind.ACTUATOR,
              Provenance.ASSUMED));
      return;
    }
    double[] places = rig.axlePlaces();
    double across = 0.8 * rig.sheet().si(RigField.OVERALL_WIDTH);
    String live = "box_brake";
    String back = "box_earth";
    double x = rig.sheet().si(RigField.DRAWBAR_LENGTH);
    double sideways = across / 2;
    for (int axle : rig.brakedAxles()) {
      Figure magnet = rig.sheet().figure(new FieldKey(RigField.MAGNET_OHMS, axle));
      double length = Math.abs(places[axle] - x) + sideways;
      String near = "axle" + (axle + 1) + "_left";
      String far = "axle" + (axle + 1) + "_right";
      span("brake", PinFunction.BRAKE, Duty.TRUNK, live, "brake_" + near, length);
      span("brake return", PinFunction.EARTH, Duty.TRUNK, back, "bret_" + near, length);
      span("brake", PinFunction.BRAKE, Duty.ACROSS, "brake_" + near, "brake_" + far, across);
      span("brake return", PinFunction.EARTH, Duty.ACROSS, "bret_" + near, "bret_" + far, across);
      for (String wheel : List.of(near, far)) {
        loads.add(
            new Load(
                "magnet_" + wheel,
                "Magnet, axle " + (axle + 1) + (wheel.equals(near) ? " left" : " right"),
                PinFunction.BRAKE,
                "brake_" + wheel,
                "bret_" + wheel,
                magnet.si(),
                LampLoad.NOMINAL_VOLTS / magnet.si(),
                Load.Kind.MAGNET,
                magnet.provenance()));
      }
      live = "brake_" + near;
      back = "bret_" + near;
      x = places[axle];
      sideways = 0;
    }
  }

  private void charge() {
    boolean actuator = rig.brakeType() == BrakeType.ELECTRIC_HYDRAULIC;
    boolean battery =
        rig.sheet().choice(RigField.BREAKAWAY_KIT, BreakawayKit.class) != BreakawayKit.NONE
            || rig.sheet().choice(RigField.HOUSE_BATTERY, YesNo.class) == YesNo.YES;
    if (!rig.carries(PinFunction.CHARGE) || !(actuator || battery)) {
      return;
    }
    vehicleAndCord(PinFunction.CHARGE, BATTERY_PLUS);
    double amps = actuator ? ACTUATOR_SUPPLY_AMPS : CHARGE_AMPS;
    loads.add(
        new Load(
            "charge",
            actuator ? "Actuator supply" : "Charge feed",
            PinFunction.CHARGE,
            "box_charge",
            "box_earth",
            LampLoad.NOMINAL_VOLTS / amps,
            amps,
            Load.Kind.CHARGE,
            Provenance.ASSUMED));
  }

  private List<Lamp> lampsOn(Side side) {
    return rig.fittedLamps().stream()
        .filter(lamp -> lamp.side() == side)
        .sorted(Comparator.comparingDouble(Lamp::x).thenComparing(Lamp::slot))
        .toList();
  }

  private void span(
      String circuit, PinFunction function, Duty duty, String from, String to, double length) {
    spans.add(new Span(circuit, function, duty, from, to, length, thinnest));
  }

  /** Node-safe name of a function. */
  public static String id(PinFunction function) {
    return function.name().toLowerCase(java.util.Locale.ROOT);
  }

  private static String id(Lamp lamp) {
    return lamp.slot().replaceAll("[^A-Za-z0-9]", "_");
  }
}
