package org.jexel.core.network;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Duty;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.Joint;
import org.jexel.core.harness.Load;
import org.jexel.core.harness.Nodes;
import org.jexel.core.harness.Span;
import org.jexel.core.network.FaultFamily.AlongRun;
import org.jexel.core.network.FaultFamily.AtJoint;
import org.jexel.core.network.FaultFamily.AtPin;
import org.jexel.core.network.FaultFamily.OfConductors;
import org.jexel.core.network.FaultFamily.OfLoad;
import org.jexel.core.network.FaultFamily.Place;
import org.jexel.core.network.FaultFamily.Trouble;
import org.jexel.core.quantity.Provenance;
import org.jexel.core.rig.Lamp;
import org.jexel.core.rig.Rig;

/**
 * Every single fault that can occur on a rig, each at every place where it can.
 *
 * <p>Returns come first, then contacts, joints, loads, chafed and exchanged conductors, supply and
 * controller, the wheels: the order in which practice meets them. How bad each can be stands here
 * where it is in its own measure, and in {@link FaultList} where it is what a contact loses.
 */
public final class FaultCatalog {
  /** Currents of a magnet against a sound one's. */
  private static final double[] SHORTED = {1.6, 2.4, 4};

  private static final double[] WEAK = {0.7, 0.4};

  /** Magnets of other drums than was assumed, against those. */
  private static final double[] OTHER = {0.8, 0.87, 1.15, 1.25};

  /** Of bare copper on metal, Ω. */
  private static final double[] TOUCHING = {0.03, 0.06, 0.12, 0.25, 0.5};

  private final Harness harness;
  private final FaultList list;

  private FaultCatalog(Rig rig, Harness harness) {
    this.harness = harness;
    this.list = new FaultList(rig, harness);
  }

  public static List<KnownFault> of(Rig rig, Harness harness) {
    FaultCatalog catalog = new FaultCatalog(rig, harness);
    FaultList list = catalog.list;
    list.weigh(10);
    catalog.returns();
    catalog.vehiclesEarth();
    list.weigh(6);
    catalog.contacts();
    list.weigh(3);
    catalog.joints();
    catalog.screws();
    catalog.broken();
    list.weigh(1);
    catalog.chafed();
    catalog.breakawayLeads();
    list.weigh(4);
    catalog.loads();
    catalog.otherMagnets();
    LampFaults.add(rig, harness, list, 4);
    list.weigh(1.5);
    catalog.conductors();
    catalog.loose(6, 2);
    SupplyFaults.add(harness, list);
    WheelFaults.add(harness, list);
    return list.faults();
  }

  private void returns() {
    Set<String> told = new HashSet<>();
    for (Load load : harness.loads()) {
      Fault wire = Fault.of(Fault.Kind.OPEN, Nodes.wire(load.back()));
      if (load.lamp() && told.add(load.back())) {
        Lamp lamp = load.spot().lamp().orElseThrow();
        list.add(wire, Trouble.RETURN_LOST, OfLoad.of(load));
        list.add(
            Fault.of(Fault.Kind.OPEN, Nodes.screw(lamp.node())),
            Trouble.RETURN_LOST,
            OfLoad.of(load));
      }
      if (load.kind() == Load.Kind.MAGNET) {
        list.add(wire, Trouble.RETURN_LOST, OfLoad.of(load));
      }
    }
    list.earthGone(Nodes.core(PinFunction.EARTH), FaultFamily.of(Trouble.EARTH_BROKEN_IN_CORD));
    list.earthGone(
        Nodes.wire(Nodes.socket(PinFunction.EARTH)),
        FaultFamily.of(Trouble.EARTH_BROKEN_IN_VEHICLE));
  }

  private void vehiclesEarth() {
    String way = Nodes.wire(Nodes.socket(PinFunction.EARTH));
    list.corroded(way, PinFunction.EARTH, FaultFamily.of(Trouble.POOR_EARTH_IN_VEHICLE));
  }

  private void contacts() {
    for (Joint joint : harness.joints()) {
      if (joint.kind() == Joint.Kind.PIN) {
        Place pin = new AtPin(joint.function());
        FaultFamily gone = new FaultFamily(Trouble.NO_CONTACT, pin);
        if (joint.function() == PinFunction.EARTH) {
          list.earthGone(joint.name(), gone);
        } else {
          list.add(Fault.of(Fault.Kind.OPEN, joint.name()), Trouble.NO_CONTACT, pin);
        }
        list.corroded(joint.name(), joint.function(), new FaultFamily(Trouble.CORRODED, pin));
      }
    }
  }

  private void joints() {
    for (Joint joint : harness.joints()) {
      if (joint.made()) {
        list.corroded(
            joint.name(),
            joint.function(),
            new FaultFamily(Trouble.CORRODED_JOINT, new AtJoint(joint)));
      }
    }
  }

  /**
   * What makes and breaks as it is moved.
   *
   * @param moving weight of pins and of the cord's cores, which are moved on every journey
   * @param still of rings and splices
   */
  private void loose(double moving, double still) {
    for (Joint joint : harness.joints()) {
      list.weigh(joint.kind() == Joint.Kind.PIN ? moving : still);
      if (joint.kind() == Joint.Kind.PIN) {
        list.add(
            Fault.of(Fault.Kind.LOOSE, joint.name()), Trouble.LOOSE, new AtPin(joint.function()));
      } else if (joint.made()) {
        list.add(Fault.of(Fault.Kind.LOOSE, joint.name()), Trouble.LOOSE, new AtJoint(joint));
      }
    }
    list.weigh(moving);
    for (PinFunction core : cores()) {
      list.add(
          Fault.of(Fault.Kind.LOOSE, Nodes.core(core)),
          Trouble.STRANDS_BROKEN,
          OfConductors.of(core));
    }
  }

