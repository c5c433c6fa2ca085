package org.jexel.app.harness;

import org.jexel.app.drawing.Canvas;
import org.jexel.app.job.Job;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.Looked;
import org.jexel.app.job.StationRoom;
import org.jexel.core.job.Aim;
import org.jexel.core.job.Station;
import org.springframework.stereotype.Component;

/** The harness among the stations. */
@Component
class HarnessRoom implements StationRoom {
  private final StepTickRepository ticks;
  private final BuiltColourRepository colours;

  HarnessRoom(StepTickRepository ticks, BuiltColourRepository colours) {
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
}
