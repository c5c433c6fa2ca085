package org.jexel.app.bench;

import java.util.List;
import java.util.function.Predicate;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.StationRows;
import org.jexel.app.job.StoredRow;
import org.jexel.core.job.JobRecord;
import org.jexel.core.job.Station;
import org.jexel.core.quantity.Phrase;

/**
 * Readings and repairs, oldest first.
 *
 * @param readings every one, corrected ones too
 */
record BenchRows(List<Reading> readings, List<Repair> repairs) implements StationRows {
  static BenchRows of(JobFile file) {
    return file.rows(Station.BENCH, BenchRows.class);
  }

  @Override
  public List<StoredRow> stored() {
    return StoredRow.of(readings, BenchRows::name, Reading::digest).toList();
  }

  private static String name(Reading reading) {
    return Phrase.of("reading “%s” of %s, row %d", reading.typed(), reading.title(), reading.id());
  }

  @Override
  public BenchRows only(Predicate<Object> kept) {
    return new BenchRows(StoredRow.only(readings, kept), repairs);
  }

  @Override
  public void tell(JobRecord.Builder record) {
    record.read(
        readings.stream().map(Reading::taken).toList(),
        repairs.stream().map(Repair::mended).toList());
  }
}
