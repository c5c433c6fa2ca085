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
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.YesNo;

/**
 * The network of a rig with its harness, in one state and with any faults; each element with its
 * tolerance. The one place where rig + harness + state + faults become a network.
 *
 * <p>Faults are put into the whole rig first; then the state opens what is not switched on: lamp
 * switches, the controller, the breakaway switch, the pins of a plug that is out.
 *
 * <p>Tolerances at two standard deviations: magnets ±10 %, filament lamps ±15 %, LED ±30 %,
 * conductors ±3 %, contacts 0–4 × healthy, supply ±0.05 V when measured and ±3 % when assumed.
 *
 * @param network ready to solve
 * @param tolerances one for each uncertain element
 */
public record RigNetwork(Network network, List<Tolerance> tolerances) {
  public static final String SUPPLY = "battery";
  public static final String CONTROLLER = "controller";
  public static final String BENCH = "bench";

  /** The batteries on the trailer, and the diode that isolates the first. */
  static final String BREAKAWAY_BATTERY = "breakaway_battery";

  static final String HOUSE_BATTERY = "house_battery";
  static final String DIODE_BREAKAWAY = "diode_breakaway";

  /** Test leads and clips of a bench supply, Ω, and their fuse, A. */
  private static final double LEAD_OHMS = 0.05;

  private static final double BENCH_FUSE = 20;

  /** Internal resistance of a healthy starter battery with its posts, Ω. */
  private static final double BATTERY_OHMS = 0.020;

  /** Of a small sealed lead battery on the trailer, Ω, and its volts at rest. */
  private static final double SMALL_BATTERY_OHMS = 0.050;

  private static final double SMALL_BATTERY_VOLTS = 12.6;
  private static final double SMALL_BATTERY_SPREAD = 0.3;

  /** Greasy ball and tyres: no return, but the trailer's metal never floats quite free, Ω. */
  private static final double COUPLING_OHMS = 1e6;

  private static final double MEASURED_SUPPLY = 0.05;
  private static final double CONDUCTOR = 0.03;
  private static final double DIODE = 0.15;

  /** A load that was measured is known to the meter's own error. */
  private static final double MEASURED_LOAD = 0.02;

  /** Rig and vehicle together, ground at the battery's minus post. */
  public static RigNetwork of(Rig rig, Harness harness, RigState state) {
    return of(rig, harness, state, List.of());
  }

  /**
   * @throws IllegalArgumentException if a fault names a part that this rig has not
   */
  public static RigNetwork of(Rig rig, Harness harness, RigState state, List<Fault> faults) {
    double leak =
        faults.stream()
            .filter(fault -> fault.kind() == Fault.Kind.SIGNAL)
            .mapToDouble(fault -> state.gain() * fault.amount())
            .max()
            .orElse(0);
    double output = Math.min(1, Math.max(state.output(), leak));
    Builder builder = new Builder(rig, harness);
    builder.vehicle(state, output);
    builder.trailer();
    builder.breakaway();
    builder.put(new Element.Resistor("coupling", Harness.FRAME, BATTERY_MINUS, COUPLING_OHMS));
    faults.forEach(fault -> FaultEdit.apply(builder.elements, fault));
    for (PinFunction function : PinFunction.values()) {
      if (!state.feeds(function, rig.connector())) {
        builder.elements.remove(Nodes.switchOf(function));
      }
    }
    if (output == 0) {
      builder.elements.remove(CONTROLLER);
      builder.elements.remove(Load.ACTUATOR_SUPPLY);
    }
    if (!state.is(StateWord.BREAKAWAY)) {
      builder.elements.remove(FaultEdit.BREAKAWAY_SWITCH);
    }
    if (state.is(StateWord.UNPLUGGED)) {
      harness.joints().stream()
          .filter(joint -> joint.kind() == Joint.Kind.PIN)
          .forEach(joint -> builder.elements.remove(joint.name()));
    }
    return builder.build(BATTERY_MINUS);
  }

  /** Every element of the rig, switched on or not. */
  public static Network whole(Rig rig, Harness harness) {
    Builder builder = new Builder(rig, harness);
    builder.vehicle(RigState.of(), 1);
    builder.trailer();
    builder.breakaway();
    return builder.build(BATTERY_MINUS).network();
  }

  /** The trailer alone with nothing that feeds it, for an ohmmeter; ground at its earth pin. */
  public static RigNetwork dead(Rig rig, Harness harness) {
    Builder builder = new Builder(rig, harness);
    builder.trailer();
    builder.elements.remove(Load.ACTUATOR_SUPPLY);
    return builder.build(Nodes.plug(PinFunction.EARTH));
  }

  /**
   * The trailer alone, fed on one pin of its plug from a bench supply through a fused lead.
   *
   * @param volts of the supply
   */
  public static RigNetwork onTheBench(
      Rig rig, Harness harness, PinFunction function, double volts, List<Fault> faults) {
    String pin = Nodes.plug(function);
    String earth = Nodes.plug(PinFunction.EARTH);
    Builder builder = new Builder(rig, harness);
    builder.trailer();
    builder.breakaway();
    builder.put(new Element.Source(BENCH, "bench_pos", earth, volts, LEAD_OHMS));
    builder.put(new Fuse("fuse_bench", "bench_pos", pin, Contacts.FUSE_HOLDER, BENCH_FUSE));
    faults.forEach(fault -> FaultEdit.apply(builder.elements, fault));
    if (function != PinFunction.BRAKE) {
      builder.elements.remove(Load.ACTUATOR_SUPPLY);
    }
    builder.elements.remove(FaultEdit.BREAKAWAY_SWITCH);
    return builder.build(earth);
  }

