package org.jexel.core.report;

import java.util.ArrayList;
import java.util.List;
import org.jexel.core.job.StationState;
import org.jexel.core.quantity.Verdict;
import org.jspecify.annotations.Nullable;

/**
 * One part of a report: sentences, then a table; either may be empty.
 *
 * @param title a few words, different from those of every other section
 * @param lines sentences
 * @param columns of the table
 * @param rows of the table
 */
public record Section(String title, List<String> lines, List<Column> columns, List<Row> rows) {
  public Section {
    lines = List.copyOf(lines);
    columns = List.copyOf(columns);
    rows = List.copyOf(rows);
  }

  /**
   * @param title a word or two; may be empty
   * @param figure whether figures stand in it, one below the other
   */
  public record Column(String title, boolean figure) {}

  /**
   * @param cells one for each column; the first says what the row is about
   * @param stands how it stands; null where nothing is judged
   */
  public record Row(List<String> cells, @Nullable StationState stands) {
    public Row {
      cells = List.copyOf(cells);
    }
  }

  /** Whether its rows are judged. */
  public boolean judged() {
    return rows.stream().anyMatch(row -> row.stands() != null);
  }

  static Section ofLines(String title, List<String> lines) {
    return new Section(title, lines, List.of(), List.of());
  }

  /** Takes a table row by row; for one thread. */
  static final class Table {
    private final String title;
    private final List<String> lines = new ArrayList<>();
    private final List<Column> columns = new ArrayList<>();
    private final List<Row> rows = new ArrayList<>();

    Table(String title) {
      this.title = title;
    }

    Table words(String... titles) {
      for (String column : titles) {
        columns.add(new Column(column, false));
      }
      return this;
    }

    Table figures(String... titles) {
      for (String column : titles) {
        columns.add(new Column(column, true));
      }
      return this;
    }

    Table say(String line) {
      lines.add(line);
      return this;
    }

    void row(String... cells) {
      row(null, cells);
    }

    /**
     * @param proved whether something was read for it
     */
    void judged(Verdict verdict, boolean proved, String... cells) {
      row(StationState.of(verdict, proved), cells);
    }

    private void row(@Nullable StationState stands, String... cells) {
      if (cells.length != columns.size()) {
        throw new IllegalArgumentException(
            title + ": " + cells.length + " cells under " + columns.size() + " columns");
      }
      rows.add(new Row(List.of(cells), stands));
    }

    Section section() {
      return new Section(title, lines, rows.isEmpty() ? List.of() : columns, rows);
    }
  }
}
