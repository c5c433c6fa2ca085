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
}
