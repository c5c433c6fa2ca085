package org.jexel.app.entry;

import java.util.List;
import java.util.stream.Stream;
import org.jexel.core.connector.Connector;
import org.jexel.core.connector.ConnectorCatalog;
import org.jexel.core.connector.Convention;
import org.jexel.core.quantity.Figure;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Parsed;
import org.jexel.core.quantity.Provenance;
import org.jexel.core.quantity.QuantityParser;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.Entry;
import org.jexel.core.rig.FieldKey;
import org.jexel.core.rig.FieldWords;
import org.jexel.core.rig.Option;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.RigSheet;
import org.jspecify.annotations.Nullable;

/** Between what people type in a field and what the core knows of it. */
public final class FieldText {
  private FieldText() {}

  /** One option of a chosen field. */
  record Choosable(String value, String label) {}

  /** What became of typed text: an entry, or why not. */
  record Reading(@Nullable Entry entry, @Nullable String problem) {}

  static List<Choosable> options(RigField field, ConnectorCatalog catalog) {
    return values(field, catalog)
        .map(value -> new Choosable(value, FieldWords.label(field, value, catalog)))
        .toList();
  }

  private static Stream<String> values(RigField field, ConnectorCatalog catalog) {
    if (field.catalog() == null) {
      return field.options().stream().map(Option::name);
    }
    Stream<String> connectors = catalog.connectors().stream().map(Connector::id);
    return switch (field.catalog()) {
      case CONNECTOR -> connectors;
      case CONNECTOR_OR_NONE -> Stream.concat(Stream.of(Rig.NO_CONNECTOR), connectors);
      case CONVENTION -> catalog.conventions().stream().map(Convention::id);
    };
  }

  /** A field's present value as it stands in its input, without unit. */
  static String shown(FieldKey key, RigSheet sheet, UnitSystem units) {
    if (!key.field().isNumber()) {
      return sheet.choice(key).value();
    }
    Figure figure = sheet.figure(key);
    return Double.isNaN(figure.si()) ? "" : key.field().measure().number(figure.si(), units);
  }

  static Reading read(
      RigField field, String typed, Provenance from, ConnectorCatalog catalog, UnitSystem units) {
    if (!field.isNumber()) {
      boolean known = options(field, catalog).stream().anyMatch(o -> o.value().equals(typed));
      return known
          ? new Reading(Entry.choice(typed, from), null)
          : new Reading(null, "Choose one of the list.");
    }
    Parsed parsed = QuantityParser.parse(typed, field.measure(), units);
    if (parsed instanceof Parsed.Misread misread) {
      return new Reading(null, misread.message());
    }
    double si = ((Parsed.Value) parsed).si();
    String problem = range(si, field.least(), field.greatest(), field.measure(), units);
    return problem == null ? new Reading(Entry.number(si, from), null) : new Reading(null, problem);
  }

  /** Why a value is not plausible, or null. */
  public static @Nullable String range(
      double si, double least, double greatest, Measure measure, UnitSystem units) {
    if (si < 0 && least >= 0) {
      return "This cannot be negative.";
    }
    if (si < least || si > greatest) {
      return "%s is not plausible here. Expected %s to %s."
          .formatted(
              measure.text(si, units), measure.number(least, units), measure.text(greatest, units));
    }
    return null;
  }
}
