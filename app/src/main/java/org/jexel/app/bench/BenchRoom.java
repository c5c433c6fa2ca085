package org.jexel.app.bench;

import java.util.List;
import org.jexel.app.drawing.Canvas;
import org.jexel.app.exchange.Sheet;
import org.jexel.app.job.Job;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.Looked;
import org.jexel.app.job.StationRoom;
import org.jexel.core.job.Aim;
import org.jexel.core.job.Station;
import org.springframework.stereotype.Component;

/** The bench among the stations. */
@Component
class BenchRoom implements StationRoom {
  /** The card on which faults are found. */
  static final String FINDER = "finder";

  private final ReadingRepository readings;
  private final RepairRepository repairs;

  BenchRoom(ReadingRepository readings, RepairRepository repairs) {
    this.readings = readings;
    this.repairs = repairs;
  }

  @Override
  public Station station() {
    return Station.BENCH;
  }

  @Override
  public BenchRows rows(Job job) {
    return BenchRows.of(readings.ofJob(job.id()), repairs.ofJob(job.id()));
  }

  @Override
  public String card(Aim aim) {
    return aim instanceof Aim.Read read ? read.id() : FINDER;
  }

  @Override
  public void paint(JobFile file, Looked looked, Canvas canvas) {
    new BenchLayer(file, canvas).paint(looked);
    new LitLayer(file, canvas).paint(looked);
  }

  @Override
  public List<Sheet> sheets() {
    return List.of(
        Sheet.ofJob("readings", "reading")
            .named()
            .naming("corrects_id", "reading")
            .naming("log_id", "meter_log"),
        Sheet.ofJob("repairs", "repair")
            .with(Sheet.of("again", "repair_again", "repair_id").by("place")));
  }
}
