package org.jexel.app.entry;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * One field of a card, ready to print.
 *
 * @param code its stored name, also the name of its input
 * @param heading above it, where a new group of fields starts; else null
 * @param label for people
 * @param whose the axle that it belongs to, for those who do not see the heading; else empty
 * @param options of a chosen field, else empty
 * @param text what stands in the input: the draft if there is one
 * @param hint the assumed value, shown where nothing was entered
 * @param was what stood there when the page was made, for telling what was touched
 * @param seen the row that stood there when the page was made
 * @param unit beside the number
 * @param provenance MEASURED, PLATE or ASSUMED
 * @param origin who and when, or why this is assumed
 * @param problem why the draft was not taken; null if there is none
 * @param theirs what another person entered meanwhile; null without a conflict
 */
public record FieldView(
    String code,
    @Nullable String heading,
    String label,
    String whose,
    List<FieldText.Choosable> options,
    String text,
    String hint,
    String was,
    long seen,
    String unit,
    String provenance,
    String origin,
    @Nullable String problem,
    @Nullable String theirs) {

  public boolean chosen() {
    return !options.isEmpty();
  }

  /** The word of the option that is assumed; null once something was chosen. */
  public @Nullable String assumption() {
    return text.isEmpty()
        ? options.stream()
            .filter(option -> option.value().equals(hint))
            .map(FieldText.Choosable::label)
            .findFirst()
            .orElse(null)
        : null;
  }

  public boolean assumed() {
    return "ASSUMED".equals(provenance);
  }

  /** Id of the element in the page. */
  public String id() {
    return id(code);
  }

  /** The same of a field by its code. */
  public static String id(String code) {
    return "f-" + code.toLowerCase(java.util.Locale.ROOT).replace('.', '-').replace('_', '-');
  }
}
