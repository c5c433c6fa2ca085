package org.jexel.core.rig;

/**
 * The outline in plan that parts of the trailer may sit on: drawbar and bed.
 *
 * @param bed where the bed starts behind the ball, m
 * @param length overall, m
 * @param half half of the overall width, m
 */
public record Plan(double bed, double length, double half) {

  public static Plan of(RigSheet sheet) {
    return new Plan(
        sheet.si(RigField.DRAWBAR_LENGTH),
        sheet.si(RigField.OVERALL_LENGTH),
        sheet.si(RigField.OVERALL_WIDTH) / 2);
  }

  /** Half the width of what can carry a part at x, m: the drawbar's A, then the bed. */
  public double halfAt(double x) {
    return x >= bed ? half : half * DRAWBAR_SHARE * Math.max(0, x) / bed;
  }

  /** The A-frame meets the bed at this share of its half width. */
  public static final double DRAWBAR_SHARE = 0.62;

  /** The place on the outline nearest to where a hand wants a part, x and y. */
  public double[] nearest(double x, double y) {
    double inside = Math.max(0, Math.min(length, x));
    double edge = halfAt(inside);
    return new double[] {inside, Math.max(-edge, Math.min(edge, y))};
  }

  public boolean carries(double x, double y) {
    return x >= 0 && x <= length && Math.abs(y) <= halfAt(x) + 1e-9;
  }
}
