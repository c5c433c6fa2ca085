package org.jexel.app.cab;

import static org.jexel.app.drawing.Svg.n;

import java.util.Locale;
import java.util.Optional;
import org.jexel.app.drawing.Canvas;
import org.jexel.app.drawing.Look;
import org.jexel.app.drawing.Looms;
import org.jexel.app.drawing.Marks;
import org.jexel.app.drawing.Palette;
import org.jexel.app.drawing.PlanScale;
import org.jexel.app.drawing.Svg;
import org.jexel.app.drawing.VehicleDrawing;
import org.jexel.app.job.JobFile;
import org.jexel.core.cab.ControllerFeed;
import org.jexel.core.cab.Fitting;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.connector.WireColour;
import org.jexel.core.job.StationState;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.ControllerKind;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.RigSheet;
import org.jexel.core.rig.YesNo;

/**
 * The vehicle's side on the Towline: breaker, feed, tap, controller at its angle, and how each
 * stands.
 */
final class CabLayer {
  private final JobFile file;
  private final RigSheet sheet;
  private final PlanScale at;
  private final Svg svg;
  private final VehicleDrawing vehicle;
  private final Marks marks;
  private final Canvas canvas;

  CabLayer(JobFile file, Canvas canvas) {
    this.file = file;
    this.sheet = file.rig().sheet();
    this.at = canvas.at();
    this.svg = canvas.svg();
    this.vehicle = canvas.vehicle();
    this.marks = canvas.marks();
    this.canvas = canvas;
  }

  void paint() {
    double front = at.x(-sheet.si(RigField.TOW_LENGTH));
    Optional<ControllerFeed> feed = file.work().cab().feed();
    if (feed.isEmpty()) {
      String words =
          file.rig().hasElectricBrakes()
              ? "no brake pin on the way: nothing feeds the brakes"
              : "no electric brakes: nothing to feed";
      canvas.foot(front, words, "start");
      return;
    }
    double[] battery = {at.x(vehicle.battery()[0]), at.y(vehicle.battery()[1])};
    double[] box = {at.x(vehicle.controller()[0]), at.y(vehicle.controller()[1])};
    double breaker = battery[0] + 30;
    run(
        WireColour.BLACK,
        "M%s %s L%s %s L%s %s L%s %s"
            .formatted(
                n(battery[0] + 9),
                n(battery[1]),
                n(breaker),
                n(battery[1]),
                n(breaker),
                n(box[1]),
                n(box[0] - 5),
                n(box[1])));
    WireColour brake = file.rig().towConvention().colour(PinFunction.BRAKE).orElse(WireColour.BLUE);
    run(
        brake,
        "M%s %s L%s %s L%s %s"
            .formatted(
                n(box[0] + 5), n(box[1]), n(at.x(-0.2)), n(box[1]), n(at.x(-0.2)), n(at.y(0))));
    controller(box);
    double fitted = sheet.si(RigField.BREAKER_FITTED);
    double amps = Double.isNaN(fitted) ? feed.get().breaker().chosen() : fitted;
    point(
        Fitting.Topic.SUPPLY,
        new double[] {breaker, battery[1]},
        front - 12,
        "end",
        "breaker %s, feed %s"
            .formatted(Measure.RATING.text(amps, file.units()), feed.get().feed().size().label()));
    ControllerKind kind = sheet.choice(RigField.CONTROLLER_KIND, ControllerKind.class);
    if (kind.takesStopSignal()) {
      // behind the isolator the foot stands clear of the words of the mounting
      double foot = monitored() ? tap()[0] + 24 : tap()[0];
      point(Fitting.Topic.SIGNAL, tap(), foot, monitored() ? "start" : "end", tapWords());
    }
    point(
        Fitting.Topic.MOUNTING,
        new double[] {box[0], box[1]},
        box[0] + 14,
        "start",
        mountingWords());
  }

  private void run(WireColour colour, String path) {
    Looms.strand(svg, path, Palette.wire(colour), "none");
  }

  /** The box as it is turned, its nose in the direction of travel when it is straight. */
  private void controller(double[] box) {
    double yaw = file.work().cab().found().mounting().map(m -> Math.toDegrees(m.yaw())).orElse(0.0);
    svg.open(
        "g",
        "transform",
        String.format(Locale.ROOT, "rotate(%.1f %.1f %.1f)", yaw, box[0], box[1]));
    svg.path(
        "M%s %s l12 -12 l28 0 l0 24 l-28 0 z".formatted(n(box[0] - 26), n(box[1])), Look.part(1.5));
    svg.close();
  }

  private String mountingWords() {
    return file.work()
        .cab()
        .found()
        .mounting()
        .map(
            m -> {
              long pitch = Math.round(Math.toDegrees(m.pitch()));
              String turned = Phrase.of("turned %.0f°", Math.abs(Math.toDegrees(m.yaw())));
              return pitch == 0 ? turned : turned + Phrase.of(", pitched %d°", pitch);
            })
        .orElse("mounting");
  }

  /** At the pedal's switch; behind the isolator where the bus watches the lamps. */
  private double[] tap() {
    double[] box = vehicle.controller();
    return monitored()
        ? new double[] {at.x(-0.75), at.y(-0.35)}
        : new double[] {at.x(box[0] - 0.5), at.y(box[1] + 0.4)};
  }

  private boolean monitored() {
    return sheet.choice(RigField.LAMPS_MONITORED, YesNo.class) == YesNo.YES;
  }

  private String tapWords() {
    return monitored() ? "stop signal, behind the isolator" : "stop signal";
  }

  private void point(
      Fitting.Topic topic, double[] point, double foot, String anchor, String label) {
    Optional<Verdict> verdict = Fitting.stands(file.work().cab().fitting(), topic);
    boolean proved = Fitting.proved(file.work().cab().fitting(), topic);
    boolean fitted =
        sheet.choice(RigField.CONTROLLER_KIND, ControllerKind.class) != ControllerKind.NONE;
    if (verdict.isPresent() && fitted) {
      String card = topic.name().toLowerCase(Locale.ROOT);
      marks.point(
          point,
          foot,
          "/jobs/%s/cab?card=%s#card-%s".formatted(file.job().ref(), card, card),
          anchor,
          label,
          StationState.of(verdict.get(), proved).label(),
          verdict.get(),
          proved);
    }
  }
}
