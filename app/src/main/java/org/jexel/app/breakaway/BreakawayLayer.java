package org.jexel.app.breakaway;

import static org.jexel.app.drawing.Palette.INK;

import org.jexel.app.drawing.Canvas;
import org.jexel.app.drawing.Look;
import org.jexel.app.job.JobFile;
import org.jexel.core.breakaway.BreakawayLoad;
import org.jexel.core.breakaway.CableFit;
import org.jexel.core.breakaway.Coupling;
import org.jexel.core.breakaway.Point;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.UnitSystem;

/** Cable and chains as they hang, straight behind, and how long the battery holds. */
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
    CableFit fit = file.work().breakaway().cable();
    Coupling coupling = fit.window().coupling();
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
    if (!file.rig().hasElectricBrakes() && !fit.known()) {
      canvas.foot(canvas.at().x(0), "chains dashed · " + holds, "middle");
      return;
    }
    String cable = fit.known() ? "cable " + length(fit.length()) : "cable not measured";
    String words =
        "%s, may be %s to %s · chains dashed · %s"
            .formatted(cable, length(fit.window().least()), length(fit.window().greatest()), holds);
    canvas.foot(canvas.at().x(0), words, "middle");
  }

  private String length(double metres) {
    return Measure.SMALL_LENGTH.text(metres, units);
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
