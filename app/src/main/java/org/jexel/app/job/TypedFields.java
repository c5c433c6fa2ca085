package org.jexel.app.job;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Objects;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Parsed;
import org.jexel.core.quantity.QuantityParser;
import org.jexel.core.quantity.UnitSystem;
import org.jspecify.annotations.Nullable;

/** A form's fields as they were typed, and what is the matter with each. */
public final class TypedFields {
  private final Map<String, String> typed;
  private final UnitSystem units;
  private final Map<String, String> problems = new LinkedHashMap<>();

  public TypedFields(Map<String, String> typed, UnitSystem units) {
    this.typed = typed;
    this.units = units;
  }

  public Map<String, String> problems() {
    return problems;
  }

  public UnitSystem units() {
    return units;
  }

  public String text(String field) {
    return typed.getOrDefault(field, "").strip();
  }

  /** What is understood; null with a problem told, and where nothing was typed. */
  public @Nullable Double optional(String field, Measure measure) {
    String text = text(field);
    if (text.isEmpty()) {
      return null;
    }
    Parsed parsed = QuantityParser.parse(text, measure, units);
    if (parsed instanceof Parsed.Misread misread) {
      problems.put(field, misread.message());
      return null;
    }
    return ((Parsed.Value) parsed).si();
  }

  /** The same, where a figure has to stand. */
  public @Nullable Double number(String field, Measure measure) {
    if (text(field).isEmpty()) {
      problems.put(field, "This is missing.");
    }
    return optional(field, measure);
  }

  /** The same, between two bounds; tells what is plausible otherwise. */
  public @Nullable Double within(String field, Measure measure, double least, double most) {
    Double si = number(field, measure);
    if (si != null && !(si >= least && si <= most)) {
      problems.put(
          field,
          "Not plausible. Expected %s to %s."
              .formatted(measure.number(least, units), measure.text(most, units)));
    }
    return si;
  }

  public <E extends Enum<E>> @Nullable E choice(Class<E> type, String field) {
    String name = text(field);
    for (E value : type.getEnumConstants()) {
      if (value.name().equals(name)) {
        return value;
      }
    }
    problems.put(field, "Choose one.");
    return null;
  }

  /** One of a few; null where none is said, and for a word that is none, of which it tells. */
  public <E extends Enum<E>> @Nullable E chosen(Class<E> type, String field) {
    return text(field).isEmpty() ? null : choice(type, field);
  }

  /** The same, with what stands in its place. */
  public <E extends Enum<E>> E chosen(Class<E> type, String field, E unsaid) {
    return Objects.requireNonNullElse(chosen(type, field), unsaid);
  }

  public String atMost(String field, int letters) {
    String text = text(field);
    if (text.length() > letters) {
      problem(field, "At most " + letters + " letters.");
    }
    return text;
  }

  public void problem(String field, String words) {
    problems.put(field, words);
  }

  public boolean sound() {
    return problems.isEmpty();
  }
}
