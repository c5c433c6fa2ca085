package org.jexel.app.road;

import de.siegmar.fastcsv.reader.CsvRecord;
import java.io.BufferedInputStream;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.jexel.app.exchange.Csv;
import org.jexel.core.quantity.Must;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.trace.Trace;
import org.jspecify.annotations.Nullable;

/**
 * A recording of a drive out of a file: CSV with a first line that names its columns, or GPX. Read
 * row by row; what cannot be read of it is told in words, what is odd is left out and counted.
 */
final class TraceReader {
  /** An hour at a hundred a second, and a little. */
  private static final int MOST = 400_000;

  private static final int LONGEST_HEAD = 1 << 14;

  /** More of a file than this is not left out in silence: it is another kind of file. */
  private static final double MOST_ODD = 0.05;

  private static final List<TraceHead.What> AXES =
      List.of(TraceHead.What.X, TraceHead.What.Y, TraceHead.What.Z);

  private final Map<TraceHead.What, Integer> place = new EnumMap<>(TraceHead.What.class);
  private final Map<TraceHead.What, Double> scale = new EnumMap<>(TraceHead.What.class);
  private final Map<TraceHead.What, Samples> column = new EnumMap<>(TraceHead.What.class);
  private final Samples time = new Samples();
  private boolean comma;
  private int odd;

  private TraceReader() {}

  /**
   * @throws IllegalArgumentException if it is no recording of a drive, with why in words
   */
  static Trace read(InputStream content) {
    try (BufferedInputStream in = new BufferedInputStream(content, 1 << 16)) {
      in.mark(LONGEST_HEAD);
      String head = new String(in.readNBytes(512), StandardCharsets.UTF_8).stripLeading();
      in.reset();
      return head.startsWith("<") || head.startsWith("\uFEFF<")
          ? TraceGpx.read(in, MOST)
          : new TraceReader().csv(in);
    } catch (IOException | UncheckedIOException broken) {
      throw new IllegalArgumentException("This is no readable CSV: its rows break off.", broken);
    }
  }

