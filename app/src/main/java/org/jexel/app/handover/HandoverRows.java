package org.jexel.app.handover;

import java.util.List;
import java.util.function.Predicate;
import org.jexel.app.job.StationRows;
import org.jexel.app.job.StoredRow;
import org.jexel.core.job.JobRecord;
import org.jexel.core.quantity.Phrase;

/**
 * What is kept of a rig after the work.
 *
 * @param lists walked before journeys, in the order in which that was
 */
record HandoverRows(List<TowLine> lists) implements StationRows {
  @Override
  public List<StoredRow> stored() {
    return StoredRow.of(lists, HandoverRows::name, TowLine::list).toList();
  }

  private static String name(TowLine list) {
    return Phrase.of("list before a journey, row %d", list.id());
  }

  @Override
  public HandoverRows only(Predicate<Object> kept) {
    return new HandoverRows(StoredRow.only(lists, kept));
  }

  @Override
  public void tell(JobRecord.Builder record) {
    record.lookedOver(lists.stream().map(TowLine::list).toList());
  }
}
