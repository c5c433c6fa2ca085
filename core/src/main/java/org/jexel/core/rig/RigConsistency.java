package org.jexel.core.rig;

import java.util.ArrayList;
import java.util.List;

/** Figures that are plausible each by itself but cannot stand together. */
public final class RigConsistency {

  /**
   * @param field where it shows
   * @param message what is wrong and what would be right
   */
  public record Problem(RigField field, String message) {}

  private RigConsistency() {}

  public static List<Problem> of(RigSheet sheet) {
    List<Problem> problems = new ArrayList<>();
    double length = sheet.si(RigField.OVERALL_LENGTH);
    double drawbar = sheet.si(RigField.DRAWBAR_LENGTH);
    double centre = sheet.si(RigField.AXLE_CENTRE);
    double axles = sheet.si(RigField.AXLE_COUNT);
    double half = (axles - 1) / 2 * sheet.si(RigField.AXLE_SPACING);
    if (axles != Math.rint(axles)) {
      both(problems, "A trailer has 1, 2 or 3 axles, not a part of one.", RigField.AXLE_COUNT);
    }
    if (drawbar >= length) {
      both(
          problems,
          "The drawbar is a part of the overall length and must be shorter.",
          RigField.DRAWBAR_LENGTH,
          RigField.OVERALL_LENGTH);
    }
    if (centre - half <= drawbar || centre + half >= length) {
      both(
          problems,
          "The axles must lie between the front and the rear of the bed.",
          RigField.AXLE_CENTRE,
          RigField.AXLE_SPACING,
          RigField.OVERALL_LENGTH,
          RigField.DRAWBAR_LENGTH);
    }
    if (sheet.si(RigField.EMPTY_BALANCE) >= length) {
      both(problems, "The centre of mass lies behind the trailer.", RigField.EMPTY_BALANCE);
    }
    if (sheet.si(RigField.WHEELBASE) + sheet.si(RigField.REAR_OVERHANG)
        >= sheet.si(RigField.TOW_LENGTH)) {
      both(
          problems,
          "Wheelbase and overhang together are longer than the vehicle.",
          RigField.WHEELBASE,
          RigField.REAR_OVERHANG,
          RigField.TOW_LENGTH);
    }
    tyres(sheet, problems);
    scale(sheet, problems);
    return problems;
  }

  private static void tyres(RigSheet sheet, List<Problem> problems) {
    for (int axle = 0; axle < sheet.si(RigField.AXLE_COUNT); axle++) {
      if (sheet.si(new FieldKey(RigField.TYRE_TABLE, axle))
          > sheet.si(new FieldKey(RigField.TYRE_WALL, axle))) {
        both(
            problems,
            "More by the table than stands on the wall: what stands on the wall is the most.",
            RigField.TYRE_TABLE,
            RigField.TYRE_WALL);
        return;
      }
    }
  }

  private static void scale(RigSheet sheet, List<Problem> problems) {
    double least = sheet.si(RigField.GAIN_LEAST);
    double greatest = sheet.si(RigField.GAIN_GREATEST);
    double step = sheet.si(RigField.GAIN_STEP);
    if (greatest <= least) {
      both(
          problems,
          "The greatest mark must lie above the least.",
          RigField.GAIN_LEAST,
          RigField.GAIN_GREATEST);
    } else if (step > greatest - least) {
      both(problems, "One step is longer than the whole scale.", RigField.GAIN_STEP);
    }
  }

  private static void both(List<Problem> problems, String message, RigField... fields) {
    for (RigField field : fields) {
      problems.add(new Problem(field, message));
    }
  }
}
