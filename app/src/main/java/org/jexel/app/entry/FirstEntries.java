package org.jexel.app.entry;

import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jexel.app.job.JobFile;
import org.jexel.app.workshop.Words;
import org.jexel.core.connector.ConnectorCatalog;
import org.jexel.core.rig.Entry;
import org.jexel.core.rig.FieldKey;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigSheet;
import org.jexel.core.rig.Subject;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A rig as it came: what the job before left, and of the rest what was entered first. */
@Service
public class FirstEntries {
  private final RigFigureRepository figures;
  private final ConnectorCatalog catalog;

  FirstEntries(RigFigureRepository figures, ConnectorCatalog catalog) {
    this.figures = figures;
    this.catalog = catalog;
  }

  /** With the lamps and the load of now: they do not say what was there before. */
  @Transactional(readOnly = true)
  public Rig asFound(JobFile file) {
    Instant begun = file.job().createdAt();
    Map<FieldKey, Entry> first = new LinkedHashMap<>();
    for (RigFigure row : figures.everyOf(parts(file))) {
      if (Words.known(() -> digest(row))) {
        boolean handedOn = row.enteredAt().isBefore(begun);
        if (row.cleared() && handedOn) {
          first.remove(row.key());
        } else if (!row.cleared() && (handedOn || !first.containsKey(row.key()))) {
          first.put(row.key(), row.entry());
        }
      }
    }
    return new Rig(new RigSheet(first, catalog), file.rig().lamps(), file.rig().load());
  }

  private static List<Long> parts(JobFile file) {
    return List.of(
        file.part(Subject.TOW).id(),
        file.part(Subject.TRAILER).id(),
        file.part(Subject.CONTROLLER).id());
  }

  private RigFigure digest(RigFigure row) {
    FieldKey key = row.key();
    if (!row.cleared()) {
      RigSheet.check(key, row.entry(), catalog);
    }
    return row;
  }
}
