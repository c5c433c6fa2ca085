package org.jexel.app.exchange;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import de.siegmar.fastcsv.reader.FieldMismatchStrategy;
import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.LineDelimiter;
import java.io.IOException;
import java.io.Reader;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.function.Consumer;
import java.util.regex.Pattern;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** Tables as text: written by RFC 4180, read as instruments write them. */
public final class Csv {
  private static final Pattern SUM = Pattern.compile("[=+@\\t\\r]|-[^\\d.,]");

  private Csv() {}

  /**
   * Hands over row after row, and holds none. Rows may be shorter or longer than the first; empty
   * ones are left out.
   *
   * @throws UncheckedIOException if the text breaks off inside quotes, goes on behind them, or
   *     holds a row that no memory takes
   */
  public static void read(Reader text, char delimiter, Consumer<CsvRecord> row) {
    try (CsvReader<CsvRecord> rows =
        CsvReader.builder()
            .fieldSeparator(delimiter)
            .allowUnclosedQuote(false)
            .extraFieldStrategy(FieldMismatchStrategy.IGNORE)
            .missingFieldStrategy(FieldMismatchStrategy.IGNORE)
            .ofCsvRecord(text)) {
      rows.forEach(row);
    } catch (CsvParseException broken) {
      throw new UncheckedIOException(broken.getMessage(), new IOException(broken));
    } catch (IOException broken) {
      throw new UncheckedIOException(broken.getMessage(), broken);
    }
  }

  /** A cell without the blanks around it; empty where the row is too short. */
  public static String cell(CsvRecord row, int at) {
    return at < row.getFieldCount() ? row.getField(at).strip() : "";
  }

  /**
   * A table as a file to be kept.
   *
   * @param name of the file, without its ending
   */
  public static ResponseEntity<byte[]> answer(
      String name, List<String> head, List<List<Object>> rows) {
    return ResponseEntity.ok()
        .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
        .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + name + ".csv\"")
        .body(text(head, rows).getBytes(StandardCharsets.UTF_8));
  }

  static String text(List<String> head, List<List<Object>> rows) {
    StringWriter text = new StringWriter();
    try (CsvWriter writer = CsvWriter.builder().lineDelimiter(LineDelimiter.CRLF).build(text)) {
      writer.writeRecord(head);
      rows.forEach(row -> writer.writeRecord(row.stream().map(Csv::written).toList()));
    } catch (IOException broken) {
      throw new UncheckedIOException(broken);
    }
    return text.toString();
  }

  /** A sheet that opens the file takes what begins so for a sum, and works it out. */
  private static String written(Object cell) {
    String text = String.valueOf(cell);
    return cell instanceof String && SUM.matcher(text).lookingAt() ? "'" + text : text;
  }
}
