package org.jexel.app.breakaway;

import static org.jexel.app.drawing.Palette.INK;
import static org.jexel.app.drawing.Svg.n;

import org.jexel.app.drawing.Canvas;
import org.jexel.app.drawing.Look;
import org.jexel.app.job.JobFile;
import org.jexel.core.breakaway.BreakawayLoad;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.RigSheet;

/** Cable and chains, and how long the battery holds. */
final class BreakawayLayer {
  private final JobFile file;
  private final RigSheet sheet;
  private final UnitSystem units;
  private final Canvas canvas;

  BreakawayLayer(JobFile file, Canvas canvas) {
    this.file = file;
    this.sheet = file.rig().sheet();
    this.units = file.units();
    this.canvas = canvas;
  }

  void paint() {
    Object[] chain = {
      "class", "ink", "fill", "none", "stroke", INK, "stroke-width", 1.8, "stroke-dasharray", "4 3"
    };
    for (int side = -1; side <= 1; side += 2) {
      canvas
          .svg()
          .path(
              "M%s %s Q%s %s %s %s"
                  .formatted(
                      n(canvas.at().x(-0.16)),
                      n(canvas.at().y(side * 0.3)),
                      n(canvas.at().x(0.2)),
                      n(canvas.at().y(side * 0.5)),
                      n(canvas.at().x(0.5)),
                      n(canvas.at().y(side * 0.22))),
              chain);
    }
    canvas
        .svg()
        .path(
            "M%s %s Q%s %s %s %s"
                .formatted(
                    n(canvas.at().x(-0.16)),
                    n(canvas.at().y(0.55)),
                    n(canvas.at().x(0.35)),
                    n(canvas.at().y(0.75)),
                    n(canvas.at().x(0.7)),
                    n(canvas.at().y(0.1))),
            Look.work(2.6));
    BreakawayLoad load = file.work().breakaway().load();
    String holds =
        load.holding()
            .map(h -> "the battery lasts " + Measure.MINUTES.text(h.seconds(), units))
            .orElse(load.amps() > 0 ? "no kit entered" : "nothing electric to hold");
    String words = "cable to the switch · chains dashed · " + holds;
    canvas.foot(canvas.at().x(0), words, "middle");
  }
}
