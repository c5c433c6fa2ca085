package org.jexel.app.entry;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.StationRows;
import org.jexel.app.job.StoredRow;
import org.jexel.core.connector.ConnectorCatalog;
import org.jexel.core.job.JobRecord;
import org.jexel.core.job.Station;
import org.jexel.core.rig.Entry;
import org.jexel.core.rig.FieldKey;
import org.jexel.core.rig.LampOffer;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigSheet;

/**
 * What people entered of a rig: the newest row of each figure and of each lamp, and the lines of
 * the load sheet.
 */
public final class RigRows implements StationRows {
  private final ConnectorCatalog catalog;
  private final List<RigFigure> figures;
  private final List<LampEntry> lamps;
  private final List<LoadLine> loads;

  public RigRows(
      ConnectorCatalog catalog,
      List<RigFigure> figures,
      List<LampEntry> lamps,
      List<LoadLine> loads) {
    this.catalog = catalog;
    this.figures = figures;
    this.lamps = lamps;
    this.loads = loads;
  }

  public static RigRows of(JobFile file) {
    return file.rows(Station.RIG, RigRows.class);
  }

  /** The newest row of a field, a clearing one included. */
  Optional<RigFigure> figure(FieldKey key) {
    return figures.stream().filter(row -> row.key().equals(key)).findFirst();
  }

  public List<LoadLine> loads() {
    return loads;
  }

  @Override
  public List<StoredRow> stored() {
    return Stream.of(
            StoredRow.of(figures, f -> "figure " + f.code() + ", row " + f.id(), this::digest),
            StoredRow.of(lamps, l -> "lamp " + l.slot() + ", row " + l.id(), LampEntry::lamp),
            StoredRow.of(loads, l -> "load “" + l.name() + "”, row " + l.id(), LoadLine::item))
        .flatMap(rows -> rows)
        .toList();
  }

  private void digest(RigFigure row) {
    FieldKey key = row.key();
    if (!row.cleared()) {
      RigSheet.check(key, row.entry(), catalog);
    }
  }

  @Override
  public RigRows only(Predicate<Object> kept) {
    return new RigRows(
        catalog,
        StoredRow.only(figures, kept),
        StoredRow.only(lamps, kept),
        StoredRow.only(loads, kept));
  }

  @Override
  public void tell(JobRecord.Builder record) {
    Map<FieldKey, Entry> entries =
        figures.stream()
            .filter(row -> !row.cleared())
            .collect(
                Collectors.toMap(
                    RigFigure::key, RigFigure::entry, (older, newer) -> newer, LinkedHashMap::new));
    RigSheet sheet = new RigSheet(entries, catalog);
    record.rig(
        new Rig(
            sheet,
            LampOffer.with(sheet, lamps.stream().map(LampEntry::lamp).toList()),
            loads.stream().map(LoadLine::item).toList()));
  }
}
