package org.jexel.app.harness;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.StationRows;
import org.jexel.app.job.StoredRow;
import org.jexel.core.connector.WireColour;
import org.jexel.core.harness.Crosswalk;
import org.jexel.core.job.JobRecord;
import org.jexel.core.job.Station;

/** The newest tick of each step, and the colours that people found. */
final class HarnessRows implements StationRows {
  private final Map<String, StepTick> newest = new LinkedHashMap<>();
  private final Map<Crosswalk.Seen, WireColour> built = new HashMap<>();

  /**
   * @param ticks every one, oldest first
   * @param colours every one, oldest first
   */
  HarnessRows(List<StepTick> ticks, List<BuiltColour> colours) {
    ticks.forEach(tick -> newest.put(tick.step(), tick));
    for (BuiltColour row : colours) {
      if (!row.readable()) {
        continue;
      }
      WireColour colour = row.colour();
      if (colour == null) {
        built.remove(row.place());
      } else {
        built.put(row.place(), colour);
      }
    }
  }

  /** Who ticked a step; empty while it is not ticked. */
  static Optional<StepTick> tick(JobFile file, String step) {
    HarnessRows rows = file.rows(Station.HARNESS, HarnessRows.class);
    return Optional.ofNullable(rows.newest.get(step)).filter(StepTick::done);
  }

  /** Every tick that stands, also of what the plan does not ask for any more. */
  static List<StepTick> ticks(JobFile file) {
    HarnessRows rows = file.rows(Station.HARNESS, HarnessRows.class);
    return rows.newest.values().stream().filter(StepTick::done).toList();
  }

  @Override
  public List<StoredRow> stored() {
    return List.of();
  }

  @Override
  public HarnessRows only(Predicate<Object> kept) {
    return this;
  }

  @Override
  public void tell(JobRecord.Builder record) {
    record.ticked(newest.values().stream().filter(StepTick::done).map(StepTick::told).toList());
    record.coloured(built);
  }
}
