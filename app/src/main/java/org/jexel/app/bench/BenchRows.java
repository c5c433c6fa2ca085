package org.jexel.app.bench;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
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
 * @param keys by which a repeated post is known; of every reading, left out or not
 */
record BenchRows(List<Reading> readings, List<Repair> repairs, Set<String> keys)
    implements StationRows {
  static BenchRows of(List<Reading> readings, List<Repair> repairs) {
    Set<String> keys = readings.stream().map(Reading::requestKey).collect(Collectors.toSet());
    return new BenchRows(readings, repairs, keys);
  }

  static BenchRows of(JobFile file) {
    return file.rows(Station.BENCH, BenchRows.class);
  }

  /** These rows and a reading that was taken just now. */
  BenchRows and(Reading newest) {
    List<Reading> all = new ArrayList<>(readings);
    all.add(newest);
    Set<String> known = new HashSet<>(keys);
    known.add(newest.requestKey());
    return new BenchRows(all, repairs, known);
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
    return new BenchRows(StoredRow.only(readings, kept), repairs, keys);
  }

  @Override
  public void tell(JobRecord.Builder record) {
    record.read(
        readings.stream().map(Reading::taken).toList(),
        repairs.stream().map(Repair::mended).toList());
  }
}