  private static final class Builder {
    private final Rig rig;
    private final Harness harness;
    private final Map<String, Element> elements = new LinkedHashMap<>();
    private final List<Tolerance> tolerances = new ArrayList<>();

    private Builder(Rig rig, Harness harness) {
      this.rig = rig;
      this.harness = harness;
    }

    private void put(Element element) {
      if (elements.put(element.name(), element) != null) {
        throw new IllegalArgumentException("element " + element.name() + " stands twice");
      }
    }

    private void vehicle(RigState state, double output) {
      Figure volts =
          rig.sheet()
              .figure(
                  state.is(StateWord.RUNNING) ? RigField.RUNNING_VOLTS : RigField.ENGINE_OFF_VOLTS);
      put(new Element.Source(SUPPLY, BATTERY_PLUS, BATTERY_MINUS, volts.si(), BATTERY_OHMS));
      double off =
          volts.provenance() == Provenance.MEASURED
              ? MEASURED_SUPPLY
              : volts.si() * RigField.ENGINE_OFF_VOLTS.spread();
      both(
          SUPPLY,
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
                CONTROLLER, CONTROLLER_IN, CONTROLLER_OUT, output > 0 ? output : 1, drop.si()));
        both(
            CONTROLLER,
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
      put(
          new Fuse(
              fuse,
              BATTERY_PLUS,
              Nodes.fused(function),
              Contacts.FUSE_HOLDER,
              Math.max(5, harness.protection(function))));
      contact(fuse, "fuse, " + function.label(), way(function, Duty.VEHICLE), Contacts.FUSE_HOLDER);
      if (function != PinFunction.BRAKE && function != PinFunction.CHARGE) {
        String name = Nodes.switchOf(function);
        put(
            new Element.Resistor(
                name, Nodes.fused(function), Nodes.switched(function), Contacts.SWITCH));
        contact(name, "switch, " + function.label(), Tolerance.Way.OTHER, Contacts.SWITCH);
      }
    }

    private void trailer() {
      harness.spans().stream().filter(s -> s.duty() != Duty.VEHICLE).forEach(this::span);
      harness.joints().stream().filter(j -> j.kind() != Joint.Kind.PIN).forEach(this::joint);
      harness.loads().stream().filter(l -> !l.name().equals("charge")).forEach(this::load);
    }

    private void breakaway() {
      BreakawayKit kit = rig.sheet().choice(RigField.PLANNED_BREAKAWAY, BreakawayKit.class);
      boolean house = rig.sheet().choice(RigField.HOUSE_BATTERY, YesNo.class) == YesNo.YES;
      if (kit != BreakawayKit.NONE) {
        String battery = kit == BreakawayKit.OWN_BATTERY ? BREAKAWAY_BATTERY : HOUSE_BATTERY;
        battery(battery, BREAKAWAY_PLUS, DIODE_BREAKAWAY);
        boolean wired = harness.spans().stream().anyMatch(s -> s.duty() == Duty.BREAKAWAY);
        if (wired) {
          String name = FaultEdit.BREAKAWAY_SWITCH;
          put(new Element.Resistor(name, Harness.SWITCH_IN, Harness.SWITCH_OUT, Contacts.SWITCH));
          contact(name, "breakaway switch", Tolerance.Way.OTHER, Contacts.SWITCH);
        }
      }
      if (house && kit != BreakawayKit.HOUSE_BATTERY) {
        battery(HOUSE_BATTERY, "house_pos", "diode_house");
      }
    }

    /** A battery on the trailer, charged through an isolating diode where the feed exists. */
    private void battery(String name, String plus, String diode) {
      put(
          new Element.Source(
              name, plus, Nodes.box(PinFunction.EARTH), SMALL_BATTERY_VOLTS, SMALL_BATTERY_OHMS));
      both(
          name,
          name.equals(HOUSE_BATTERY) ? "house battery" : "breakaway battery",
          Tolerance.Way.OTHER,
          SMALL_BATTERY_VOLTS,
          SMALL_BATTERY_SPREAD,
          Measure.VOLTS,
          Provenance.ASSUMED);
      if (harness.has(PinFunction.CHARGE)) {
        put(new Diode(diode, Nodes.box(PinFunction.CHARGE), plus, Diode.SILICON));
        both(
            diode,
            "isolating diode",
            Tolerance.Way.OTHER,
            Diode.SILICON,
            DIODE * Diode.SILICON,
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
          CONDUCTOR * ohms,
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
          load.provenance() == Provenance.MEASURED ? MEASURED_LOAD : load.kind().tolerance();
      Tolerance.Way way =
          load.kind() == Load.Kind.MAGNET ? Tolerance.Way.MAGNET : Tolerance.Way.OTHER;
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

    private RigNetwork build(String ground) {
      Network network = new Network(ground);
      elements.values().forEach(network::add);
      return new RigNetwork(
          network, tolerances.stream().filter(t -> elements.containsKey(t.element())).toList());
    }
  }
}
