package org.jexel.app.drawing;

import static org.jexel.app.drawing.Palette.INK;
import static org.jexel.app.drawing.Svg.n;

import java.util.List;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.Station;
import org.jexel.app.road.TestStop;
import org.jexel.core.braking.Stop;
import org.jexel.core.check.Round;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.connector.WireColour;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.RigSheet;

/** What each station paints on the Towline. */
final class TowlineLayers {
  /** Distance between two wires that run side by side, px. */
  private static final double LANE = 5;

  private static final double DIMENSIONS = 206;

  private final JobFile file;
  private final RigSheet sheet;
  private final UnitSystem units;
  private final PlanScale at;
  private final Svg svg;
  private final RigDrawing drawing;
  private final Marks marks;

  TowlineLayers(JobFile file, PlanScale at, Svg svg, RigDrawing drawing) {
    this.file = file;
    this.sheet = file.rig().sheet();
    this.units = file.units();
    this.at = at;
    this.svg = svg;
    this.drawing = drawing;
    this.marks = new Marks(svg);
  }

  void paint(Station station, String card) {
    switch (station) {
      case RIG -> rig();
      case HARNESS -> harness();
      case CAB -> new CabLayer(file, at, svg, drawing, marks).paint();
      case BENCH -> {
        new BenchLayer(file, at, svg, drawing, marks).paint(card);
        new LitLayer(file, at, svg, marks).paint(card);
      }
      case BREAKAWAY -> breakaway();
      case ROAD -> road();
      case HANDOVER -> handover();
      default -> throw new IllegalStateException(station.name());
    }
  }

  private void label(double x, double y, String words, String anchor, String fill) {
    svg.label(x, y, words, anchor, 14, fill);
  }

  private void dimension(double from, double to, double y, RigField field) {
    double a = at.x(from);
    double b = at.x(to);
    Object[] look = {"class", "ink", "stroke", INK, "stroke-width", 1.0};
    svg.line(a, y, b, y, look);
    svg.line(a, y - 5, a, y + 5, look);
    svg.line(b, y - 5, b, y + 5, look);
    String words = field.measure().text(sheet.si(field), units);
    label((a + b) / 2, y + 16, words + (sheet.figure(field).assumed() ? " ?" : ""), "middle", INK);
  }

  private void rig() {
    dimension(-sheet.si(RigField.TOW_LENGTH), -0.02, DIMENSIONS, RigField.TOW_LENGTH);
    dimension(0.02, sheet.si(RigField.OVERALL_LENGTH), DIMENSIONS, RigField.OVERALL_LENGTH);
    down(at.x(0), "tongue " + Measure.MASS.text(file.load().tongue(), units), 40);
    down(
        at.x(sheet.si(RigField.AXLE_CENTRE)),
        "axles " + Measure.MASS.text(file.load().axleGroup(), units),
        40);
  }

  /** A load arrow that points down onto the rig from above. */
  private void down(double x, String words, double tip) {
    svg.path(
        "M%s 20 L%s %s M%s %s L%s %s L%s %s"
            .formatted(
                n(x), n(x), n(tip), n(x - 5), n(tip - 8), n(x), n(tip), n(x + 5), n(tip - 8)),
        "class",
        "work",
        "fill",
        "none",
        "stroke",
        Palette.WORK,
        "stroke-width",
        2.2);
    label(x + 9, 33, words, "start", Palette.WORK);
  }

  private void harness() {
    new Looms(at, svg, file.rig().convention(), LANE)
        .draw(file.harness(), sheet.si(RigField.BOX_X), file.scope()::isNew);
    double x = 40;
    for (PinFunction function : PinFunction.values()) {
      if (file.harness().spans().stream().anyMatch(span -> span.function() == function)) {
        String colour = colour(function);
        Looms.strand(svg, "M%s 217 L%s 217".formatted(n(x), n(x + 26)), colour, "none");
        String words = code(function) + " " + function.label();
        label(x + 32, 222, words, "start", INK);
        x += 58 + 8.2 * words.length();
      }
    }
    file.harness().circuits().stream()
        .filter(c -> c.function() != PinFunction.EARTH)
        .max((a, b) -> Double.compare(a.drop() / a.limit(), b.drop() / b.limit()))
        .ifPresent(
            c ->
                label(
                    PlanScale.WIDTH - 34,
                    222,
                    "nearest its limit: %s loses %s of %s"
                        .formatted(
                            c.name(),
                            Measure.VOLTS.text(c.drop(), units),
                            Measure.VOLTS.text(c.limit(), units)),
                    "end",
                    INK));
  }

