package org.jexel.app.exchange;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.namedparam.NamedParameterJdbcTemplate;
import org.springframework.jdbc.support.GeneratedKeyHolder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Reads the rows of a job into its file, and writes those of a file as rows of a job. */
@Service
public class SheetTables {
  private static final String PERSON = "person_id";
  private static final String BY = "by";
  private static final String NUMBER = "number";

  private final JdbcTemplate sql;
  private final NamedParameterJdbcTemplate named;
  private final Columns columns;

  SheetTables(JdbcTemplate sql, Columns columns) {
    this.sql = sql;
    this.named = new NamedParameterJdbcTemplate(sql);
    this.columns = columns;
  }

  /** The rows of a table that belong to a job or a part, with what belongs to them. */
  @Transactional(propagation = Propagation.MANDATORY)
  public ArrayNode read(Sheet sheet, long parent, SheetNames names) {
    ArrayNode all = JsonNodeFactory.instance.arrayNode();
    rows(sheet, List.of(parent), names).values().forEach(all::addAll);
    return all;
  }

  private Map<Long, ArrayNode> rows(Sheet sheet, Collection<Long> parents, SheetNames names) {
    Map<Long, ArrayNode> found = new HashMap<>();
    Map<Long, ObjectNode> byId = new LinkedHashMap<>();
    if (parents.isEmpty()) {
      return found;
    }
    named.query(
        "select * from %s where %s in (:parents) and %s order by %s, %s"
            .formatted(sheet.table(), sheet.parent(), sheet.where(), sheet.parent(), sheet.order()),
        Map.of("parents", parents),
        row -> {
          ObjectNode told = told(sheet, row, names);
          long parent = row.getLong(sheet.parent());
          found.computeIfAbsent(parent, any -> JsonNodeFactory.instance.arrayNode()).add(told);
          if (!sheet.under().isEmpty()) {
            byId.put(row.getLong("id"), told);
          }
        });
    for (Sheet inner : sheet.under()) {
      Map<Long, ArrayNode> lists = rows(inner, byId.keySet(), names);
      byId.forEach((id, told) -> put(told, inner.name(), lists.get(id)));
    }
    return found;
  }

  private static void put(ObjectNode row, String name, @Nullable ArrayNode list) {
    if (list != null) {
      row.set(name, list);
    }
  }

  private ObjectNode told(Sheet sheet, ResultSet row, SheetNames names) throws SQLException {
    ObjectNode told = JsonNodeFactory.instance.objectNode();
    if (sheet.numbered()) {
      told.put(NUMBER, names.next(sheet.table(), row.getLong("id")));
    }
    for (Columns.Column column : columns.of(sheet.table())) {
      String other = sheet.refs().get(column.name());
      JsonNode said = sheet.tells(column.name()) ? column.read(row) : null;
      if (said == null) {
        continue;
      }
      if (column.name().equals(PERSON)) {
        told.put(BY, names.told(said.longValue()));
      } else if (other != null) {
        told.set(bare(column), names.told(other, said.longValue()));
      } else {
        told.set(column.told(), said);
      }
    }
    return told;
  }

  /** {@code corrects_id} is told as {@code corrects}. */
  private static String bare(Columns.Column column) {
    return Columns.told(column.name().substring(0, column.name().lastIndexOf("_id")));
  }

  /**
   * Writes the rows of a file.
   *
   * @param parent the job or the part that they belong to now
   * @throws Sheet.CannotStand at the first row that cannot be taken
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public void write(Sheet sheet, @Nullable JsonNode rows, long parent, SheetNames names) {
    int place = 0;
    for (JsonNode row : rows == null ? JsonNodeFactory.instance.arrayNode() : rows) {
      place++;
      String what = sheet.name() + " " + place;
      try {
        sheet.check().accept((ObjectNode) row);
        long id = insert(sheet, (ObjectNode) row, parent, names, place);
        if (sheet.numbered()) {
          names.taken(sheet.table(), row.get(NUMBER).longValue(), id);
        }
        for (Sheet inner : sheet.under()) {
          write(inner, row.get(inner.name()), id, names);
        }
      } catch (Sheet.CannotStand cannot) {
        throw new Sheet.CannotStand(what + ": " + cannot.getMessage());
      }
    }
  }

  private long insert(Sheet sheet, ObjectNode row, long parent, SheetNames names, int place) {
    Map<String, Object> values = new LinkedHashMap<>();
    boolean hasId = false;
    for (Columns.Column column : columns.of(sheet.table())) {
      hasId |= column.name().equals("id");
      Object value = value(sheet, column, row, names);
      if (column.name().equals(sheet.parent())) {
        value = parent;
      } else if (column.name().equals("request_key")) {
        value = "from a file, " + place;
      } else if (column.name().equals("version")) {
        value = 0;
      }
      if (value != null) {
        values.put(column.name(), value);
      }
    }
    return keyed(sheet.table(), values, hasId);
  }

  /**
   * Copies rows to another job or part, with whom they name and when. What they correct and what
   * they were read from stays behind.
   *
   * @param where which of them, in SQL over the table
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public void copy(Sheet sheet, long from, long to, String where) {
    List<String> into = new ArrayList<>();
    List<String> out = new ArrayList<>();
    for (Columns.Column column : columns.of(sheet.table())) {
      String name = column.name();
      if (!name.equals("id") && !sheet.refs().containsKey(name)) {
        into.add(name);
        out.add(
            name.equals(sheet.parent())
                ? String.valueOf(to)
                : name.equals("request_key") ? "concat('handed on, ', id)" : name);
      }
    }
    sql.update(
        "insert into %s (%s) select %s from %s where %s = ? and %s order by id"
            .formatted(
                sheet.table(),
                String.join(", ", into),
                String.join(", ", out),
                sheet.table(),
                sheet.parent(),
                where),
        from);
  }

  private static @Nullable Object value(
      Sheet sheet, Columns.Column column, ObjectNode row, SheetNames names) {
    if (!sheet.tells(column.name())) {
      return null;
    }
    String other = sheet.refs().get(column.name());
    boolean person = column.name().equals(PERSON);
    JsonNode said = row.get(person ? BY : other != null ? bare(column) : column.told());
    if (said == null || said.isNull()) {
      return null;
    }
    if (person) {
      return names.person(said);
    }
    return other == null ? column.value(said) : names.row(other, bare(column), said);
  }

  private long keyed(String table, Map<String, Object> values, boolean hasId) {
    String statement =
        "insert into %s (%s) values (%s)"
            .formatted(
                table,
                String.join(", ", values.keySet()),
                String.join(", ", java.util.Collections.nCopies(values.size(), "?")));
    List<Object> all = new ArrayList<>(values.values());
    GeneratedKeyHolder key = new GeneratedKeyHolder();
    sql.update(
        connection -> {
          PreparedStatement insert =
              connection.prepareStatement(statement, Statement.RETURN_GENERATED_KEYS);
          for (int i = 0; i < all.size(); i++) {
            insert.setObject(i + 1, all.get(i));
          }
          return insert;
        },
        key);
    return hasId && key.getKey() != null ? key.getKey().longValue() : 0;
  }
}
