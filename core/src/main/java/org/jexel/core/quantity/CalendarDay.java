package org.jexel.core.quantity;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeFormatterBuilder;
import java.time.format.ResolverStyle;
import java.time.temporal.ChronoField;
import java.time.temporal.IsoFields;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A day as a figure: seconds from 1 January 1970 to its first moment, UTC.
 *
 * <p>Typed as a day, a month, or the four digits that are stamped on batteries and tyres, week and
 * year. What has an order of its own in every country, 3/4/21, is asked for again.
 */
public final class CalendarDay {
  private static final Pattern WEEK_CODE = Pattern.compile("(\\d{2})(\\d{2})");
  private static final Pattern ISO_MONTH = Pattern.compile("\\d{4}-\\d{2}");
  private static final DateTimeFormatter SHOWN =
      DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ROOT);
  private static final List<DateTimeFormatter> SPOKEN =
      List.of(named("[d ]MMM uuuu"), named("[d ]MMMM uuuu"));

  /** Codes have two digits for the year: up to here they are of this century. */
  private static final int CENTURY = 2000;

  private CalendarDay() {}

  private static DateTimeFormatter named(String pattern) {
    return new DateTimeFormatterBuilder()
        .parseCaseInsensitive()
        .appendPattern(pattern)
        .parseDefaulting(ChronoField.DAY_OF_MONTH, 1)
        .toFormatter(Locale.ENGLISH)
        .withResolverStyle(ResolverStyle.STRICT);
  }

  public static double si(LocalDate day) {
    return day.atStartOfDay().toEpochSecond(ZoneOffset.UTC);
  }

  public static LocalDate of(double si) {
    return LocalDate.ofEpochDay(Math.floorDiv((long) si, 24 * 3600));
  }

  static String text(double si) {
    return text(of(si));
  }

  /** As in “3 Feb 2027”. */
  public static String text(LocalDate day) {
    return day.format(SHOWN);
  }

  /** The first day of what was typed. */
  static Parsed parse(String text) {
    Matcher code = WEEK_CODE.matcher(text);
    try {
      if (code.matches()) {
        return week(Integer.parseInt(code.group(1)), CENTURY + Integer.parseInt(code.group(2)));
      }
      if (ISO_MONTH.matcher(text).matches()) {
        return new Parsed.Value(si(LocalDate.parse(text + "-01")));
      }
      return new Parsed.Value(si(day(text)));
    } catch (DateTimeException notADay) {
      return new Parsed.Misread(
          "Not understood. Write the day as in 2021-03-15, the month as in 2021-03 or Mar 2021, or the stamped code of week and year, as in 1121.");
    }
  }

  private static LocalDate day(String text) {
    for (DateTimeFormatter spoken : SPOKEN) {
      try {
        return LocalDate.parse(text, spoken);
      } catch (DateTimeException other) {
        // The next way of saying it.
      }
    }
    return LocalDate.parse(text);
  }

  private static Parsed week(int week, int year) {
    if (week == CENTURY / 100) {
      return new Parsed.Misread(
          Phrase.of(
              "“%d” could be the year or week 20: write %d-05 for the code, or the month with the year.",
              year, year));
    }
    LocalDate first = LocalDate.of(year, 1, 4);
    if (week < 1 || week > IsoFields.WEEK_OF_WEEK_BASED_YEAR.rangeRefinedBy(first).getMaximum()) {
      return new Parsed.Misread(
          Phrase.of("%d has no week %d: the code is the week and then the year.", year, week));
    }
    return new Parsed.Value(
        si(first.with(IsoFields.WEEK_OF_WEEK_BASED_YEAR, week).with(ChronoField.DAY_OF_WEEK, 1)));
  }
}
