package org.jexel.core.harness;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Step.Phase;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.JointMethod;
import org.jexel.core.rig.Lamp;
import org.jexel.core.rig.LampRole;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.YesNo;

/** Steps on the trailer and at its plug: from the first hole to the last terminal. */
final class TrailerSteps {
  private static final String UNUSED = "box.unused.";

  private final Scope scope;
  private final Harness harness;
  private final UnitSystem units;
  private final StepList steps;
  private final BrakeSteps brakes;

  TrailerSteps(Scope scope, UnitSystem units, StepList steps) {
    this.scope = scope;
    this.harness = scope.harness();
    this.units = units;
    this.steps = steps;
    this.brakes = new BrakeSteps(scope, steps);
  }

  void all() {
    holes();
    pull();
    mount();
    join();
    earth();
    box();
    connector();
  }

  private void holes() {
    List<Loom.Hole> holes = Loom.of(scope.rig(), harness).toDrill(scope);
    hole(holes, Frame.BOX, "holes.box", "Holes of the box");
    hole(holes, Frame.ENTRY, "holes.entry", "Entry hole into the bed");
    Map<String, List<Lamp>> alike = new LinkedHashMap<>();
    for (Lamp lamp : scope.wantedLamps()) {
      String drills = drills(holes, lamp.node());
      if (!drills.isEmpty()) {
        alike.computeIfAbsent(lamp.role().name() + drills, key -> new ArrayList<>()).add(lamp);
      }
    }
    for (List<Lamp> lamps : alike.values()) {
      String title = (lamps.size() == 1 ? "Hole for " : "Holes for ") + named(lamps);
      drill(id("holes.", lamps), title, drills(holes, lamps.get(0).node()), items("holes.", lamps));
    }
  }

  private String drills(List<Loom.Hole> holes, String part) {
    return holes.stream()
        .filter(hole -> hole.at().id().equals(part))
        .map(hole -> Measure.DRILL.text(hole.drill(), units))
        .distinct()
        .collect(Collectors.joining(" and "));
  }

  private void hole(List<Loom.Hole> holes, String part, String id, String title) {
    String drills = drills(holes, part);
    if (!drills.isEmpty()) {
      drill(id, title, drills, List.of());
    }
  }

  private void drill(String id, String title, String drills, List<Step.Item> items) {
    steps.add(
        Phase.HOLES,
        id,
        title + ", " + drills,
        "Look behind the metal first. Deburr, paint the bare edge, put the grommet in before the loom.",
        List.of("step drill", "deburring knife"),
        List.of("grommets", "paint"),
        8.0 * Math.max(1, items.size()),
        "Goggles on; know what lies behind before you drill.",
        items);
  }

  /** One lamp by its name, several by their kind. */
  private String named(List<Lamp> lamps) {
    LampRole role = lamps.get(0).role();
    String kind = Phrase.within(role.label()) + (role == LampRole.REAR_CLEARANCE ? " lamp" : "");
    return lamps.size() == 1 ? name(lamps.get(0)) : Phrase.count(lamps.size(), kind);
  }

  private static String id(String act, List<Lamp> lamps) {
    return act + (lamps.size() == 1 ? lamps.get(0).slot() : "all." + lamps.get(0).slot());
  }

  private List<Step.Item> items(String act, List<Lamp> lamps) {
    return lamps.size() == 1
        ? List.of()
        : lamps.stream()
            .map(
                lamp ->
                    new Step.Item(
                        act + lamp.slot(),
                        scope.rig().name(lamp)
                            + ", "
                            + Measure.LENGTH.text(lamp.x(), units)
                            + " behind the ball"))
            .toList();
  }

  private void pull() {
    pull(Duty.RUN, "pull.lamps", "Pull the lamp looms");
    pull(Duty.TRUNK, "pull.brakes", "Pull the brake trunk and the runs across the axles");
    pull(Duty.BREAKAWAY, Scope.PULL_BREAKAWAY, "Pull the two conductors to the breakaway switch");
    pull(Duty.VEHICLE, "pull.vehicle", "Pull the missing conductors through the vehicle");
  }

  private void pull(Duty duty, String id, String title) {
    List<Span> spans =
        scope.newSpans().stream()
            .filter(s -> s.duty() == duty || duty == Duty.TRUNK && s.duty() == Duty.ACROSS)
            .toList();
    if (spans.isEmpty()) {
      return;
    }
    double metres = spans.stream().mapToDouble(Span::length).sum();
    List<String> sizes = spans.stream().map(s -> s.size().label()).distinct().toList();
    boolean vehicle = duty == Duty.VEHICLE;
    steps.add(
        Phase.PULL,
        id,
        title,
        Phrase.of(
            "%s, %s in all, %s. Tag both ends as you pull. Where a branch leaves, pull past its hole and back out of it, so that a loop takes the strain; no wire under tension, none near %s.",
            Phrase.count(spans.size(), "conductor"),
            Measure.LENGTH.text(metres, units),
            String.join(" and ", sizes),
            vehicle ? "exhaust, pedals or moving parts" : "tyres, springs or sharp edges"),
        List.of("draw wire", "cutters"),
        sizes,
        5 + 2 * metres,
        vehicle ? "Keep clear of airbag zones and their yellow looms." : "");
  }

