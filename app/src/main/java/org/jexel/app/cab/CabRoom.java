package org.jexel.app.cab;

import java.util.List;
import org.jexel.app.drawing.Canvas;
import org.jexel.app.entry.FieldView;
import org.jexel.app.exchange.Sheet;
import org.jexel.app.exchange.SheetTables;
import org.jexel.app.job.HandsOn;
import org.jexel.app.job.Job;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.Looked;
import org.jexel.app.job.StationRoom;
import org.jexel.core.job.Aim;
import org.jexel.core.job.Station;
import org.jexel.core.rig.FieldKey;
import org.springframework.stereotype.Component;

/** The cab among the stations. */
@Component
class CabRoom implements StationRoom, HandsOn {
  private final SheetTables tables;
  private final CabNoteRepository notes;

  CabRoom(CabNoteRepository notes, SheetTables tables) {
    this.tables = tables;
    this.notes = notes;
  }

  @Override
  public Station station() {
    return Station.CAB;
  }

  @Override
  public CabRows rows(Job job) {
    return new CabRows(notes.newestOf(job.id()), job.controller().model());
  }

  @Override
  public String card(Aim aim) {
    return aim instanceof Aim.FitController fit ? CabCards.of(fit.topic()) : CabCards.CONTROLLER;
  }

  @Override
  public String field(Aim aim) {
    return aim instanceof Aim.Enter enter ? FieldView.id(FieldKey.of(enter.field()).code()) : "";
  }

  @Override
  public void paint(JobFile file, Looked looked, Canvas canvas) {
    new CabLayer(file, canvas).paint();
  }

  @Override
  public List<Sheet> sheets() {
    return List.of(Sheet.ofJob("notes", "cab_note"));
  }

  @Override
  public void handOn(JobFile from, Job to, boolean sameVehicle) {
    if (sameVehicle) {
      sheets().forEach(sheet -> tables.copy(sheet, from.job().id(), to.id(), "true"));
    }
  }
}
