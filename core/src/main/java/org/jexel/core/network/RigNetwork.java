package org.jexel.core.network;

import static org.jexel.core.harness.Harness.BATTERY_MINUS;
import static org.jexel.core.harness.Harness.BATTERY_PLUS;

import java.util.ArrayList;
import java.util.List;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Contacts;
import org.jexel.core.harness.Duty;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.HarnessPlanner;
import org.jexel.core.harness.Load;
import org.jexel.core.harness.Span;
import org.jexel.core.quantity.Figure;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Provenance;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;

/**
 * The network of a rig with its planned harness in one state, each element with its tolerance.
 *
 * <p>Tolerances at two standard deviations: magnets ±10 %, filament lamps ±15 %, LED ±30 %,
 * conductors ±3 %, contacts 0–4 × healthy, supply ±0.05 V when measured and ±3 % when assumed.
 *
 * @param network ready to solve
 * @param tolerances one for each uncertain element
 */
public record RigNetwork(Network network, List<Tolerance> tolerances) {
  public static final String SUPPLY = "battery";
  public static final String OHMMETER = "ohmmeter";

  /** Internal resistance of a healthy starter battery with its posts, Ω. */
  private static final double BATTERY_OHMS = 0.020;

  private static final double MEASURED_SUPPLY = 0.05;
  private static final double CONDUCTOR = 0.03;

  /** A load that was measured is known to the meter's own error. */
  private static final double MEASURED_LOAD = 0.02;

  /** Rig and vehicle together, ground at the battery's minus post. */
  public static RigNetwork of(Rig rig, Harness harness, RigState state) {
    Builder builder = new Builder(new Network(BATTERY_MINUS));
    builder.supply(
        rig.sheet().figure(state.running() ? RigField.RUNNING_VOLTS : RigField.ENGINE_OFF_VOLTS));
    for (Span span : harness.spans()) {
      if (span.duty() == Duty.VEHICLE) {
        vehicleSpan(rig, state, builder, span);
      } else if (state.plugged()) {
        builder.span(span);
      }
    }
    if (state.plugged()) {
      harness.loads().stream()
          .filter(load -> load.kind() != Load.Kind.CHARGE)
          .forEach(builder::load);
    }
    return builder.build();
  }

  /** The trailer alone, an ohmmeter from a plug pin to the plug's earth pin. */
  public static RigNetwork trailerAlone(Harness harness, PinFunction function) {
    String pin = "sock_" + HarnessPlanner.id(function);
    String earth = "sock_" + HarnessPlanner.id(PinFunction.EARTH);
    Builder builder = new Builder(new Network(earth));
    builder.network.add(new Element.Source(OHMMETER, pin, earth, 1, 0));
    harness.spans().stream().filter(span -> span.duty() != Duty.VEHICLE).forEach(builder::span);
    harness.loads().stream().filter(load -> load.kind() != Load.Kind.CHARGE).forEach(builder::load);
    return builder.build();
  }

  private static void vehicleSpan(Rig rig, RigState state, Builder builder, Span span) {
    boolean live =
        switch (span.function()) {
          case EARTH -> true;
          case BRAKE -> state.output() > 0;
          case CHARGE -> true;
          default -> state.lights().contains(span.function());
        };
    if (!live) {
      return;
    }
    if (span.function() == PinFunction.BRAKE && span.from().equals("ctrl_in")) {
      Figure drop = rig.sheet().figure(RigField.CONTROLLER_DROP);
      builder.controller(state.output(), drop);
      builder.span(
          new Span(
              span.circuit(),
              span.function(),
              span.duty(),
              "ctrl_out",
              span.to(),
              span.length(),
              span.size()));
      return;
    }
    builder.span(span);
  }

  private static final class Builder {
    private final Network network;
    private final List<Tolerance> tolerances = new ArrayList<>();

    private Builder(Network network) {
      this.network = network;
    }

    private void supply(Figure volts) {
      network.add(
          new Element.Source(SUPPLY, BATTERY_PLUS, BATTERY_MINUS, volts.si(), BATTERY_OHMS));
      double off =
          volts.provenance() == Provenance.MEASURED
              ? MEASURED_SUPPLY
              : volts.si() * RigField.ENGINE_OFF_VOLTS.spread();
      tolerances.add(
          new Tolerance(
              SUPPLY, "battery volts", volts.si(), off, off, Measure.VOLTS, volts.provenance()));
    }

    private void controller(double share, Figure drop) {
      network.add(new Element.Converter("controller", "ctrl_in", "ctrl_out", share, drop.si()));
      double off = drop.si() * RigField.CONTROLLER_DROP.spread();
      tolerances.add(
          new Tolerance(
              "controller",
              "lost in the controller",
              drop.si(),
              off,
              off,
              Measure.VOLTS,
              drop.provenance()));
    }

    /** A conductor; where it passes the connector, the pin's contact is in series before it. */
    private void span(Span span) {
      String name = span.from() + "__" + span.to();
      String from = span.from();
      if (span.duty() == Duty.CORD) {
        String plug = "plug_" + HarnessPlanner.id(span.function());
        contact(
            "pin_" + HarnessPlanner.id(span.function()),
            span.function().label() + " pin",
            from,
            plug,
            Contacts.PIN);
        from = plug;
      } else if (from.startsWith("box_")) {
        String ring = "ring_" + span.to();
        contact(
            "stud_" + span.to(),
            "ring at the box, " + span.circuit(),
            from,
            ring,
            Contacts.RING_ON_STUD + Contacts.CRIMP);
        from = ring;
      }
      double ohms = span.ohms();
      network.add(new Element.Resistor(name, from, span.to(), ohms));
      tolerances.add(
          new Tolerance(
              name,
              span.circuit() + ", " + span.duty().label(),
              ohms,
              CONDUCTOR * ohms,
              CONDUCTOR * ohms,
              Measure.MILLIOHMS,
              Provenance.ASSUMED));
    }

    private void contact(String name, String label, String a, String b, double healthy) {
      network.add(new Element.Resistor(name, a, b, healthy));
      tolerances.add(
          new Tolerance(
              name, label, healthy, healthy, 3 * healthy, Measure.MILLIOHMS, Provenance.ASSUMED));
    }

    private void load(Load load) {
      network.add(new Element.Resistor(load.name(), load.feed(), load.back(), load.ohms()));
      double share =
          load.provenance() == Provenance.MEASURED ? MEASURED_LOAD : load.kind().tolerance();
      double off = share * load.ohms();
      tolerances.add(
          new Tolerance(
              load.name(), load.label(), load.ohms(), off, off, Measure.OHMS, load.provenance()));
    }

    private RigNetwork build() {
      return new RigNetwork(network, List.copyOf(tolerances));
    }
  }
}
