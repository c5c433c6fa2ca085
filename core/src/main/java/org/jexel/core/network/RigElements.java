package org.jexel.core.network;

import static org.jexel.core.harness.Harness.BATTERY_MINUS;
import static org.jexel.core.harness.Harness.BATTERY_PLUS;
import static org.jexel.core.harness.Harness.BREAKAWAY_PLUS;
import static org.jexel.core.harness.Harness.CONTROLLER_IN;
import static org.jexel.core.harness.Harness.CONTROLLER_OUT;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Contacts;
import org.jexel.core.harness.Duty;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.Joint;
import org.jexel.core.harness.LampLoad;
import org.jexel.core.harness.Load;
import org.jexel.core.harness.Nodes;
import org.jexel.core.harness.Span;
import org.jexel.core.quantity.Figure;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Provenance;
import org.jexel.core.rig.BreakawayKit;
import org.jexel.core.rig.LampFeed;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.YesNo;

/**
 * The elements of a rig while its network is made, each with its tolerance: what the vehicle, the
 * trailer and the breakaway put into it.
 */
final class RigElements {
  /** Internal resistance of a healthy starter battery with its posts, Ω. */
  private static final double BATTERY_OHMS = 0.020;

  /** Of a small sealed lead battery on the trailer, Ω, and its volts at rest. */
  private static final double SMALL_BATTERY_OHMS = 0.050;

  private static final double SMALL_BATTERY_VOLTS = 12.6;
  private static final double SMALL_BATTERY_SPREAD_VOLTS = 0.3;

  private static final double MEASURED_SUPPLY_VOLTS = 0.05;
  private static final double CONDUCTOR_SHARE = 0.03;
  private static final double DIODE_SHARE = 0.15;

  /** A load that was measured is known to the meter's own error. */
  private static final double MEASURED_LOAD_SHARE = 0.02;

  private final Rig rig;
  private final Harness harness;
  private final Map<String, Element> elements = new LinkedHashMap<>();
  private final List<Tolerance> tolerances = new ArrayList<>();

  RigElements(Rig rig, Harness harness) {
    this.rig = rig;
    this.harness = harness;
  }

  void remove(String element) {
    elements.remove(element);
  }

  void apply(List<Fault> faults) {
    FaultEdit.of(elements, faults)
        .forEach(
            (name, now) ->
                now.ifPresentOrElse(e -> elements.put(name, e), () -> elements.remove(name)));
  }

  void put(Element element) {
    if (elements.put(element.name(), element) != null) {
      throw new IllegalArgumentException("element " + element.name() + " stands twice");
    }
  }

  void vehicle(RigState state, double output) {
    RigField field =
        state.is(StateWord.RUNNING) ? RigField.RUNNING_VOLTS : RigField.ENGINE_OFF_VOLTS;
    Figure volts = rig.sheet().figure(field);
    put(
        new Element.Source(
            RigNetwork.SUPPLY, BATTERY_PLUS, BATTERY_MINUS, volts.si(), BATTERY_OHMS));
    double off =
        volts.provenance() == Provenance.MEASURED
            ? MEASURED_SUPPLY_VOLTS
            : volts.si() * field.spread();
    both(
        RigNetwork.SUPPLY,
        "battery volts",
        Tolerance.Way.SUPPLY,
        volts.si(),
        off,
        Measure.VOLTS,
        volts.provenance());
    for (PinFunction function : PinFunction.values()) {
      if (function != PinFunction.EARTH && harness.has(function)) {
        feed(function);
      }
    }
    if (harness.has(PinFunction.BRAKE)) {
      Figure drop = rig.sheet().figure(RigField.CONTROLLER_DROP);
      put(
          new Element.Converter(
              RigNetwork.CONTROLLER,
              CONTROLLER_IN,
              CONTROLLER_OUT,
              output > 0 ? output : 1,
              drop.si()));
      both(
          RigNetwork.CONTROLLER,
          "lost in the controller",
          Tolerance.Way.CONTROLLER,
          drop.si(),
          drop.si() * RigField.CONTROLLER_DROP.spread(),
          Measure.VOLTS,
          drop.provenance());
    }
    harness.spans().stream().filter(s -> s.duty() == Duty.VEHICLE).forEach(this::span);
    harness.joints().stream().filter(j -> j.kind() == Joint.Kind.PIN).forEach(this::joint);
  }

  /** Fuse, and the switch that the state works; the controller is its own switch. */
  private void feed(PinFunction function) {
    String fuse = Nodes.fuse(function);
    boolean lamps = function != PinFunction.BRAKE && function != PinFunction.CHARGE;
    LampPins pins = new LampPins(rig.sheet().choice(RigField.LAMP_FEED, LampFeed.class));
    double planned = Math.max(5, harness.protection(function));
    put(
        new Fuse(
            fuse,
            BATTERY_PLUS,
            Nodes.fused(function),
            Contacts.FUSE_HOLDER_OHMS,
            lamps ? pins.fuse(function, harness.amps(function), planned) : planned));
    contact(
        fuse, "fuse, " + function.label(), way(function, Duty.VEHICLE), Contacts.FUSE_HOLDER_OHMS);
    if (lamps) {
      String name = Nodes.switchOf(function);
      pins.feed(this, function);
      contact(name, "switch, " + function.label(), Tolerance.Way.OTHER, pins.switchOhms());
      both(
          LampPins.output(function),
          "module's output, " + function.label(),
          Tolerance.Way.OTHER,
          LampPins.MODULE_VOLTS,
          LampPins.MODULE_VOLTS_OFF,
          Measure.VOLTS,
          Provenance.ASSUMED);
    }
  }

  /** The coupler sits on the ball. */
  void hitch() {
    put(new Element.Resistor("hitch", RigNetwork.BALL, BATTERY_MINUS, RigNetwork.HITCH_OHMS));
  }

