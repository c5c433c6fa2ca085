package org.jexel.app.entry;

import java.util.List;
import org.jexel.app.exchange.Sheet;
import org.jexel.app.exchange.SheetTables;
import org.jexel.app.exchange.Sheets;
import org.jexel.app.job.HandsOn;
import org.jexel.app.job.Job;
import org.jexel.app.job.JobFile;
import org.jexel.core.rig.Subject;
import org.springframework.stereotype.Component;

/** What was entered of a vehicle, a trailer or a controller goes wherever it goes. */
@Component
class PartSheets implements Sheets, HandsOn {
  private final SheetTables tables;

  PartSheets(SheetTables tables) {
    this.tables = tables;
  }

  @Override
  public String place() {
    return OF_PART;
  }

  @Override
  public List<Sheet> sheets() {
    return List.of(
        Sheet.of("figures", "rig_figure", "part_id"), Sheet.of("lamps", "lamp_entry", "part_id"));
  }

  @Override
  public void handOn(JobFile from, Job to, boolean sameVehicle) {
    for (Subject subject : Subject.values()) {
      if (sameVehicle || subject == Subject.TRAILER) {
        for (Sheet sheet : sheets()) {
          tables.copy(sheet, from.part(subject).id(), to.part(subject).id(), "true");
        }
      }
    }
  }
}
