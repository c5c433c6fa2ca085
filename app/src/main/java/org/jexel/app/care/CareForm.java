package org.jexel.app.care;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jexel.app.job.TypedFields;
import org.jexel.core.care.CareBook;
import org.jexel.core.care.CareDone;
import org.jexel.core.care.CarePart;
import org.jexel.core.care.CarePlan;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.UnitSystem;

/**
 * What somebody writes of a part that was cared for.
 *
 * @param understood empty while something is the matter
 * @param problems by field
 */
record CareForm(Optional<Understood> understood, Map<String, String> problems) {
  static final String WAY = "way";
  static final String DAY = "day";
  static final String NOTE = "note";
  private static final int LETTERS = 200;
  private static final int MOST_YEARS = 30;

  /** Farther than any trailer comes, m. */
  private static final double MOST_METRES = 5e9;

  /**
   * @param found for each place, SI
   * @param metres how far it had come
   * @param day on which it was done
   * @param at when that was, as near as anybody said
   */
  record Understood(
      Map<Integer, Double> found, OptionalDouble metres, LocalDate day, Instant at, String note) {}

  static String field(int place) {
    return "place-" + place;
  }

  /** Whether a form of some part has such a field. */
  static boolean isField(String name) {
    return name.matches("place-\\d{1,2}|" + WAY + "|" + DAY + "|" + NOTE);
  }

  /** The same as told anew of what was done before: on the same day it stays in its place. */
  CareForm inPlaceOf(CareDone old) {
    return new CareForm(
        understood.map(
            told ->
                told.day().equals(old.day())
                    ? new Understood(told.found(), told.metres(), told.day(), old.at(), told.note())
                    : told),
        problems);
  }

  /** What stands of a row that is to be corrected, as it would be typed. */
  static Map<String, String> typed(CareDone done, UnitSystem units) {
    Map<String, String> typed = new LinkedHashMap<>();
    done.found()
        .forEach((place, si) -> typed.put(field(place), done.part().measure().text(si, units)));
    done.metres().ifPresent(way -> typed.put(WAY, Measure.WAY.text(way, units)));
    typed.put(DAY, done.day().toString());
    typed.put(NOTE, done.note());
    return typed;
  }

  static List<String> fields(CarePlan.Line line) {
    List<String> fields =
        new ArrayList<>(line.places().keySet().stream().map(CareForm::field).toList());
    fields.addAll(List.of(WAY, DAY, NOTE));
    return fields;
  }

  /**
   * @param book what was done so far, without what this corrects
   * @param zone of the workshop
   */
  static CareForm read(
      CarePlan.Line line,
      CareBook book,
      Map<String, String> typed,
      UnitSystem units,
      Instant now,
      ZoneId zone) {
    TypedFields fields = new TypedFields(typed, units);
    LocalDate today = LocalDate.ofInstant(now, zone);
    LocalDate day = day(fields, today);
    Map<Integer, Double> found = found(line, fields, day);
    Double metres = fields.optional(WAY, Measure.WAY);
    if (metres != null && !(metres >= 0 && metres <= MOST_METRES)) {
      fields.problem(WAY, "Not plausible: at most " + Measure.WAY.text(MOST_METRES, units) + ".");
    } else if (metres != null) {
      book.impossible(metres, day, units).ifPresent(why -> fields.problem(WAY, why));
    }
    String note = fields.atMost(NOTE, LETTERS);
    Instant at = day.equals(today) ? now : day.atTime(LocalTime.NOON).atZone(zone).toInstant();
    OptionalDouble way = metres == null ? OptionalDouble.empty() : OptionalDouble.of(metres);
    return new CareForm(
        fields.sound() ? Optional.of(new Understood(found, way, day, at, note)) : Optional.empty(),
        fields.problems());
  }

  private static Map<Integer, Double> found(CarePlan.Line line, TypedFields fields, LocalDate day) {
    CarePart part = line.part();
    Map<Integer, Double> found = new LinkedHashMap<>();
    for (int place : line.places().keySet()) {
      String field = field(place);
      if (!fields.text(field).isEmpty()) {
        Double si = fields.within(field, part.measure(), part.least(), part.greatest(day));
        if (si != null) {
          found.put(place, si);
        }
      }
    }
    if (found.isEmpty() && fields.sound()) {
      fields.problem(field(line.places().keySet().iterator().next()), "Nothing is said yet.");
    }
    return found;
  }

  private static LocalDate day(TypedFields fields, LocalDate today) {
    String text = fields.text(DAY);
    if (text.isEmpty()) {
      return today;
    }
    try {
      LocalDate day = LocalDate.parse(text);
      if (day.isAfter(today)) {
        fields.problem(DAY, "That day is still to come.");
      } else if (day.isBefore(today.minusYears(MOST_YEARS))) {
        fields.problem(DAY, "That is more than " + MOST_YEARS + " years ago.");
      } else {
        return day;
      }
    } catch (DateTimeException none) {
      fields.problem(DAY, "Not understood. Write the day as in " + today + ".");
    }
    return today;
  }
}
