package org.jexel.app.handover;

import org.jexel.app.drawing.Canvas;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.Looked;
import org.jexel.app.job.StationRoom;
import org.jexel.core.job.Aim;
import org.jexel.core.job.Station;
import org.springframework.stereotype.Component;

/** The handover among the stations. */
@Component
class HandoverRoom implements StationRoom {
  @Override
  public Station station() {
    return Station.HANDOVER;
  }

  @Override
  public String card(Aim aim) {
    return "report";
  }

  @Override
  public void paint(JobFile file, Looked looked, Canvas canvas) {
    new HandoverLayer(file, canvas).paint();
  }
}
