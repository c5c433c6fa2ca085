package org.jexel.app.road;

import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A part of a trace that a stop was measured from.
 *
 * @param file its number
 * @param from s
 * @param to s
 */
record TraceCut(long file, double from, double to) {
  private static final Pattern WRITTEN =
      Pattern.compile("(\\d{1,18}):(-?\\d{1,9}(?:\\.\\d{1,3})?)-(-?\\d{1,9}(?:\\.\\d{1,3})?)");

  /** As a form carries it. */
  static Optional<TraceCut> of(String written) {
    Matcher cut = WRITTEN.matcher(written);
    return cut.matches()
        ? Optional.of(
            new TraceCut(
                Long.parseLong(cut.group(1)),
                Double.parseDouble(cut.group(2)),
                Double.parseDouble(cut.group(3))))
        : Optional.empty();
  }

  String written() {
    return String.format(Locale.ROOT, "%d:%.3f-%.3f", file, from, to);
  }
}
