package org.jexel.app.road;

import java.util.Comparator;
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
 * Test stops that no later row corrects, in the order in which they were driven; what was said
 * before them, and settled gains, oldest first.
 *
 * @param stops those that stand
 * @param said every word
 * @param settings every one
 * @param volts by gain, those that stand
 */
record RoadRows(
    List<StopLine> stops, List<SaidLine> said, List<GainSetting> settings, List<VoltsLine> volts)
    implements StationRows {
  /**
   * @param all every stop, corrected ones too
   * @param read all volts by gain, corrected ones too
   */
  static RoadRows standing(
      List<StopLine> all, List<SaidLine> said, List<GainSetting> settings, List<VoltsLine> read) {
    Set<Long> wrong = read.stream().map(VoltsLine::correctsId).collect(Collectors.toSet());
    Set<Long> corrected = all.stream().map(StopLine::correctsId).collect(Collectors.toSet());
    return new RoadRows(
        all.stream()
            .filter(stop -> !corrected.contains(stop.id()))
            .sorted(Comparator.comparing(StopLine::drivenAt))
            .toList(),
        said,
        settings,
        read.stream().filter(row -> !wrong.contains(row.id())).toList());
  }

  static RoadRows of(JobFile file) {
    return file.rows(Station.ROAD, RoadRows.class);
  }

  @Override
  public List<StoredRow> stored() {
    return Stream.of(
            StoredRow.of(stops, RoadRows::name, StopLine::digest),
            StoredRow.of(said, RoadRows::name, SaidLine::said),
            StoredRow.of(settings, RoadRows::name, GainSetting::setting),
            StoredRow.of(volts, RoadRows::name, VoltsLine::reading))
        .flatMap(rows -> rows)
        .toList();
  }

  private static String name(StopLine stop) {
    return Phrase.of("test stop at gain %s, row %d", stop.gain(), stop.id());
  }

  private static String name(SaidLine said) {
    return Phrase.of("word before a stop, row %d", said.id());
  }

  private static String name(VoltsLine read) {
    return Phrase.of("volts by gain, row %d", read.id());
  }

  private static String name(GainSetting setting) {
    return Phrase.of("settled gain %s, row %d", setting.gain(), setting.id());
  }

  @Override
  public RoadRows only(Predicate<Object> kept) {
    return new RoadRows(
        StoredRow.only(stops, kept),
        StoredRow.only(said, kept),
        StoredRow.only(settings, kept),
        StoredRow.only(volts, kept));
  }

  @Override
  public void tell(JobRecord.Builder record) {
    record.measured(volts.stream().map(VoltsLine::reading).toList());
    record.driven(
        stops.stream().map(StopLine::stop).toList(),
        said.stream().map(SaidLine::said).toList(),
        settings.stream().map(GainSetting::setting).toList());
  }
}
