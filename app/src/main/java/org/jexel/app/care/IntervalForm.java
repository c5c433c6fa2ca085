package org.jexel.app.care;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.jexel.app.job.TypedFields;
import org.jexel.core.care.CareInterval;
import org.jexel.core.care.CarePart;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.UnitSystem;

/**
 * A workshop's intervals of care as typed.
 *
 * @param typed field and text: a part's name, then {@code .months} or {@code .way}
 * @param problems field and what is wrong with it
 * @param intervals of each part; empty where something is the matter
 */
public record IntervalForm(
    Map<String, String> typed,
    Map<String, String> problems,
    Map<CarePart, CareInterval> intervals) {
  private static final int MOST_MONTHS = 120;
  private static final double LEAST_WAY = 10e3;
  private static final double MOST_WAY = 500e6;

  static IntervalForm of(Map<CarePart, CareInterval> own, UnitSystem units) {
    Map<String, String> typed = new LinkedHashMap<>();
    for (CarePart part : CarePart.values()) {
      CareInterval interval = own.getOrDefault(part, part.usual());
      typed.put(months(part), String.valueOf(interval.months()));
      typed.put(
          way(part),
          interval.metres().isPresent()
              ? Measure.WAY.text(interval.metres().getAsDouble(), units)
              : "");
    }
    return new IntervalForm(typed, Map.of(), own);
  }

  static String months(CarePart part) {
    return part.name() + ".months";
  }

  static String way(CarePart part) {
    return part.name() + ".way";
  }

  static IntervalForm read(Map<String, String> typed, UnitSystem units) {
    TypedFields fields = new TypedFields(typed, units);
    Map<CarePart, CareInterval> intervals = new EnumMap<>(CarePart.class);
    for (CarePart part : CarePart.values()) {
      String text = fields.text(months(part));
      int months = text.matches("\\d{1,3}") ? Integer.parseInt(text) : 0;
      if (months < 1 || months > MOST_MONTHS) {
        fields.problem(months(part), "A whole number from 1 to " + MOST_MONTHS + ".");
      }
      OptionalDouble way = OptionalDouble.empty();
      if (!fields.text(way(part)).isEmpty()) {
        Double metres = fields.within(way(part), Measure.WAY, LEAST_WAY, MOST_WAY);
        way = metres == null ? way : OptionalDouble.of(metres);
      }
      if (fields.sound()) {
        intervals.put(part, new CareInterval(months, way));
      }
    }
    return new IntervalForm(typed, fields.problems(), intervals);
  }

  /** Every part, in the order of the plan. */
  public List<CarePart> parts() {
    return Arrays.asList(CarePart.values());
  }
}
