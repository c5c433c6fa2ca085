package org.jexel.core.quantity;

import java.util.Locale;

/** Words with figures in them, the same on every machine: a decimal point, no grouping. */
public final class Phrase {
  private Phrase() {}

  /**
   * @param format as of {@link String#format}
   */
  public static String of(String format, Object... values) {
    return String.format(Locale.ROOT, format, values);
  }

  /** So many of a thing: 1 ring, 2 rings. */
  public static String count(long count, String one) {
    return count(count, one, one + "s");
  }

  public static String count(long count, String one, String more) {
    return count + " " + (count == 1 ? one : more);
  }

  /** As words stand within a sentence; an abbreviation stays as it is. */
  public static String within(String words) {
    boolean abbreviated = words.length() > 1 && Character.isUpperCase(words.charAt(1));
    return abbreviated
        ? words
        : words.substring(0, 1).toLowerCase(Locale.ROOT) + words.substring(1);
  }

  /** As words open a sentence. */
  public static String opening(String words) {
    return words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
  }
}