  private String colour(PinFunction function) {
    return Palette.wire(file.rig().convention().colour(function).orElse(WireColour.BLACK));
  }

  private String code(PinFunction function) {
    return file.rig().convention().colour(function).map(WireColour::code).orElse("–");
  }

  private void breakaway() {
    Object[] chain = {
      "class", "ink", "fill", "none", "stroke", INK, "stroke-width", 1.8, "stroke-dasharray", "4 3"
    };
    for (int side = -1; side <= 1; side += 2) {
      svg.path(
          "M%s %s Q%s %s %s %s"
              .formatted(
                  n(at.x(-0.16)),
                  n(at.y(side * 0.3)),
                  n(at.x(0.2)),
                  n(at.y(side * 0.5)),
                  n(at.x(0.5)),
                  n(at.y(side * 0.22))),
          chain);
    }
    svg.path(
        "M%s %s Q%s %s %s %s"
            .formatted(
                n(at.x(-0.16)),
                n(at.y(0.55)),
                n(at.x(0.35)),
                n(at.y(0.75)),
                n(at.x(0.7)),
                n(at.y(0.1))),
        "class",
        "work",
        "fill",
        "none",
        "stroke",
        Palette.WORK,
        "stroke-width",
        2.6);
    String words =
        file.breakawayLoad()
            .holding()
            .map(
                h ->
                    "cable to the switch · chains dashed · the battery lasts "
                        + Measure.MINUTES.text(h.seconds(), units))
            .orElse("cable to the switch · chains dashed · no magnets to hold");
    label(at.x(0), 222, words, "middle", INK);
  }

  private void road() {
    List<TestStop> stops = file.stops();
    if (stops.isEmpty()) {
      label(at.x(0), 222, "no stop yet", "middle", INK);
      return;
    }
    TestStop last = stops.get(stops.size() - 1);
    Stop told = last.analysed();
    double axle = sheet.si(RigField.AXLE_CENTRE);
    if (told != null && !Double.isNaN(told.trailerForce())) {
      double x = at.x(axle);
      double length = Math.min(160, 14 * told.trailerForce() / 1000);
      svg.path(
          "M%s %s l%s 0 m-9 -6 l9 6 l-9 6".formatted(n(x), n(at.y(0)), n(length)),
          "class",
          "work",
          "fill",
          "none",
          "stroke",
          Palette.WORK,
          "stroke-width",
          3.4);
      label(
          x + length + 8,
          at.y(0) + 5,
          "F " + Measure.FORCE.text(told.trailerForce(), units),
          "start",
          Palette.WORK);
    }
    if (last.outcome().locked()) {
      double half = sheet.si(RigField.OVERALL_WIDTH) / 2 + 0.06;
      for (int i : file.rig().brakedAxles()) {
        for (int side = -1; side <= 1; side += 2) {
          marks.mark(at.x(file.rig().axlePlaces()[i]), at.y(side * half), Verdict.FAILS);
        }
      }
    }
    label(
        at.x(axle),
        222,
        "last stop: gain %s, %s%s"
            .formatted(
                Measure.GAIN.number(last.gain(), units),
                last.outcome().label().toLowerCase(java.util.Locale.ROOT),
                told == null ? "" : ", " + Measure.DECELERATION.text(told.deceleration(), units)),
        "middle",
        INK);
  }

  private void handover() {
    file.setting()
        .ifPresent(
            s -> {
              double[] box = drawing.controller();
              marks.mark(at.x(box[0]), at.y(box[1]), Verdict.HOLDS);
              label(
                  at.x(box[0]),
                  222,
                  "gain %s, %s, %s behind"
                      .formatted(
                          Measure.GAIN.number(s.gain(), units),
                          s.surface().label().toLowerCase(java.util.Locale.ROOT),
                          Measure.MASS.text(s.trailerMass(), units)),
                  "middle",
                  INK);
            });
    List<Round> proof = Round.of(file.proof());
    long read = proof.stream().filter(r -> file.verdict(r) != Verdict.NOT_YET).count();
    label(
        at.x(sheet.si(RigField.AXLE_CENTRE)),
        222,
        Phrase.of("%d of %d checks read · %d stops", read, proof.size(), file.stops().size()),
        "middle",
        INK);
  }
}
