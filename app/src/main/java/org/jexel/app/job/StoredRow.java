package org.jexel.app.job;

import java.util.List;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * A row as it is stored, which an older version or somebody else may have written.
 *
 * @param row itself
 * @param name what the page calls it: its kind, what it says, its number
 * @param digest reads everything that the core will ask of it; throws if it says nothing to this
 *     version
 */
public record StoredRow(Object row, String name, Runnable digest) {
  /** Rows of one kind. */
  public static <T> Stream<StoredRow> of(
      List<T> rows, Function<T, String> name, Consumer<T> digest) {
    return rows.stream().map(r -> new StoredRow(r, name.apply(r), () -> digest.accept(r)));
  }

  /** The rows of a list that are kept. */
  public static <T> List<T> only(List<T> rows, Predicate<Object> kept) {
    return rows.stream().filter(kept).toList();
  }

  /** Why it cannot be digested, in the words of whoever reads the page; empty if it can. */
  String problem() {
    try {
      digest.run();
      return "";
    } catch (RuntimeException cannot) {
      return why(cannot);
    }
  }

  /** A word of another version is named as such. */
  private static String why(RuntimeException cannot) {
    String message = String.valueOf(cannot.getMessage());
    return message.startsWith("No enum constant")
        ? "“" + message.substring(message.lastIndexOf('.') + 1) + "” is no word of this version"
        : message;
  }
}
