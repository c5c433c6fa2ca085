package org.jexel.app.exchange;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What stands for what between a database and a file: rows that others name, and people. Of one
 * copy, and one thread.
 */
public final class SheetNames {
  private final Map<String, Map<Long, Long>> rows = new HashMap<>();
  private final Map<Long, Long> people = new LinkedHashMap<>();

  /** People of the database, in the order in which the file first names them. */
  public List<Long> people() {
    return List.copyOf(people.keySet());
  }

  /** Says which person of the database stands for one of the file. */
  public void person(long inFile, long id) {
    people.put(inFile, id);
  }

  /** Number in the file of a person of the database. */
  long told(long person) {
    return people.computeIfAbsent(person, any -> people.size() + 1L);
  }

  /** Numbers a row of the database, from 1 in their order. */
  long next(String table, long id) {
    Map<Long, Long> known = of(table);
    long number = known.size() + 1L;
    known.put(id, number);
    return number;
  }

  /** Takes a row of the file, whose number is to be that of its place. */
  void taken(String table, long number, long id) {
    Map<Long, Long> known = of(table);
    if (number != known.size() + 1) {
      throw new Sheet.CannotStand(
          "number %d stands at place %d.".formatted(number, known.size() + 1));
    }
    known.put(number, id);
  }

  /** Number in the file of a row of the database. */
  JsonNode told(String table, long id) {
    Long number = of(table).get(id);
    if (number == null) {
      throw new IllegalStateException("A row names %s %d, which is not told.".formatted(table, id));
    }
    return JsonNodeFactory.instance.numberNode(number);
  }

  /** Who in the database stands for a person of the file. */
  long person(JsonNode named) {
    return known("by", people, named);
  }

  /** Which row of the database stands for one of the file. */
  long row(String table, String what, JsonNode named) {
    return known(what, of(table), named);
  }

  private Map<Long, Long> of(String table) {
    return rows.computeIfAbsent(table, any -> new LinkedHashMap<>());
  }

  private static long known(String what, Map<Long, Long> some, JsonNode named) {
    Long id = some.get(named.longValue());
    if (id == null) {
      throw new Sheet.CannotStand(
          "%s names %s, which does not stand before it.".formatted(what, named));
    }
    return id;
  }
}
