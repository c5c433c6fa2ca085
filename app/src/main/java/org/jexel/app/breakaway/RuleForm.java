package org.jexel.app.breakaway;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.OptionalDouble;
import org.jexel.core.breakaway.BreakawayRule;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Parsed;
import org.jexel.core.quantity.QuantityParser;
import org.jexel.core.quantity.UnitSystem;
import org.jspecify.annotations.Nullable;

/**
 * The workshop's breakaway rule as typed.
 *
 * @param typed field and text
 * @param problems field and what is wrong with it
 * @param rule null while something is
 */
public record RuleForm(
    Map<String, String> typed, Map<String, String> problems, @Nullable BreakawayRule rule) {
  private static final double HEAVIEST_KG = 40_000;
  private static final int MOST_MONTHS = 60;
  private static final int MOST_YEARS = 15;

  static RuleForm of(BreakawayRule rule, UnitSystem units) {
    Map<String, String> typed = new LinkedHashMap<>();
    typed.put(
        "from",
        rule.requiredFrom().isPresent()
            ? Measure.MASS.text(rule.requiredFrom().getAsDouble(), units)
            : "");
    typed.put("months", String.valueOf(rule.proofMonths()));
    typed.put("years", String.valueOf(rule.batteryYears()));
    return new RuleForm(typed, Map.of(), rule);
  }

  static RuleForm read(Map<String, String> typed, UnitSystem units) {
    Map<String, String> problems = new LinkedHashMap<>();
    OptionalDouble from = mass(typed.getOrDefault("from", "").strip(), units, problems);
    int months = whole(typed, "months", MOST_MONTHS, problems);
    int years = whole(typed, "years", MOST_YEARS, problems);
    return new RuleForm(
        typed, problems, problems.isEmpty() ? new BreakawayRule(from, months, years) : null);
  }

  private static OptionalDouble mass(String text, UnitSystem units, Map<String, String> problems) {
    if (text.isEmpty()) {
      return OptionalDouble.empty();
    }
    Parsed parsed = QuantityParser.parse(text, Measure.MASS, units);
    if (parsed instanceof Parsed.Misread misread) {
      problems.put("from", misread.message());
      return OptionalDouble.empty();
    }
    double kg = ((Parsed.Value) parsed).si();
    if (!(kg > 0 && kg <= HEAVIEST_KG)) {
      problems.put(
          "from",
          "Expected more than 0 and at most " + Measure.MASS.text(HEAVIEST_KG, units) + ".");
    }
    return OptionalDouble.of(kg);
  }

  private static int whole(
      Map<String, String> typed, String field, int most, Map<String, String> problems) {
    String text = typed.getOrDefault(field, "").strip();
    int value = text.matches("\\d{1,3}") ? Integer.parseInt(text) : 0;
    if (value < 1 || value > most) {
      problems.put(field, "A whole number from 1 to " + most + ".");
    }
    return value;
  }
}
