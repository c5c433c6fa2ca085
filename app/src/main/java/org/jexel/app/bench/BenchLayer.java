package org.jexel.app.bench;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jexel.app.drawing.Canvas;
import org.jexel.app.drawing.Marks;
import org.jexel.app.drawing.Palette;
import org.jexel.app.drawing.PlanScale;
import org.jexel.app.drawing.Svg;
import org.jexel.app.drawing.VehicleDrawing;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.Looked;
import org.jexel.app.job.NextCard;
import org.jexel.core.check.Check;
import org.jexel.core.check.Check.Group;
import org.jexel.core.check.Probing;
import org.jexel.core.check.Round;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.Load;
import org.jexel.core.harness.Nodes;
import org.jexel.core.harness.Spot;
import org.jexel.core.network.RigNetwork;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.RigSheet;

/** Where the checks of the proof are taken and how they stand, and where the leads go now. */
final class BenchLayer {
  /** Behind the ball and left of the middle, m: in front of the socket, and of the plug. */
  private static final double[] SOCKET = {-0.35, -0.35};

  private static final double[] PLUG = {0.3, -0.3};

  private final JobFile file;
  private final RigSheet sheet;
  private final PlanScale at;
  private final Svg svg;
  private final VehicleDrawing vehicle;
  private final Marks marks;

  BenchLayer(JobFile file, Canvas canvas) {
    this.file = file;
    this.sheet = file.rig().sheet();
    this.at = canvas.at();
    this.svg = canvas.svg();
    this.vehicle = canvas.vehicle();
    this.marks = canvas.marks();
  }

  void paint(Looked looked) {
    double rear = sheet.si(RigField.OVERALL_LENGTH);
    boolean room = at.x(rear) < PlanScale.WIDTH - 150;
    double[] drawbar = {sheet.si(RigField.DRAWBAR_LENGTH) * 0.55, 0.05};
    double[] axles = {sheet.si(RigField.AXLE_CENTRE), 0};
    point(vehicle.battery(), "middle", "Supply", Group.SUPPLY);
    point(SOCKET, "end", "Socket and connector", Group.SOCKET, Group.LOADED);
    point(drawbar, "start", "Brake circuit", Group.TRAILER, Group.CHARGE, Group.BREAKAWAY);
    point(axles, "middle", "Brakes under load", Group.BRAKES);
    point(
        new double[] {rear - 0.2, 0},
        room ? "start" : "end",
        "Lamps and wheels",
        Group.SEEN,
        Group.REAR_LAMPS);
    file.work()
        .bench()
        .check(looked.card())
        .filter(c -> c.measure().words().isEmpty())
        .ifPresent(this::leads);
  }

  /** A place of the proof, with how many of its rounds are read; it leads to the first open one. */
  private void point(double[] place, String anchor, String label, Group... groups) {
    List<Round> rounds =
        Round.of(
            file.work().bench().proof().stream()
                .filter(c -> List.of(groups).contains(c.group()))
                .toList());
    if (rounds.isEmpty()) {
      return;
    }
    List<Verdict> verdicts = rounds.stream().map(file.work().bench()::verdict).toList();
    String card = rounds.get(Math.max(0, verdicts.indexOf(Verdict.NOT_YET))).id();
    Verdict whole = Verdict.ofAll(verdicts);
    marks.point(
        new double[] {at.x(place[0]), at.y(place[1])},
        "/jobs/%s/bench?card=%s#%s"
            .formatted(file.job().ref(), card.replace("+", "%2B"), NextCard.anchor(card)),
        anchor,
        label,
        Phrase.of(
            "%d of %d, %s",
            verdicts.stream().filter(v -> v != Verdict.NOT_YET).count(),
            rounds.size(),
            whole.label()),
        whole);
  }

  private void leads(Check check) {
    Probing probing = check.probing();
    place(probing.black()).ifPresent(p -> lead(p, 7, Palette.INK));
    place(probing.red()).ifPresent(p -> lead(p, -7, Palette.RED_LENS));
  }

  private void lead(double[] place, double aside, String colour) {
    svg.circle(
        at.x(place[0]) + aside,
        at.y(place[1]) - 11,
        5.5,
        "class",
        "probe",
        "fill",
        colour,
        "stroke",
        Palette.PAPER,
        "stroke-width",
        2.0);
  }

  /** Where a node or a part of the network is on the rig, m; empty for what has no one place. */
  private Optional<double[]> place(String name) {
    return Optional.ofNullable(places().get(name));
  }

  private Map<String, double[]> places() {
    Map<String, double[]> places = new HashMap<>();
    double[] box = {sheet.si(RigField.BOX_X), sheet.si(RigField.BOX_Y)};
    for (PinFunction function : PinFunction.values()) {
      places.put(Nodes.socket(function), SOCKET);
      places.put(Nodes.wire(Nodes.socket(function)), SOCKET);
      places.put(Nodes.plug(function), PLUG);
      places.put(Nodes.box(function), box);
    }
    places.put(Harness.BREAKAWAY_PLUS, box);
    places.put(RigNetwork.BENCH, PLUG);
    places.put(Harness.BATTERY_PLUS, vehicle.battery());
    places.put(Harness.BATTERY_MINUS, vehicle.battery());
    for (Load load : file.work().harness().plan().loads()) {
      spot(load.spot())
          .ifPresent(
              at -> List.of(load.name(), load.feed(), load.back()).forEach(n -> places.put(n, at)));
    }
    return places;
  }

  private Optional<double[]> spot(Spot spot) {
    if (spot.axle() >= 0) {
      double half = sheet.si(RigField.OVERALL_WIDTH) / 2;
      return Optional.of(
          new double[] {
            file.rig().axlePlaces()[spot.axle()], spot.side().orElseThrow().sign() * half
          });
    }
    return spot.lamp().map(lamp -> new double[] {lamp.x(), lamp.y()});
  }
}
