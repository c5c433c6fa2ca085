package org.jexel.core.harness;

import java.util.ArrayList;
import java.util.List;
import org.jexel.core.rig.JointMethod;
import org.jexel.core.rig.Lamp;
import org.jexel.core.rig.LampReturn;
import org.jexel.core.rig.Material;
import org.jexel.core.rig.Plan;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.RigSheet;
import org.jexel.core.rig.YesNo;

/** What cannot be as it is drawn or chosen. Each is told beside its part; the plan goes on. */
final class PlanCheck {
  private PlanCheck() {}

  static List<Problem> of(Rig rig) {
    List<Problem> problems = new ArrayList<>();
    RigSheet sheet = rig.sheet();
    Plan plan = Plan.of(sheet);
    for (Lamp lamp : rig.fittedLamps()) {
      if (!plan.carries(lamp.x(), lamp.y())) {
        problems.add(
            new Problem(
                lamp.slot(),
                "%s, %s: hangs off the frame. Move it onto the trailer."
                    .formatted(lamp.role().label(), lamp.side().label())));
      }
    }
    parts(rig, sheet, plan, problems);
    schools(rig, sheet, problems);
    if (!rig.towConnector().takes(rig.connector())) {
      problems.add(
          new Problem(
              "connector",
              "%s on the vehicle does not take %s: change one half before anything is plugged in."
                  .formatted(rig.towConnector().label(), rig.connector().label())));
    }
    return problems;
  }

  private static void parts(Rig rig, RigSheet sheet, Plan plan, List<Problem> problems) {
    double x = sheet.si(RigField.BOX_X);
    if (!plan.carries(x, sheet.si(RigField.BOX_Y))) {
      problems.add(new Problem("box", "The box sits off the frame. Move it onto drawbar or bed."));
    }
    if (x > rig.axlePlaces()[0]) {
      problems.add(
          new Problem(
              "box",
              "The box sits behind the first axle: the cord crosses it and every run doubles back."
                  + " Put it before the axle."));
    }
    if (x + sheet.si(RigField.CORD_SLACK) < 0.1) {
      problems.add(new Problem("box", "The cord has no length. Move the box or add slack."));
    }
    if (rig.hasElectricBrakes()
        && !plan.carries(sheet.si(RigField.BREAKAWAY_X), sheet.si(RigField.BREAKAWAY_Y))) {
      problems.add(new Problem("breakaway", "The breakaway switch sits off the frame."));
    }
    if (!plan.carries(sheet.si(RigField.ENTRY_X), sheet.si(RigField.ENTRY_Y))) {
      problems.add(new Problem("entry", "The entry hole is off the frame."));
    }
  }

  private static void schools(Rig rig, RigSheet sheet, List<Problem> problems) {
    boolean byFrame = sheet.choice(RigField.LAMP_RETURN, LampReturn.class) == LampReturn.FRAME;
    if (byFrame && rig.hasMagnets()) {
      problems.add(
          new Problem(
              "brake",
              "Brakes never return through the frame alone: their returns stay conductors of their"
                  + " own."));
    }
    Material metal = sheet.choice(RigField.FRAME_MATERIAL, Material.class);
    if (byFrame && metal == Material.MIXED) {
      problems.add(
          new Problem(
              "returns",
              "This frame is no return: it is not one piece of metal. Choose own conductors."));
    }
    if (!sheet.choice(RigField.JOINT_METHOD, JointMethod.class).weatherproof()) {
      problems.add(
          new Problem(
              "joints",
              "Tap connectors belong in the dry cab only; sealed crimps are planned on the"
                  + " trailer."));
    }
    if (sheet.choice(RigField.JOINT_METHOD, JointMethod.class) == JointMethod.RINGS_IN_BOX
        && sheet.choice(RigField.PLANNED_BOX, YesNo.class) == YesNo.NO) {
      problems.add(new Problem("box", "Home runs with rings need a box. Choose one or splice."));
    }
  }
}
