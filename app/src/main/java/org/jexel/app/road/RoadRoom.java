package org.jexel.app.road;

import org.jexel.app.drawing.Canvas;
import org.jexel.app.job.Job;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.Looked;
import org.jexel.app.job.StationRoom;
import org.jexel.core.job.Aim;
import org.jexel.core.job.Station;
import org.springframework.stereotype.Component;

/** The road among the stations. */
@Component
class RoadRoom implements StationRoom {
  private final StopLineRepository stops;
  private final SaidLineRepository said;
  private final GainSettingRepository settings;
  private final VoltsLineRepository volts;

  RoadRoom(
      StopLineRepository stops,
      SaidLineRepository said,
      GainSettingRepository settings,
      VoltsLineRepository volts) {
    this.volts = volts;
    this.stops = stops;
    this.said = said;
    this.settings = settings;
  }

  @Override
  public Station station() {
    return Station.ROAD;
  }

  @Override
  public RoadRows rows(Job job) {
    return RoadRows.standing(
        stops.ofJob(job.id()),
        said.ofJob(job.id()),
        settings.ofJob(job.id()),
        volts.ofJob(job.id()));
  }

  @Override
  public String card(Aim aim) {
    if (aim instanceof Aim.Settle) {
      return "settle";
    }
    if (aim instanceof Aim.OpenGate) {
      return "gate";
    }
    return aim instanceof Aim.DriveStop ? "stop" : "advice";
  }

  @Override
  public void paint(JobFile file, Looked looked, Canvas canvas) {
    new RoadLayer(file, canvas).paint(looked);
  }
}