  private Trace csv(InputStream in) throws IOException {
    BufferedReader text =
        new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8), 1 << 16);
    text.mark(LONGEST_HEAD);
    char[] begin = new char[LONGEST_HEAD - 1];
    int n = text.read(begin);
    String head = n < 0 ? "" : new String(begin, 0, n).lines().findFirst().orElse("");
    text.reset();
    char delimiter = head.contains(";") ? ';' : head.contains("\t") ? '\t' : ',';
    comma = delimiter != ',';
    Csv.read(
        text,
        delimiter,
        row -> {
          if (place.isEmpty()) {
            heads(row);
          } else {
            take(row);
          }
        });
    if (place.isEmpty()) {
      throw unnamed();
    }
    return trace();
  }

  private static IllegalArgumentException unnamed() {
    return new IllegalArgumentException(
        "The first line has to name its columns: “time” and “speed”, or “time” and “ax”, “ay”, “az”.");
  }

  private void heads(CsvRecord row) {
    for (int i = 0; i < row.getFieldCount(); i++) {
      int at = i;
      TraceHead.of(row.getField(i).replace("\uFEFF", ""))
          .filter(head -> !place.containsKey(head.what()))
          .ifPresent(
              head -> {
                place.put(head.what(), at);
                if (head.scale() != null) {
                  scale.put(head.what(), head.scale());
                }
              });
    }
    if (!place.containsKey(TraceHead.What.TIME)) {
      throw unnamed();
    }
    place.keySet().stream()
        .filter(what -> what != TraceHead.What.TIME)
        .forEach(what -> column.put(what, new Samples()));
    if (column.isEmpty()) {
      throw new IllegalArgumentException(
          "There is a column for the time and none for speed or acceleration.");
    }
    if (!hasAxes()
        && column.containsKey(TraceHead.What.SPEED)
        && !scale.containsKey(TraceHead.What.SPEED)) {
      throw new IllegalArgumentException(
          "Say the unit of the speed in the first line, such as “speed (km/h)” or “speed (m/s)”.");
    }
  }

  private boolean hasAxes() {
    return AXES.stream().anyMatch(column::containsKey);
  }

  private void take(CsvRecord row) {
    double t = time(cell(row, TraceHead.What.TIME));
    boolean sound = Double.isFinite(t) && !(time.size() > 0 && t <= time.last());
    double[] read = new double[column.size()];
    int i = 0;
    for (TraceHead.What what : column.keySet()) {
      read[i] = figure(cell(row, what));
      sound &= Double.isFinite(read[i++]);
    }
    if (!sound) {
      odd++;
      return;
    }
    if (time.size() == MOST) {
      throw new IllegalArgumentException(
          Phrase.of("More than %d rows. Cut the drive, and send the part with the stops.", MOST));
    }
    time.add(t);
    i = 0;
    for (Samples samples : column.values()) {
      samples.add(read[i++]);
    }
  }

  private String cell(CsvRecord row, TraceHead.What what) {
    return Csv.cell(row, Must.have(place, what));
  }

  private double figure(String cell) {
    try {
      return cell.isEmpty()
          ? Double.NaN
          : Double.parseDouble(comma ? cell.replace(',', '.') : cell);
    } catch (NumberFormatException no) {
      return Double.NaN;
    }
  }

  /** Seconds, or a time of day, or a moment. */
  private double time(String cell) {
    if (cell.indexOf(':') < 0) {
      return figure(cell);
    }
    Double moment = moment(cell);
    if (moment != null) {
      scale.put(TraceHead.What.TIME, 1.0);
      return moment;
    }
    return Double.NaN;
  }

  static @Nullable Double moment(String text) {
    try {
      if (text.endsWith("Z")) {
        Instant at = Instant.parse(text);
        return at.getEpochSecond() + at.getNano() * 1e-9;
      }
      if (text.indexOf('-') > 0) {
        LocalDateTime at = LocalDateTime.parse(text.replace(' ', 'T'));
        return at.toEpochSecond(ZoneOffset.UTC) + at.getNano() * 1e-9;
      }
      return LocalTime.parse(text).toNanoOfDay() * 1e-9;
    } catch (DateTimeException no) {
      return null;
    }
  }

  private Trace trace() {
    if (odd > MOST_ODD * (odd + time.size())) {
      throw new IllegalArgumentException(
          Phrase.of(
              "%d of %d rows cannot be read, or their time does not rise.",
              odd, odd + time.size()));
    }
    double[] seconds = time.all();
    double first = seconds.length > 0 ? seconds[0] : 0;
    double unit = scale.getOrDefault(TraceHead.What.TIME, usual(seconds));
    for (int i = 0; i < seconds.length; i++) {
      seconds[i] = (seconds[i] - first) * unit;
    }
    if (hasAxes()) {
      return Trace.ofAxes(
          seconds,
          AXES.stream().filter(column::containsKey).map(this::si).toArray(double[][]::new));
    }
    if (column.containsKey(TraceHead.What.SPEED)) {
      return Trace.ofSpeed(seconds, si(TraceHead.What.SPEED));
    }
    return column.containsKey(TraceHead.What.DECELERATION)
        ? Trace.ofDeceleration(seconds, si(TraceHead.What.DECELERATION))
        : Trace.ofAxes(seconds, si(TraceHead.What.ALONG));
  }

  private double[] si(TraceHead.What what) {
    double by = scale.getOrDefault(what, 1.0);
    return Arrays.stream(Must.have(column, what).all()).map(v -> v * by).toArray();
  }

  /** A time without a unit: nobody records a drive by one sample in four seconds. */
  private static double usual(double[] times) {
    if (times.length < 2) {
      return 1;
    }
    double step = (times[times.length - 1] - times[0]) / (times.length - 1);
    return step < 4 ? 1 : step < 4e3 ? 1e-3 : step < 4e6 ? 1e-6 : 1e-9;
  }
}
