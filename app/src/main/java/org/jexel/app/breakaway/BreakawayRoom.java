package org.jexel.app.breakaway;

import org.jexel.app.drawing.Canvas;
import org.jexel.app.entry.FieldView;
import org.jexel.app.entry.RigCards;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.Looked;
import org.jexel.app.job.StationRoom;
import org.jexel.core.job.Aim;
import org.jexel.core.job.Station;
import org.jexel.core.rig.FieldKey;
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
    return aim instanceof Aim.FitCable ? BreakawayController.CABLE : RigCards.KIT.id();
  }

  @Override
  public String field(Aim aim) {
    return aim instanceof Aim.Enter enter ? FieldView.id(FieldKey.of(enter.field()).code()) : "";
  }

  @Override
  public void paint(JobFile file, Looked looked, Canvas canvas) {
    new BreakawayLayer(file, canvas).paint(looked);
  }
}
