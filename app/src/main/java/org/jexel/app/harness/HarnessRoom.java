package org.jexel.app.harness;

import java.util.List;
import org.jexel.app.drawing.Canvas;
import org.jexel.app.exchange.Sheet;
import org.jexel.app.exchange.SheetTables;
import org.jexel.app.job.HandsOn;
import org.jexel.app.job.Job;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.Looked;
import org.jexel.app.job.StationRoom;
import org.jexel.core.job.Aim;
import org.jexel.core.job.Station;
import org.springframework.stereotype.Component;

/** The harness among the stations. */
@Component
class HarnessRoom implements StationRoom, HandsOn {
  private static final Sheet COLOURS = Sheet.ofJob("colours", "built_colour");

  private final SheetTables tables;
  private final StepTickRepository ticks;
  private final BuiltColourRepository colours;

  HarnessRoom(StepTickRepository ticks, BuiltColourRepository colours, SheetTables tables) {
    this.tables = tables;
    this.ticks = ticks;
    this.colours = colours;
  }

  @Override
  public Station station() {
    return Station.HARNESS;
  }

  @Override
  public HarnessRows rows(Job job) {
    return new HarnessRows(ticks.ofJob(job.id()), colours.ofJob(job.id()));
  }

  @Override
  public String card(Aim aim) {
    return "steps";
  }

  @Override
  public void paint(JobFile file, Looked looked, Canvas canvas) {
    new HarnessLayer(file, canvas).paint();
  }

  @Override
  public List<Sheet> sheets() {
    return List.of(
        COLOURS,
        Sheet.ofJob("steps", "step_tick"),
        Sheet.ofJob("moved", "plan_move"),
        Sheet.ofJob("taken", "reel_move").without("reel_id"));
  }

  @Override
  public void handOn(JobFile from, Job to, boolean sameVehicle) {
    tables.copy(COLOURS, from.job().id(), to.id(), "true");
  }
}
