package org.jexel.app.road;

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
import org.jexel.core.road.Profile;
import org.jexel.core.road.Setting;
import org.springframework.stereotype.Component;

/** The road among the stations. */
@Component
class RoadRoom implements StationRoom, HandsOn {
  private static final Sheet VOLTS =
      Sheet.ofJob("volts", "gain_volts").named().naming("corrects_id", "gain_volts");

  private static final String UNCORRECTED =
      "id not in (select c.corrects_id from gain_volts c where c.corrects_id is not null)";

  private final SheetTables tables;
  private final StopLineRepository stops;
  private final SaidLineRepository said;
  private final GainSettingRepository settings;
  private final VoltsLineRepository volts;

  RoadRoom(
      StopLineRepository stops,
      SaidLineRepository said,
      GainSettingRepository settings,
      VoltsLineRepository volts,
      SheetTables tables) {
    this.tables = tables;
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

  @Override
  public List<Sheet> sheets() {
    return List.of(
        Sheet.ofJob("stops", "test_stop")
            .named()
            .naming("corrects_id", "test_stop")
            .naming("trace_id", "meter_log")
            .with(Sheet.of("wheels", "test_stop_wheel", "stop_id").by("axle, side")),
        Sheet.ofJob("said", "road_said"),
        VOLTS,
        Sheet.ofJob("settings", "gain_setting"));
  }

  @Override
  public void handOn(JobFile from, Job to, boolean sameVehicle) {
    if (sameVehicle) {
      tables.copy(VOLTS, from.job().id(), to.id(), UNCORRECTED);
      List<Setting> sound =
          from.work().road().gains().all().stream()
              .filter(Profile::soundForItsLoad)
              .map(Profile::setting)
              .toList();
      settings.ofJob(from.job().id()).stream()
          .filter(row -> sound.contains(row.setting()))
          .forEach(row -> settings.save(row.forNext(to)));
    }
  }
}