  void trailer() {
    harness.spans().stream().filter(s -> s.duty() != Duty.VEHICLE).forEach(this::span);
    harness.joints().stream().filter(j -> j.kind() != Joint.Kind.PIN).forEach(this::joint);
    harness.loads().stream().filter(l -> !l.name().equals("charge")).forEach(this::load);
  }

  void breakaway() {
    BreakawayKit kit = rig.sheet().choice(RigField.PLANNED_BREAKAWAY, BreakawayKit.class);
    boolean house = rig.sheet().choice(RigField.HOUSE_BATTERY, YesNo.class) == YesNo.YES;
    if (kit != BreakawayKit.NONE) {
      String battery = kit.ownBox() ? RigNetwork.BREAKAWAY_BATTERY : RigNetwork.HOUSE_BATTERY;
      battery(battery, BREAKAWAY_PLUS, RigNetwork.DIODE_BREAKAWAY, kit.charged());
      boolean wired = harness.spans().stream().anyMatch(s -> s.duty() == Duty.BREAKAWAY);
      if (wired) {
        String name = FaultEdit.BREAKAWAY_SWITCH;
        put(
            new Element.Resistor(
                name, Harness.SWITCH_IN, Harness.SWITCH_OUT, Contacts.SWITCH_OHMS));
        contact(name, "breakaway switch", Tolerance.Way.OTHER, Contacts.SWITCH_OHMS);
      }
    }
    if (house && kit != BreakawayKit.HOUSE_BATTERY) {
      battery(RigNetwork.HOUSE_BATTERY, "house_pos", "diode_house", true);
    }
  }

  /** A battery on the trailer, charged through an isolating diode where the feed exists. */
  private void battery(String name, String plus, String diode, boolean charged) {
    put(
        new Element.Source(
            name, plus, Nodes.box(PinFunction.EARTH), SMALL_BATTERY_VOLTS, SMALL_BATTERY_OHMS));
    both(
        name,
        name.equals(RigNetwork.HOUSE_BATTERY) ? "house battery" : "breakaway battery",
        Tolerance.Way.OTHER,
        SMALL_BATTERY_VOLTS,
        SMALL_BATTERY_SPREAD_VOLTS,
        Measure.VOLTS,
        Provenance.ASSUMED);
    if (charged && harness.has(PinFunction.CHARGE)) {
      put(new Diode(diode, Nodes.box(PinFunction.CHARGE), plus, Diode.SILICON_VOLTS));
      both(
          diode,
          "isolating diode",
          Tolerance.Way.OTHER,
          Diode.SILICON_VOLTS,
          DIODE_SHARE * Diode.SILICON_VOLTS,
          Measure.VOLTS,
          Provenance.ASSUMED);
    }
  }

  private void span(Span span) {
    // The breakaway's second lead ends at a stud, where the cord's core ends as well.
    boolean fromSwitch = span.from().equals(Harness.SWITCH_OUT);
    String name = Nodes.wire(fromSwitch ? span.from() : span.to());
    double ohms = span.ohms();
    put(new Element.Resistor(name, span.from(), span.to(), ohms));
    both(
        name,
        span.circuit() + ", " + span.duty().label(),
        way(span.function(), span.duty()),
        ohms,
        CONDUCTOR_SHARE * ohms,
        Measure.MILLIOHMS,
        Provenance.ASSUMED);
  }

  private void joint(Joint joint) {
    put(new Element.Resistor(joint.name(), joint.a(), joint.b(), joint.ohms()));
    contact(joint.name(), joint.label(), way(joint.function(), joint.duty()), joint.ohms());
  }

  private void load(Load load) {
    double nominal = load.amps();
    Measure measure = Measure.AMPS;
    switch (load.kind()) {
      case FILAMENT ->
          put(
              new Filament(
                  load.name(), load.feed(), load.back(), load.amps(), LampLoad.NOMINAL_VOLTS));
      case LED -> put(new Led(load.name(), load.feed(), load.back(), load.amps()));
      default -> {
        put(new Element.Resistor(load.name(), load.feed(), load.back(), load.ohms()));
        nominal = load.ohms();
        measure = Measure.OHMS;
      }
    }
    double share =
        load.provenance() == Provenance.MEASURED ? MEASURED_LOAD_SHARE : load.kind().tolerance();
    Tolerance.Way way =
        load.kind() == Load.Kind.MAGNET
            ? Tolerance.Way.MAGNET
            : load.isOfRearLamp() ? Tolerance.Way.REAR_LAMP : Tolerance.Way.OTHER;
    both(load.name(), load.label(), way, nominal, share * nominal, measure, load.provenance());
  }

  private static Tolerance.Way way(PinFunction function, Duty duty) {
    boolean toTheBrakes = duty == Duty.TRUNK || duty == Duty.ACROSS;
    return function == PinFunction.BRAKE || toTheBrakes
        ? Tolerance.Way.BRAKES
        : Tolerance.Way.OTHER;
  }

  private void contact(String name, String label, Tolerance.Way way, double healthy) {
    tolerances.add(
        new Tolerance(
            name,
            label,
            way,
            healthy,
            healthy,
            3 * healthy,
            Measure.MILLIOHMS,
            Provenance.ASSUMED));
  }

  private void both(
      String name,
      String label,
      Tolerance.Way way,
      double nominal,
      double off,
      Measure measure,
      Provenance from) {
    tolerances.add(new Tolerance(name, label, way, nominal, off, off, measure, from));
  }

  RigNetwork build(String ground) {
    Network network = new Network(ground);
    elements.values().forEach(network::add);
    return new RigNetwork(
        network, tolerances.stream().filter(t -> elements.containsKey(t.element())).toList());
  }
}
