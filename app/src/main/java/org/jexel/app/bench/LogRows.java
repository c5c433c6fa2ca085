package org.jexel.app.bench;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.function.LongConsumer;
import org.jexel.app.exchange.Csv;
import org.jexel.app.job.JobFile;
import org.jexel.core.check.Check;
import org.jexel.core.check.Series;
import org.jexel.core.quantity.Verdict;

/**
 * The CSV of a logging meter, matched to the checks of a rig: a head with <code>value</code>, and
 * <code>unit</code>, <code>check</code> (id or title) or <code>time</code> beside it, in any order.
 * All rows of one check make one reading, their {@link Series}. A row without a check goes to the
 * next one of the proof that is still unread and reads that unit.
 *
 * @param lines a reading each, in the order in which their first rows stand
 * @param odd rows that fit nowhere, by their reason
 * @param rows how many there are
 * @param problem why the file as a whole cannot be read; empty if it can
 */
record LogRows(List<Line> lines, List<Odd> odd, long rows, String problem) {
  private static final int LONGEST_HEAD = 1 << 16;
  private static final int TELL_EVERY = 5000;

  /**
   * What one check was read as.
   *
   * @param typed value with its unit
   * @param least of the rows, SI
   * @param greatest of the rows, SI
   * @param verdict as it would be judged
   */
  record Line(Check check, String typed, int rows, double least, double greatest, Verdict verdict) {
    public boolean steady() {
      return rows == 1 || least == greatest;
    }
  }

  /**
   * Rows that cannot be recorded.
   *
   * @param first line of the file
   */
  record Odd(long first, String typed, String reason, long rows) {}

  static LogRows of(JobFile file, InputStream content, LongConsumer progress) throws IOException {
    BufferedReader text =
        new BufferedReader(new InputStreamReader(content, StandardCharsets.UTF_8), LONGEST_HEAD);
    text.mark(LONGEST_HEAD - 1);
    String head = text.readLine();
    if (head == null || head.length() >= LONGEST_HEAD - 1) {
      return refused("There is no first line that names columns.");
    }
    text.reset();
    LogMatching matching = new LogMatching(file);
    try {
      Csv.read(
          text,
          head.contains(";") ? ';' : ',',
          row -> {
            matching.take(row);
            if (matching.rows() % TELL_EVERY == 0) {
              progress.accept(matching.rows());
            }
          });
    } catch (UncheckedIOException broken) {
      return refused("This is no readable CSV: " + broken.getMessage());
    }
    return matching.done();
  }

  static LogRows refused(String problem) {
    return new LogRows(List.of(), List.of(), 0, problem);
  }

  /** How many rows can be recorded. */
  public long good() {
    return lines.stream().mapToLong(Line::rows).sum();
  }
}
