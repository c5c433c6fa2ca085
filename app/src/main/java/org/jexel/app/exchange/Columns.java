package org.jexel.app.exchange;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import java.io.IOException;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Types;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import javax.sql.DataSource;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * The columns of the database's tables, each with how it is written in JSON: a number, a word, true
 * or false, a moment as in {@code 2026-05-01T09:30:00Z}, a day, or bytes in base 64. Shared by all
 * threads.
 */
@Component
class Columns {
  private static final JsonNodeFactory JSON = JsonNodeFactory.instance;

  private final JdbcTemplate sql;
  private final Map<String, List<Column>> known = new ConcurrentHashMap<>();

  Columns(DataSource source) {
    this.sql = new JdbcTemplate(source);
  }

  /** One column: its own name, its name in a file, its type as in {@link Types}. */
  record Column(String name, String told, int type) {
    /** What a row says here; nothing where it says nothing. */
    @Nullable JsonNode read(ResultSet row) throws SQLException {
      Object value =
          switch (type) {
            case Types.TIMESTAMP -> row.getObject(name, LocalDateTime.class);
            case Types.DATE -> row.getObject(name, LocalDate.class);
            default -> row.getObject(name);
          };
      if (value == null) {
        return null;
      }
      return switch (type) {
        case Types.TIMESTAMP ->
            JSON.textNode(((LocalDateTime) value).toInstant(ZoneOffset.UTC).toString());
        case Types.BIT, Types.BOOLEAN -> JSON.booleanNode(row.getBoolean(name));
        case Types.DOUBLE -> JSON.numberNode(row.getDouble(name));
        case Types.TINYINT, Types.SMALLINT, Types.INTEGER, Types.BIGINT ->
            JSON.numberNode(row.getLong(name));
        case Types.BINARY, Types.VARBINARY, Types.LONGVARBINARY, Types.BLOB ->
            JSON.binaryNode(row.getBytes(name));
        default -> JSON.textNode(value.toString());
      };
    }

    /**
     * What the database is to keep of a value in a file.
     *
     * @throws Sheet.CannotStand if it is of another kind
     */
    Object value(JsonNode said) {
      try {
        return switch (type) {
          case Types.TIMESTAMP -> moment(Instant.parse(text(said)));
          case Types.DATE -> LocalDate.parse(text(said));
          case Types.BIT, Types.BOOLEAN -> said.booleanValue();
          case Types.DOUBLE -> finite(said.doubleValue());
          case Types.TINYINT, Types.SMALLINT, Types.INTEGER, Types.BIGINT -> said.longValue();
          case Types.BINARY, Types.VARBINARY, Types.LONGVARBINARY, Types.BLOB -> said.binaryValue();
          default -> text(said);
        };
      } catch (DateTimeException | IOException e) {
        throw new Sheet.CannotStand(told + " cannot be read: " + said);
      }
    }

    private String text(JsonNode said) {
      if (!said.isTextual()) {
        throw new Sheet.CannotStand(told + " is a text, not " + said);
      }
      return said.textValue();
    }

    private double finite(double value) {
      if (!Double.isFinite(value)) {
        throw new Sheet.CannotStand(told + " is larger than any figure.");
      }
      return value;
    }

    /** The database keeps thousandths of a second; anything finer would come back changed. */
    private LocalDateTime moment(Instant at) {
      if (at.getNano() % 1_000_000 != 0) {
        throw new Sheet.CannotStand(told + " is told finer than a thousandth of a second: " + at);
      }
      return LocalDateTime.ofInstant(at, ZoneOffset.UTC);
    }
  }

  /** The columns of a table, in their own order. */
  List<Column> of(String table) {
    return known.computeIfAbsent(table, name -> sql.execute((Connection c) -> read(c, name)));
  }

  private static List<Column> read(Connection connection, String table) throws SQLException {
    List<Column> columns = new ArrayList<>();
    try (ResultSet found =
        connection.getMetaData().getColumns(connection.getCatalog(), null, table, null)) {
      while (found.next()) {
        String name = found.getString("COLUMN_NAME");
        columns.add(new Column(name, told(name), found.getInt("DATA_TYPE")));
      }
    }
    return columns;
  }

  /** {@code speed_mps} is told as {@code speedMps}. */
  static String told(String column) {
    StringBuilder name = new StringBuilder();
    for (String word : column.split("_")) {
      name.append(
          name.isEmpty() ? word : Character.toUpperCase(word.charAt(0)) + word.substring(1));
    }
    return name.toString();
  }
}
