package org.jexel.app.job;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.EnumMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jexel.core.job.JobRecord;
import org.jexel.core.job.Shop;
import org.jexel.core.job.Station;

/** The stored rows of one job, by the station that keeps them. */
record Rows(Map<Station, StationRows> stations) {
  /** The same rows with those of some stations changed. */
  Rows with(Map<Station, StationRows> changed) {
    Map<Station, StationRows> all = new EnumMap<>(stations);
    all.putAll(changed);
    return new Rows(all);
  }

  /**
   * These rows without those that say nothing to the core any more.
   *
   * @param out takes what was left out
   */
  Rows digestible(List<LeftOut> out) {
    List<StoredRow> kept = new ArrayList<>();
    for (StoredRow row : stored()) {
      String problem = row.problem();
      if (problem.isEmpty()) {
        kept.add(row);
      } else {
        out.add(new LeftOut(row.name(), problem));
      }
    }
    return kept.size() == stored().size() ? this : only(kept);
  }

  /** Every row that may not go with the others, in the order in which they lean on each other. */
  List<StoredRow> stored() {
    return stations.values().stream().flatMap(rows -> rows.stored().stream()).toList();
  }

  /** These rows, of those that may not go together the given ones alone. */
  Rows only(Collection<StoredRow> some) {
    Set<Object> kept = Collections.newSetFromMap(new IdentityHashMap<>());
    some.forEach(row -> kept.add(row.row()));
    Map<Station, StationRows> all = new EnumMap<>(stations);
    all.replaceAll((station, rows) -> rows.only(kept::contains));
    return new Rows(all);
  }

  /** What these rows tell the core of a job. */
  JobRecord record(Job job, LocalDate day) {
    Shop shop =
        new Shop(job.workshop().stock(), job.workshop().tongueBand(), job.workshop().breakaway());
    JobRecord.Builder record = JobRecord.of(job.wish(), job.alone(), shop, day);
    stations.values().forEach(rows -> rows.tell(record));
    record.signed(job.isSigned());
    return record.build();
  }
}
