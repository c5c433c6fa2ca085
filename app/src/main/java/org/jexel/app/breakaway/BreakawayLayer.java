package org.jexel.app.breakaway;

import static org.jexel.app.drawing.Palette.INK;

import org.jexel.app.drawing.Canvas;
import org.jexel.app.drawing.Look;
import org.jexel.app.job.JobFile;
import org.jexel.core.breakaway.BreakawayLoad;
import org.jexel.core.breakaway.Coupling;
import org.jexel.core.breakaway.Point;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.UnitSystem;

/** Cable and chains, and how long the battery holds. */
final class BreakawayLayer {
  private final JobFile file;
  private final UnitSystem units;
  private final Canvas canvas;

  BreakawayLayer(JobFile file, Canvas canvas) {
    this.file = file;
    this.units = file.units();
    this.canvas = canvas;
  }

  void paint() {
    Coupling coupling = file.work().breakaway().cable().window().coupling();
    Object[] chain = {
      "class", "ink", "fill", "none", "stroke", INK, "stroke-width", 1.8, "stroke-dasharray", "4 3"
    };
    coupling.chains().forEach(c -> line(c.vehicle(), c.trailer(), chain));
    line(coupling.fixing(), coupling.pin(), Look.work(2.6));
    BreakawayLoad load = file.work().breakaway().load();
    String holds =
        load.holding()
            .map(h -> "the battery lasts " + Measure.MINUTES.text(h.seconds(), units))
            .orElse(load.amps() > 0 ? "no kit entered" : "nothing electric to hold");
    String words = "cable to the switch · chains dashed · " + holds;
    canvas.foot(canvas.at().x(0), words, "middle");
  }

  private void line(Point one, Point other, Object[] look) {
    canvas
        .svg()
        .line(
            canvas.at().x(-one.x()),
            canvas.at().y(one.y()),
            canvas.at().x(-other.x()),
            canvas.at().y(other.y()),
            look);
  }
}
