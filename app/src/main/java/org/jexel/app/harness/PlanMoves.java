package org.jexel.app.harness;

import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jexel.app.drawing.PlanDrawing;
import org.jexel.app.entry.FigureCards;
import org.jexel.app.entry.LampEntries;
import org.jexel.app.job.JobFile;
import org.jexel.core.quantity.Must;
import org.jexel.core.quantity.Provenance;
import org.jexel.core.rig.Entry;
import org.jexel.core.rig.FieldKey;
import org.jexel.core.rig.Lamp;
import org.jexel.core.rig.Plan;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.RigSheet;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Moves parts about the plan drawing, and takes moves back one by one. */
@Service
public class PlanMoves {
  /** Parts that are figures of the sheet; every other part is a lamp by its slot. */
  private static final Map<String, RigField[]> FIGURES =
      Map.of(
          "box", new RigField[] {RigField.BOX_X, RigField.BOX_Y},
          "entry", new RigField[] {RigField.ENTRY_X, RigField.ENTRY_Y},
          "breakaway", new RigField[] {RigField.BREAKAWAY_X, RigField.BREAKAWAY_Y});

  private final PlanMoveRepository moves;
  private final FigureCards figures;
  private final LampEntries lamps;
  private final Clock clock;

  PlanMoves(PlanMoveRepository moves, FigureCards figures, LampEntries lamps, Clock clock) {
    this.moves = moves;
    this.figures = figures;
    this.lamps = lamps;
    this.clock = clock;
  }

  static List<PlanDrawing.Part> parts(JobFile file) {
    RigSheet sheet = file.rig().sheet();
    List<PlanDrawing.Part> parts = new ArrayList<>();
    parts.add(part(sheet, "box", "Junction box"));
    parts.add(part(sheet, "entry", "Entry hole"));
    if (file.rig().hasElectricBrakes()) {
      parts.add(part(sheet, "breakaway", "Breakaway switch"));
    }
    for (Lamp lamp : file.rig().fittedLamps()) {
      parts.add(
          new PlanDrawing.Part(
              lamp.slot(), lamp.role().label() + ", " + lamp.side().label(), lamp.x(), lamp.y()));
    }
    return parts;
  }

  private static PlanDrawing.Part part(RigSheet sheet, String name, String label) {
    RigField[] fields = Must.have(FIGURES, name);
    return new PlanDrawing.Part(name, label, sheet.si(fields[0]), sheet.si(fields[1]));
  }

  /**
   * Moves a part; one that would leave the frame stops at its edge.
   *
   * @return whether it moved
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public boolean move(JobFile file, String name, double x, double y) {
    Optional<PlanDrawing.Part> part =
        parts(file).stream().filter(p -> p.name().equals(name)).findFirst();
    if (part.isEmpty() || !Double.isFinite(x) || !Double.isFinite(y)) {
      return false;
    }
    Plan plan = Plan.of(file.rig().sheet());
    double[] to = plan.nearest(round(x), round(y));
    double[] from = {part.get().x(), part.get().y()};
    if (to[0] == from[0] && to[1] == from[1]) {
      return false;
    }
    put(file, name, to[0], to[1]);
    moves.save(new PlanMove(file.job(), name, from, to, file.person(), clock.instant()));
    moves.flush();
    file.changed();
    return true;
  }

  private static double round(double metres) {
    return Math.round(metres * 100) / 100.0;
  }

  private void put(JobFile file, String name, double x, double y) {
    RigField[] fields = FIGURES.get(name);
    if (fields == null) {
      file.rig().lamps().stream()
          .filter(lamp -> lamp.slot().equals(name))
          .findFirst()
          .ifPresent(lamp -> lamps.enter(file, lamp.at(x, y)));
      return;
    }
    figures.enter(file, FieldKey.of(fields[0]), Entry.number(x, Provenance.CHOSEN));
    figures.enter(file, FieldKey.of(fields[1]), Entry.number(y, Provenance.CHOSEN));
  }

  /**
   * Takes the last move back that still stands, whoever made it.
   *
   * @return whether there was one
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public boolean undo(JobFile file) {
    Optional<PlanMove> last = moves.findFirstByJobIdAndUndoneFalseOrderByIdDesc(file.job().id());
    if (last.isEmpty()) {
      return false;
    }
    PlanMove move = last.get();
    put(file, move.part(), move.fromX(), move.fromY());
    move.undo();
    moves.flush();
    file.changed();
    return true;
  }

  @Transactional(readOnly = true)
  public boolean canUndo(JobFile file) {
    return moves.findFirstByJobIdAndUndoneFalseOrderByIdDesc(file.job().id()).isPresent();
  }
}
