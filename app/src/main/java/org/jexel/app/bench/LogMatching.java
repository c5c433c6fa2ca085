package org.jexel.app.bench;

import de.siegmar.fastcsv.reader.CsvRecord;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.jexel.app.exchange.Csv;
import org.jexel.app.job.JobFile;
import org.jexel.core.check.Check;
import org.jexel.core.check.Series;
import org.jexel.core.quantity.Must;
import org.jexel.core.quantity.Parsed;
import org.jexel.core.quantity.QuantityParser;
import org.jexel.core.quantity.UnitSystem;

/** The rows of a logging meter on their way to the checks of a rig, one after the other. */
final class LogMatching {
  private static final int MOST_REASONS = 60;
  private static final int MOST_KNOWN = 4000;

  private final JobFile file;
  private final Map<String, Integer> place = new HashMap<>();
  private final Map<String, Check> named = new HashMap<>();
  private final Map<String, Deque<Check>> unread = new HashMap<>();
  private final Map<String, Map<String, BenchService.Typed>> understood = new HashMap<>();
  private final Set<String> taken;
  private final Map<String, Series> series = new LinkedHashMap<>();
  private final Map<String, String> onlyText = new HashMap<>();
  private final Map<String, LogRows.Odd> odd = new LinkedHashMap<>();
  private long rows;
  private String problem = "";

  LogMatching(JobFile file) {
    this.file = file;
    this.taken = new HashSet<>(file.work().bench().newest().keySet());
    for (Check check : file.work().bench().checks()) {
      named.putIfAbsent(check.title().toLowerCase(Locale.ROOT), check);
    }
    for (Check check : file.work().bench().checks()) {
      named.put(check.id().toLowerCase(Locale.ROOT), check);
    }
  }

  /** How many there were so far. */
  long rows() {
    return rows;
  }

  void take(CsvRecord row) {
    if (place.isEmpty()) {
      heads(row);
    } else if (problem.isEmpty()) {
      match(row);
    }
  }

  private void heads(CsvRecord row) {
    for (int i = 0; i < row.getFieldCount(); i++) {
      String name = Csv.cell(row, i).replace("\uFEFF", "").toLowerCase(Locale.ROOT);
      if (place.put(name, i) != null && !name.isEmpty()) {
        problem = "This is no readable CSV: two columns are called “" + name + "”.";
      }
    }
    if (!place.containsKey("value")) {
      problem =
          "The first line has to name its columns, “value” among them; “unit”, “check” and “time”"
              + " are understood as well.";
    }
  }

  private String cell(CsvRecord row, String column) {
    Integer at = place.get(column);
    return at == null ? "" : Csv.cell(row, at);
  }

  private void match(CsvRecord line) {
    rows++;
    long number = line.getStartingLineNumber();
    String unit = cell(line, "unit");
    String typed = (cell(line, "value") + " " + unit).strip();
    String name = cell(line, "check");
    Check check = name.isEmpty() ? next(unit) : named.get(name.toLowerCase(Locale.ROOT));
    if (check == null) {
      refuse(
          number,
          typed,
          name.isEmpty()
              ? "No unread check takes “" + typed + "”."
              : "This rig has no check called “" + name + "”.");
      return;
    }
    BenchService.Typed read = read(check, typed);
    if (read.problem() != null) {
      refuse(number, typed, read.problem());
      return;
    }
    taken.add(check.id());
    series.computeIfAbsent(check.id(), c -> new Series()).add(read.si());
    onlyText.putIfAbsent(check.id(), typed);
  }

  /** A logger writes the same few hundred values over and over. */
  private BenchService.Typed read(Check check, String typed) {
    Map<String, BenchService.Typed> known =
        understood.computeIfAbsent(check.id(), c -> new HashMap<>());
    BenchService.Typed value = known.get(typed);
    if (value == null) {
      value = BenchService.read(file, check, typed, file.units());
      if (known.size() < MOST_KNOWN) {
        known.put(typed, value);
      }
    }
    return value;
  }

  private void refuse(long number, String typed, String reason) {
    String key = odd.size() < MOST_REASONS || odd.containsKey(reason) ? reason : "";
    String told = key.isEmpty() ? "Other rows that fit nowhere." : reason;
    odd.merge(
        key,
        new LogRows.Odd(number, typed, told, 1),
        (old, one) -> new LogRows.Odd(old.first(), old.typed(), old.reason(), old.rows() + 1));
  }

  /** The next unread check of the proof that reads this unit; null if there is none. */
  private Check next(String unit) {
    Deque<Check> waiting =
        unread.computeIfAbsent(
            unit,
            u ->
                new ArrayDeque<>(
                    file.work().bench().proof().stream()
                        .filter(c -> c.measure().words().isEmpty())
                        .filter(c -> u.isEmpty() || reads(c, u))
                        .toList()));
    while (!waiting.isEmpty() && taken.contains(waiting.peek().id())) {
      waiting.poll();
    }
    return waiting.peek();
  }

  LogRows done() {
    if (!problem.isEmpty()) {
      return LogRows.refused(problem);
    }
    List<LogRows.Line> lines = new ArrayList<>();
    series.forEach(
        (id, all) -> {
          Check check = Must.have(named, id.toLowerCase(Locale.ROOT));
          boolean one = all.count() == 1;
          lines.add(
              new LogRows.Line(
                  check,
                  one
                      ? Must.have(onlyText, id)
                      : check.measure().text(all.median(), UnitSystem.METRIC).replace('−', '-'),
                  all.count(),
                  all.least(),
                  all.greatest(),
                  check.band().judge(all.median())));
        });
    return new LogRows(
        lines,
        List.copyOf(odd.values()),
        rows,
        rows == 0 ? "There is no row below the first line." : "");
  }

  private static boolean reads(Check check, String unit) {
    return QuantityParser.parse("1 " + unit, check.measure(), UnitSystem.METRIC)
        instanceof Parsed.Value;
  }
}
