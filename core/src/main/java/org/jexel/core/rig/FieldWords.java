package org.jexel.core.rig;

import java.util.Optional;
import org.jexel.core.connector.ConnectorCatalog;
import org.jexel.core.quantity.Figure;
import org.jexel.core.quantity.Provenance;
import org.jexel.core.quantity.UnitSystem;

/**
 * One figure of a rig in words.
 *
 * @param title what it is, with its axle where each has its own
 * @param text with its unit, or the label of what was chosen
 * @param provenance where it comes from
 * @param reason for an assumed one, why this one; else empty
 */
public record FieldWords(String title, String text, Provenance provenance, String reason) {
  /** Empty for a figure that nobody filled and that nothing is assumed of. */
  public static Optional<FieldWords> of(RigSheet sheet, FieldKey key, UnitSystem units) {
    RigField field = key.field();
    String title = field.perAxle() ? field.label() + ", axle " + (key.index() + 1) : field.label();
    if (!field.isNumber()) {
      Choice choice = sheet.choice(key);
      return Optional.of(
          new FieldWords(
              title,
              label(field, choice.value(), sheet.catalog()),
              choice.provenance(),
              choice.reason()));
    }
    Figure figure = sheet.figure(key);
    return Double.isNaN(figure.si())
        ? Optional.empty()
        : Optional.of(
            new FieldWords(
                title,
                field.measure().text(figure.si(), units),
                figure.provenance(),
                figure.reason()));
  }

  /** What was chosen, as people call it; the word itself where nobody knows it. */
  public static String label(RigField field, String value, ConnectorCatalog catalog) {
    if (field.catalog() == null) {
      return field.options().stream()
          .filter(option -> option.name().equals(value))
          .map(Option::label)
          .findFirst()
          .orElse(value);
    }
    if (value.equals(Rig.NO_CONNECTOR)) {
      return "None";
    }
    return field.catalog() == RigField.Catalog.CONVENTION
        ? catalog.convention(value).label()
        : catalog.connector(value).label();
  }
}
