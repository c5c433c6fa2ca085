package org.jexel.app.drawing;

import org.jexel.core.rig.Rig;

/**
 * What a station paints on: the rig in plan, to scale.
 *
 * @param at where things lie
 * @param svg takes what is drawn
 * @param vehicle the tow vehicle, and where its parts are
 * @param trailer the trailer
 * @param marks verdicts and their names
 */
public record Canvas(
    PlanScale at, Svg svg, VehicleDrawing vehicle, TrailerDrawing trailer, Marks marks) {
  /** Size of what a layer says beside its drawing, px. */
  private static final double WORDS = 14;

  /** Where a layer says its one sentence, px from the top. */
  private static final double FOOT = 222;

  /** An empty sheet for a rig. */
  public static Canvas of(Rig rig, String label) {
    PlanScale at = PlanScale.of(rig);
    Svg svg = new Svg(PlanScale.WIDTH, PlanScale.HEIGHT, "group", label);
    return new Canvas(
        at,
        svg,
        new VehicleDrawing(rig, at, svg),
        new TrailerDrawing(rig, at, svg),
        new Marks(svg));
  }

  /** Words at a place, px. */
  public void label(double x, double y, String words, String anchor, String fill) {
    svg.label(x, y, words, anchor, WORDS, fill);
  }

  /** Words on the line under the rig, at a place along it, px. */
  public void foot(double x, String words, String anchor) {
    label(x, FOOT, words, anchor, Palette.INK);
  }
}
