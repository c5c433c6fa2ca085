package org.jexel.app.cab;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.StationRows;
import org.jexel.app.job.StoredRow;
import org.jexel.app.library.ControllerEntry;
import org.jexel.core.job.JobRecord;
import org.jexel.core.job.Station;

/** The newest note of each card of the cab, and the controller's model in the library. */
final class CabRows implements StationRows {
  private final List<CabNote> notes;
  private final Optional<ControllerEntry> model;

  CabRows(List<CabNote> notes, Optional<ControllerEntry> model) {
    this.notes = notes;
    this.model = model;
  }

  /** The newest note of a card. */
  static Optional<CabNote> note(JobFile file, String card) {
    return file.rows(Station.CAB, CabRows.class).notes.stream()
        .filter(note -> note.card().equals(card))
        .findFirst();
  }

  /** What was typed last on a card, by field. */
  static Map<String, String> typed(JobFile file, String card) {
    return note(file, card).map(CabNote::fields).orElse(Map.of());
  }

  @Override
  public List<StoredRow> stored() {
    Stream<StoredRow> library =
        StoredRow.of(
            model.stream().toList(),
            entry -> "controller model “" + entry.label() + "”",
            CabRows::digest);
    return Stream.concat(
            library,
            StoredRow.of(
                notes, note -> "cab card “" + note.card() + "”, row " + note.id(), CabNote::fields))
        .toList();
  }

  private static void digest(ControllerEntry entry) {
    if (!entry.readable()) {
      throw new IllegalArgumentException("it cannot be read");
    }
  }

  @Override
  public CabRows only(Predicate<Object> kept) {
    return new CabRows(StoredRow.only(notes, kept), model.filter(kept));
  }

  @Override
  public void tell(JobRecord.Builder record) {
    Map<String, Map<String, String>> typed = new LinkedHashMap<>();
    notes.forEach(note -> typed.put(note.card(), note.fields()));
    record.found(CabFound.of(record.rig(), typed, model.map(ControllerEntry::model)));
  }
}
