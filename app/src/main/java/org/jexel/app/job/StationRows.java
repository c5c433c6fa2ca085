package org.jexel.app.job;

import java.util.List;
import java.util.function.Predicate;
import org.jexel.core.job.JobRecord;

/** The stored rows of one station for one job. Immutable. */
public interface StationRows {
  /** Of a station that keeps none. */
  StationRows NONE =
      new StationRows() {
        @Override
        public List<StoredRow> stored() {
          return List.of();
        }

        @Override
        public StationRows only(Predicate<Object> kept) {
          return this;
        }

        @Override
        public void tell(JobRecord.Builder record) {}
      };

  /** Every row that the core may not be able to digest, oldest first. */
  List<StoredRow> stored();

  /** These rows, of the stored ones those alone that are kept. */
  StationRows only(Predicate<Object> kept);

  /**
   * Tells the station's part of the job. Stations are asked in working order, so that the rig is
   * there first.
   */
  void tell(JobRecord.Builder record);
}
