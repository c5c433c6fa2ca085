package org.jexel.app.breakaway;

import org.jexel.app.drawing.Canvas;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.Looked;
import org.jexel.app.job.StationRoom;
import org.jexel.core.job.Aim;
import org.jexel.core.job.Station;
import org.springframework.stereotype.Component;

/** The breakaway among the stations. */
@Component
class BreakawayRoom implements StationRoom {
  @Override
  public Station station() {
    return Station.BREAKAWAY;
  }

  @Override
  public String card(Aim aim) {
    return aim instanceof Aim.FitCable ? BreakawayController.CABLE : "kit";
  }

  @Override
  public void paint(JobFile file, Looked looked, Canvas canvas) {
    new BreakawayLayer(file, canvas).paint();
  }
}
