package org.jexel.app.rig;

import java.util.List;
import org.jexel.app.drawing.Canvas;
import org.jexel.app.entry.FieldView;
import org.jexel.app.entry.LampEntryRepository;
import org.jexel.app.entry.LoadLineRepository;
import org.jexel.app.entry.RigCards;
import org.jexel.app.entry.RigFigureRepository;
import org.jexel.app.entry.RigRows;
import org.jexel.app.exchange.Sheet;
import org.jexel.app.exchange.SheetTables;
import org.jexel.app.job.HandsOn;
import org.jexel.app.job.Job;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.Looked;
import org.jexel.app.job.StationRoom;
import org.jexel.core.connector.ConnectorCatalog;
import org.jexel.core.job.Aim;
import org.jexel.core.job.Station;
import org.jexel.core.rig.FieldKey;
import org.springframework.stereotype.Component;

/** The rig among the stations. */
@Component
class RigRoom implements StationRoom, HandsOn {
  private final SheetTables tables;
  private final ConnectorCatalog catalog;
  private final RigFigureRepository figures;
  private final LampEntryRepository lamps;
  private final LoadLineRepository loads;

  RigRoom(
      ConnectorCatalog catalog,
      RigFigureRepository figures,
      LampEntryRepository lamps,
      LoadLineRepository loads,
      SheetTables tables) {
    this.tables = tables;
    this.catalog = catalog;
    this.figures = figures;
    this.lamps = lamps;
    this.loads = loads;
  }

  @Override
  public Station station() {
    return Station.RIG;
  }

  @Override
  public RigRows rows(Job job) {
    return new RigRows(
        catalog,
        figures.ofParts(List.of(job.tow().id(), job.trailer().id(), job.controller().id())),
        lamps.ofPart(job.trailer().id()),
        loads.findByJobIdAndRemovedFalseOrderById(job.id()));
  }

  @Override
  public String card(Aim aim) {
    return aim instanceof Aim.Enter enter ? RigCards.cardOf(enter.field()) : "load";
  }

  @Override
  public String field(Aim aim) {
    return aim instanceof Aim.Enter enter ? FieldView.id(FieldKey.of(enter.field()).code()) : "";
  }

  @Override
  public void paint(JobFile file, Looked looked, Canvas canvas) {
    new RigLayer(file, canvas).paint();
  }

  @Override
  public List<Sheet> sheets() {
    return List.of(Sheet.ofJob("load", "load_item"));
  }

  @Override
  public void handOn(JobFile from, Job to, boolean sameVehicle) {
    sheets().forEach(sheet -> tables.copy(sheet, from.job().id(), to.id(), "not removed"));
  }
}