  private void mount() {
    Map<LampRole, List<Lamp>> alike =
        scope.wantedLamps().stream()
            .collect(Collectors.groupingBy(Lamp::role, LinkedHashMap::new, Collectors.toList()));
    for (List<Lamp> lamps : alike.values()) {
      steps.add(
          Phase.MOUNT,
          id("mount.", lamps),
          "Mount " + named(lamps),
          (lamps.size() == 1
                  ? Measure.LENGTH.text(lamps.get(0).x(), units) + " behind the ball. "
                  : "")
              + "Red faces back, amber to side and front, white for plate and reverse. Gasket or a bead of sealant round its opening, drain left open below: spray comes from the wheels."
              + (submerged()
                  ? " These go under water: sealed ones, their leads led upwards and joined above the waterline."
                  : ""),
          List.of("screwdriver"),
          List.of(Phrase.within(lamps.get(0).role().label())),
          6.0 * lamps.size(),
          "",
          items("mount.", lamps));
    }
    if (scope.newBox()) {
      steps.add(
          Phase.MOUNT,
          "mount.box",
          "Screw the box down",
          Measure.LENGTH.text(scope.rig().sheet().si(RigField.BOX_X), units)
              + " behind the ball, glands facing down or back.",
          List.of("spanner"),
          List.of("junction box"),
          10,
          "");
    }
    brakes.mount();
  }

  private boolean submerged() {
    return scope.rig().sheet().choice(RigField.LAMPS_SUBMERGED, YesNo.class) == YesNo.YES;
  }

  private void join() {
    JointMethod method = scope.rig().sheet().choice(RigField.JOINT_METHOD, JointMethod.class);
    long splices =
        harness.joints().stream()
            .filter(j -> j.kind() == Joint.Kind.SPLICE)
            .filter(j -> scope.newSpans().stream().anyMatch(s -> s.from().equals(j.b())))
            .count();
    if (splices > 0) {
      steps.add(
          Phase.JOIN,
          "join.splices",
          "Join " + Phrase.count(splices, "branch", "branches"),
          "%s. Pull hard at each; a joint that slips now fails in the rain."
              .formatted(method.weatherproof() ? method.label() : JointMethod.CRIMP.label()),
          List.of("stripper", "ratchet crimper", "hot-air gun"),
          List.of("sealed sleeves"),
          2.0 * splices,
          "");
    }
    brakes.join();
  }

  private void earth() {
    if (harness.joints().stream().anyMatch(scope::isNewScrew)) {
      steps.add(
          Phase.EARTH,
          "earth.frame",
          "Earth the frame at the box",
          "Bare bright steel, toothed washer, then paint over it. Below 0.5 Ω from the earth stud to far frame and each lamp's screw.",
          List.of("file", "meter"),
          List.of("earth screw", "paint"),
          10,
          "");
    }
  }

  private void box() {
    int rings = StudPlan.of(scope.rig(), harness).toLand(scope).size();
    if (rings > 0) {
      steps.add(
          Phase.BOX,
          "box.land",
          "Land %s on the studs".formatted(Phrase.count(rings, "ring")),
          "As the stud plan says, thickest at the bottom; unused cores get a stud of their own.",
          List.of("ratchet crimper", "spanner"),
          List.of("rings"),
          3.0 * rings,
          StepPlan.LIVE);
    }
    unused();
  }

  /** Cores of a new cord that have no job on this trailer. */
  private void unused() {
    List<Step.Item> cores =
        scope.rig().connector().pins().stream()
            .filter(pin -> pin.function() != PinFunction.EARTH && !harness.has(pin.function()))
            .map(
                pin ->
                    new Step.Item(
                        UNUSED + Nodes.id(pin.function()),
                        Phrase.of("Pin %d, %s", pin.number(), pin.function().label())))
            .toList();
    if (scope.newCord() && !cores.isEmpty()) {
      steps.add(
          Phase.BOX,
          UNUSED + "all",
          "Tie back " + Phrase.count(cores.size(), "unused core"),
          "Each capped by itself or on a stud of its own, tied back, and tagged: in the plug it is as live as the others.",
          List.of("ratchet crimper"),
          List.of("end caps", "ties"),
          3.0 * cores.size(),
          "",
          cores.size() == 1 ? List.of() : cores);
    }
  }

  private void connector() {
    if (scope.newCord()) {
      steps.add(
          Phase.CONNECTOR,
          "connector.plug",
          "Wire the plug, %s".formatted(scope.rig().connector().label()),
          "Work from the drawing of the wiring side: it is the mirror of what the mate sees. Strain relief on the jacket, not on the cores.",
          List.of("screwdriver", "stripper"),
          List.of("plug"),
          20,
          "");
    }
  }

  private String name(Lamp lamp) {
    return Phrase.within(scope.rig().name(lamp));
  }
}
