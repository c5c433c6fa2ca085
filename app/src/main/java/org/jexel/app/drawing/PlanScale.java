package org.jexel.app.drawing;

import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.RigSheet;

/**
 * Places the rig on the sheet, nose to the left, to one scale.
 *
 * @param pixels per metre
 * @param ball x of the coupling ball, px
 * @param middle y of the centre line, px
 */
public record PlanScale(double pixels, double ball, double middle) {
  public static final double WIDTH = 1240;
  public static final double HEIGHT = 230;
  private static final double MARGIN = 34;
  private static final double ACROSS = 146;

  public static PlanScale of(Rig rig) {
    RigSheet sheet = rig.sheet();
    double vehicle = sheet.si(RigField.TOW_LENGTH);
    double trailer = sheet.si(RigField.OVERALL_LENGTH);
    double widest = Math.max(sheet.si(RigField.TOW_WIDTH), sheet.si(RigField.OVERALL_WIDTH) + 0.3);
    double pixels = Math.min((WIDTH - 2 * MARGIN) / (vehicle + trailer), ACROSS / widest);
    double start = (WIDTH - pixels * (vehicle + trailer)) / 2;
    return new PlanScale(pixels, start + pixels * vehicle, 113);
  }

  /** Behind the ball, m, to px. */
  public double x(double metres) {
    return ball + pixels * metres;
  }

  /** Left of the middle, m, to px; the nose points left, so left lies below. */
  public double y(double metres) {
    return middle + pixels * metres;
  }

  public double px(double metres) {
    return pixels * metres;
  }
}