  /** Lamps that return through their own screws, and the box's own. */
  private void screws() {
    Set<String> ofLamps =
        harness.loads().stream()
            .flatMap(load -> load.spot().lamp().stream())
            .map(lamp -> Nodes.screw(lamp.node()))
            .collect(Collectors.toSet());
    for (Joint joint : harness.joints()) {
      if (joint.kind() == Joint.Kind.SCREW) {
        list.corroded(
            joint.name(),
            PinFunction.EARTH,
            new FaultFamily(Trouble.POOR_SCREW, new AtJoint(joint)));
        if (!ofLamps.contains(joint.name())) {
          list.add(Fault.of(Fault.Kind.OPEN, joint.name()), Trouble.RUN_BROKEN, new AtJoint(joint));
        }
      }
    }
  }

  /** Each run with the joint that it begins at: off or broken. */
  private void broken() {
    Set<String> told =
        harness.loads().stream().map(load -> Nodes.joint(load.back())).collect(Collectors.toSet());
    for (Joint joint : harness.joints()) {
      if (joint.made() && joint.duty() != Duty.CORD && !told.contains(joint.name())) {
        list.add(Fault.of(Fault.Kind.OPEN, joint.name()), Trouble.RUN_BROKEN, new AtJoint(joint));
      }
    }
  }

  /** Each run of the trailer on the frame. */
  private void chafed() {
    for (Span span : harness.spans()) {
      boolean trailer = span.duty() != Duty.VEHICLE && span.duty() != Duty.CORD;
      if (trailer && span.function() != PinFunction.EARTH) {
        list.graded(
            Fault.Kind.SHORT,
            span.to(),
            TOUCHING,
            new FaultFamily(Trouble.RUN_CHAFED, new AlongRun(span)));
      }
    }
  }

  private void breakawayLeads() {
    for (Span span : harness.spans()) {
      if (span.duty() == Duty.BREAKAWAY) {
        String wire = Nodes.wire(span.to());
        Place run = new AlongRun(span);
        list.add(Fault.of(Fault.Kind.OPEN, wire), Trouble.RUN_BROKEN, run);
        list.corroded(wire, PinFunction.BRAKE, new FaultFamily(Trouble.POOR_RUN, run));
      }
    }
  }

  private void loads() {
    for (Load load : harness.loads()) {
      switch (load.kind()) {
        case FILAMENT, LED -> {
          // Below, with what else can be the matter with a lamp.
        }
        case MAGNET -> {
          Place magnet = OfLoad.of(load);
          list.add(Fault.of(Fault.Kind.OPEN, load.name()), Trouble.OPEN, magnet);
          list.graded(
              Fault.Kind.DRAWS,
              load.name(),
              SHORTED,
              new FaultFamily(Trouble.SHORTED_TURNS, magnet));
          list.graded(Fault.Kind.DRAWS, load.name(), WEAK, new FaultFamily(Trouble.WEAK, magnet));
        }
        case ACTUATOR ->
            list.add(Fault.of(Fault.Kind.OPEN, load.name()), Trouble.OPEN_INPUT, OfLoad.of(load));
        case CHARGE -> {
          // A battery has its own faults below; of an actuator's supply the wire is what fails.
        }
      }
    }
  }

  private void otherMagnets() {
    boolean assumed =
        harness.loads().stream()
            .anyMatch(
                load -> load.kind() == Load.Kind.MAGNET && load.provenance() == Provenance.ASSUMED);
    if (assumed) {
      list.graded(Fault.Kind.MAGNETS, "", OTHER, FaultFamily.of(Trouble.OTHER_MAGNETS));
    }
  }

  private List<PinFunction> cores() {
    return harness.spans().stream()
        .filter(span -> span.duty() == Duty.CORD)
        .map(Span::function)
        .toList();
  }

  private void conductors() {
    List<PinFunction> cores = cores();
    for (PinFunction core : cores) {
      if (core != PinFunction.EARTH) {
        Place one = OfConductors.of(core);
        list.add(Fault.of(Fault.Kind.OPEN, Nodes.core(core)), Trouble.BROKEN_IN_CORD, one);
        list.graded(
            Fault.Kind.SHORT, Nodes.box(core), TOUCHING, new FaultFamily(Trouble.CHAFED, one));
      }
    }
    for (int i = 0; i < cores.size(); i++) {
      for (int j = i + 1; j < cores.size(); j++) {
        PinFunction one = cores.get(i);
        PinFunction two = cores.get(j);
        Place both = OfConductors.of(one, two);
        list.add(
            Fault.between(Fault.Kind.EXCHANGED, Nodes.core(one), Nodes.core(two)),
            Trouble.EXCHANGED,
            both);
        if (one != PinFunction.EARTH && two != PinFunction.EARTH) {
          list.touching(Nodes.box(one), Nodes.box(two), new FaultFamily(Trouble.TOUCH, both));
          list.touching(
              Nodes.socket(one), Nodes.socket(two), new FaultFamily(Trouble.TOUCH_AT_SOCKET, both));
        }
      }
    }
  }
}
