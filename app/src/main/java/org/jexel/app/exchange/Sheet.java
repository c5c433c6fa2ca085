package org.jexel.app.exchange;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;

/**
 * A table whose rows go into a job's file and come back from one. Every column goes, under its own
 * name with the unit in it, but for those that mean something to this database alone: its numbers,
 * versions, and the keys of requests. Whoever entered a row is named by place in the file's list of
 * people; a row that others name has a number of its own in the file.
 *
 * @param name of the list in the file
 * @param table in the database
 * @param parent the column that names what a row belongs to: the job, a part, another row
 * @param order columns by which the rows stand in the file
 * @param where which rows go; the others are passing
 * @param numbered whether other rows name these
 * @param refs columns that name a row, with its table
 * @param silent columns that stay here
 * @param under tables whose rows belong to one of these
 * @param check throws for a row that cannot be what it claims
 */
public record Sheet(
    String name,
    String table,
    String parent,
    String order,
    String where,
    boolean numbered,
    Map<String, String> refs,
    Set<String> silent,
    List<Sheet> under,
    Consumer<ObjectNode> check) {
  private static final Set<String> NEVER_TOLD = Set.of("id", "version", "request_key");

  /** Rows that name what they belong to in one column, in the order in which they were entered. */
  public static Sheet of(String name, String table, String parent) {
    return new Sheet(
        name, table, parent, "id", "true", false, Map.of(), Set.of(), List.of(), row -> {});
  }

  public static Sheet ofJob(String name, String table) {
    return of(name, table, "job_id");
  }

  public Sheet by(String columns) {
    return new Sheet(name, table, parent, columns, where, numbered, refs, silent, under, check);
  }

  public Sheet where(String condition) {
    return new Sheet(name, table, parent, order, condition, numbered, refs, silent, under, check);
  }

  /** Rows that others name. */
  public Sheet named() {
    return new Sheet(name, table, parent, order, where, true, refs, silent, under, check);
  }

  /** A column of these rows names a row of a table. */
  public Sheet naming(String column, String other) {
    Map<String, String> more = new LinkedHashMap<>(refs);
    more.put(column, other);
    return new Sheet(name, table, parent, order, where, numbered, more, silent, under, check);
  }

  public Sheet without(String column) {
    Set<String> more = new HashSet<>(silent);
    more.add(column);
    return new Sheet(name, table, parent, order, where, numbered, refs, more, under, check);
  }

  public Sheet with(Sheet inner) {
    List<Sheet> more = new ArrayList<>(under);
    more.add(inner);
    return new Sheet(name, table, parent, order, where, numbered, refs, silent, more, check);
  }

  /**
   * @param rule throws {@link CannotStand} for a row that is not what it claims
   */
  public Sheet checked(Consumer<ObjectNode> rule) {
    return new Sheet(name, table, parent, order, where, numbered, refs, silent, under, rule);
  }

  boolean tells(String column) {
    return !NEVER_TOLD.contains(column) && !silent.contains(column) && !column.equals(parent);
  }

  /** A row of a file that cannot stand, in words. */
  public static final class CannotStand extends RuntimeException {
    private static final long serialVersionUID = 1L;

    public CannotStand(String message) {
      super(message);
    }
  }
}
