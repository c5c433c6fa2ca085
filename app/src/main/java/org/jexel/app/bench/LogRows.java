package org.jexel.app.bench;

import java.io.IOException;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.apache.commons.csv.DuplicateHeaderMode;
import org.jexel.app.job.JobFile;
import org.jexel.core.check.Check;
import org.jexel.core.quantity.Parsed;
import org.jexel.core.quantity.QuantityParser;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;

/**
 * The CSV of a logging meter, matched to the checks of a rig: a head with <code>value</code>, and
 * <code>unit</code>, <code>check</code> (id or title) or <code>time</code> beside it, in any order.
 * A row without a check goes to the next one of the proof that is still unread and reads that unit.
 *
 * @param rows in the order of the file
 * @param problem why the file as a whole cannot be read; empty if it can
 */
record LogRows(List<Row> rows, String problem) {
  private static final int MOST = 500;

  /**
   * @param line of the file
   * @param typed value with its unit
   * @param check null where none fits
   * @param verdict as it would be judged
   * @param problem why this row cannot be recorded; empty if it can
   */
  record Row(long line, String typed, Check check, Verdict verdict, String problem) {
    public boolean good() {
      return problem.isEmpty();
    }
  }

  static LogRows of(JobFile file, String csv) {
    char separator = csv.lines().findFirst().orElse("").contains(";") ? ';' : ',';
    CSVFormat format =
        CSVFormat.DEFAULT
            .builder()
            .setDelimiter(separator)
            .setHeader()
            .setDuplicateHeaderMode(DuplicateHeaderMode.DISALLOW)
            .setSkipHeaderRecord(true)
            .setIgnoreHeaderCase(true)
            .setIgnoreEmptyLines(true)
            .setTrim(true)
            .get();
    try (CSVParser parser = CSVParser.parse(new StringReader(csv), format)) {
      if (!parser.getHeaderMap().containsKey("value")) {
        return new LogRows(
            List.of(),
            "The first line has to name its columns, “value” among them; “unit”, “check” and “time”"
                + " are understood as well.");
      }
      List<Row> rows = new ArrayList<>();
      Set<String> taken = new HashSet<>(file.newestReadings().keySet());
      for (CSVRecord line : parser) {
        if (rows.size() < MOST) {
          Row row = row(file, line, parser.getCurrentLineNumber(), taken);
          rows.add(row);
        }
      }
      return new LogRows(rows, rows.isEmpty() ? "There is no row below the first line." : "");
    } catch (IOException | RuntimeException broken) {
      return new LogRows(List.of(), "This is no readable CSV: " + broken.getMessage());
    }
  }

  private static Row row(JobFile file, CSVRecord line, long number, Set<String> taken) {
    String value = cell(line, "value");
    String unit = cell(line, "unit");
    String typed = (value + " " + unit).strip();
    String named = cell(line, "check");
    Optional<Check> check = named.isEmpty() ? next(file, unit, taken) : named(file, named);
    if (check.isEmpty()) {
      String why =
          named.isEmpty()
              ? "No unread check takes “" + typed + "”."
              : "This rig has no check called “" + named + "”.";
      return new Row(number, typed, null, Verdict.NOT_YET, why);
    }
    BenchService.Typed read = BenchService.read(check.get(), typed, file.units());
    if (read.problem() != null) {
      return new Row(number, typed, check.get(), Verdict.NOT_YET, read.problem());
    }
    if (!taken.add(check.get().id()) && named.isEmpty()) {
      return new Row(number, typed, check.get(), Verdict.NOT_YET, "It was read already.");
    }
    return new Row(number, typed, check.get(), check.get().band().judge(read.si()), "");
  }

  private static String cell(CSVRecord line, String column) {
    return line.isMapped(column) && line.isSet(column) ? line.get(column).strip() : "";
  }

  private static Optional<Check> named(JobFile file, String name) {
    return file.checks().stream()
        .filter(c -> c.id().equalsIgnoreCase(name) || c.title().equalsIgnoreCase(name))
        .findFirst();
  }

  private static Optional<Check> next(JobFile file, String unit, Set<String> taken) {
    return file.proof().stream()
        .filter(c -> c.measure().words().isEmpty() && !taken.contains(c.id()))
        .filter(c -> unit.isEmpty() || reads(c, unit))
        .findFirst();
  }

  private static boolean reads(Check check, String unit) {
    return QuantityParser.parse("1 " + unit, check.measure(), UnitSystem.METRIC)
        instanceof Parsed.Value;
  }

  /** How many can be recorded. */
  public long good() {
    return rows.stream().filter(Row::good).count();
  }
}
