package org.jexel.app.harness;

import static org.jexel.app.drawing.Svg.n;

import org.jexel.app.drawing.Canvas;
import org.jexel.app.drawing.Looms;
import org.jexel.app.drawing.Palette;
import org.jexel.app.drawing.PlanScale;
import org.jexel.app.job.JobFile;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.connector.WireColour;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.RigSheet;

/** The looms in the colours of their wires, and the circuit nearest its limit. */
final class HarnessLayer {
  private final JobFile file;
  private final RigSheet sheet;
  private final UnitSystem units;
  private final Canvas canvas;

  HarnessLayer(JobFile file, Canvas canvas) {
    this.file = file;
    this.sheet = file.rig().sheet();
    this.units = file.units();
    this.canvas = canvas;
  }

  /** Distance between two wires that run side by side, px. */
  private static final double LANE = 5;

  void paint() {
    new Looms(canvas.at(), canvas.svg(), file.rig().convention(), LANE)
        .draw(
            file.work().harness().plan(),
            sheet.si(RigField.BOX_X),
            file.work().harness().scope()::isNew);
    double x = 40;
    for (PinFunction function : PinFunction.values()) {
      if (file.work().harness().plan().spans().stream()
          .anyMatch(span -> span.function() == function)) {
        String colour = colour(function);
        canvas.svg().open("g", "class", "note");
        Looms.strand(canvas.svg(), "M%s 217 L%s 217".formatted(n(x), n(x + 26)), colour, "none");
        canvas.svg().close();
        String words = code(function) + " " + function.label();
        canvas.foot(x + 32, words, "start");
        x += 58 + 8.2 * words.length();
      }
    }
    file.work().harness().plan().circuits().stream()
        .filter(c -> c.function() != PinFunction.EARTH)
        .max((a, b) -> Double.compare(a.drop() / a.limit(), b.drop() / b.limit()))
        .ifPresent(
            c ->
                canvas.foot(
                    PlanScale.WIDTH - 34,
                    "nearest its limit: %s loses %s of %s"
                        .formatted(
                            c.name(),
                            Measure.VOLTS.text(c.drop(), units),
                            Measure.VOLTS.text(c.limit(), units)),
                    "end"));
  }

  private String colour(PinFunction function) {
    return Palette.wire(file.rig().convention().colour(function).orElse(WireColour.BLACK));
  }

  private String code(PinFunction function) {
    return file.rig().convention().colour(function).map(WireColour::code).orElse("–");
  }
}
