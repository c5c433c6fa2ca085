package org.jexel.app.road;

import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.StationRows;
import org.jexel.app.job.StoredRow;
import org.jexel.core.job.JobRecord;
import org.jexel.core.job.Station;
import org.jexel.core.quantity.Phrase;

/**
 * Test stops that no later row corrects, what was said before them, and settled gains, oldest
 * first.
 *
 * @param stops those that stand
 * @param said every word
 * @param settings every one
 */
record RoadRows(List<StopLine> stops, List<SaidLine> said, List<GainSetting> settings)
    implements StationRows {
  /**
   * @param all every stop, corrected ones too
   */
  static RoadRows standing(List<StopLine> all, List<SaidLine> said, List<GainSetting> settings) {
    Set<Long> corrected = all.stream().map(StopLine::correctsId).collect(Collectors.toSet());
    return new RoadRows(
        all.stream().filter(stop -> !corrected.contains(stop.id())).toList(), said, settings);
  }

  static RoadRows of(JobFile file) {
    return file.rows(Station.ROAD, RoadRows.class);
  }

  @Override
  public List<StoredRow> stored() {
    return Stream.of(
            StoredRow.of(stops, RoadRows::name, StopLine::digest),
            StoredRow.of(said, RoadRows::name, SaidLine::said),
            StoredRow.of(settings, RoadRows::name, GainSetting::setting))
        .flatMap(rows -> rows)
        .toList();
  }

  private static String name(StopLine stop) {
    return Phrase.of("test stop at gain %s, row %d", stop.gain(), stop.id());
  }

  private static String name(SaidLine said) {
    return Phrase.of("word before a stop, row %d", said.id());
  }

  private static String name(GainSetting setting) {
    return Phrase.of("settled gain %s, row %d", setting.gain(), setting.id());
  }

  @Override
  public RoadRows only(Predicate<Object> kept) {
    return new RoadRows(
        StoredRow.only(stops, kept), StoredRow.only(said, kept), StoredRow.only(settings, kept));
  }

  @Override
  public void tell(JobRecord.Builder record) {
    record.driven(
        stops.stream().map(StopLine::stop).toList(),
        said.stream().map(SaidLine::said).toList(),
        settings.stream().map(GainSetting::setting).toList());
  }
}
