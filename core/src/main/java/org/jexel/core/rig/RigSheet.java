package org.jexel.core.rig;

import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.jexel.core.connector.ConnectorCatalog;
import org.jexel.core.quantity.Figure;
import org.jexel.core.quantity.Provenance;
import org.jspecify.annotations.Nullable;

/**
 * Every figure of one rig: what people entered, and for the rest the stated defaults.
 *
 * <p>Immutable, and for any number of threads. Defaults are worked out on demand and may lean on
 * other figures of the sheet; two threads that ask for one at once work it out twice, and alike.
 */
public final class RigSheet {
  private final Map<FieldKey, Entry> entries;
  private final ConnectorCatalog catalog;
  private final Map<FieldKey, Assumption> assumed = new ConcurrentHashMap<>();

  /** Refuses an entry that is not of its field's kind or not plausible. */
  public RigSheet(Map<FieldKey, Entry> entries, ConnectorCatalog catalog) {
    this(catalog, entries);
    entries.forEach((key, entry) -> check(key, entry, catalog));
  }

  private RigSheet(ConnectorCatalog catalog, Map<FieldKey, Entry> entries) {
    this.entries = Map.copyOf(entries);
    this.catalog = catalog;
  }

  /** Two sheets of the same entries tell the same figures. */
  @Override
  public boolean equals(@Nullable Object other) {
    return other instanceof RigSheet sheet
        && catalog == sheet.catalog
        && entries.equals(sheet.entries);
  }

  @Override
  public int hashCode() {
    return entries.hashCode();
  }

  /**
   * Whether an entry can stand in its field.
   *
   * @throws IllegalArgumentException if it cannot, with the reason
   */
  public static void check(FieldKey key, Entry entry, ConnectorCatalog catalog) {
    problem(key.field(), entry, catalog)
        .ifPresent(
            text -> {
              throw new IllegalArgumentException(key.code() + ": " + text);
            });
  }

  private static Optional<String> problem(RigField field, Entry entry, ConnectorCatalog catalog) {
    if (field.isNumber()) {
      boolean inside = entry.si() >= field.least() && entry.si() <= field.greatest();
      return inside ? Optional.empty() : Optional.of("out of range: " + entry.si());
    }
    return known(field, entry.choice(), catalog)
        ? Optional.empty()
        : Optional.of("no such choice: " + entry.choice());
  }

  private static boolean known(RigField field, @Nullable String choice, ConnectorCatalog catalog) {
    if (field.catalog() == null) {
      return field.options().stream().anyMatch(o -> o.name().equals(choice));
    }
    return switch (field.catalog()) {
      case CONVENTION -> catalog.conventions().stream().anyMatch(c -> c.id().equals(choice));
      case CONNECTOR -> catalog.connectors().stream().anyMatch(c -> c.id().equals(choice));
      case CONNECTOR_OR_NONE ->
          Rig.NO_CONNECTOR.equals(choice)
              || catalog.connectors().stream().anyMatch(c -> c.id().equals(choice));
    };
  }

  public ConnectorCatalog catalog() {
    return catalog;
  }

  /** The entries alone, without defaults. */
  public Map<FieldKey, Entry> entries() {
    return entries;
  }

  /**
   * A copy in which one number is another. What was read is a fact: the range that keeps slips of
   * the hand out of a form does not refuse it here.
   */
  public RigSheet with(FieldKey key, double si) {
    Map<FieldKey, Entry> changed = new HashMap<>(entries);
    changed.put(key, Entry.number(si, Provenance.MEASURED));
    return new RigSheet(catalog, changed);
  }

  /** The same with nothing said of a field. */
  public RigSheet without(FieldKey key) {
    Map<FieldKey, Entry> changed = new HashMap<>(entries);
    changed.remove(key);
    return new RigSheet(catalog, changed);
  }

  public boolean entered(FieldKey key) {
    return entries.containsKey(key);
  }

  public Figure figure(RigField field) {
    return figure(FieldKey.of(field));
  }

  /** The number of a field; NaN in an optional field that nobody filled. */
  public Figure figure(FieldKey key) {
    if (!key.field().isNumber()) {
      throw new IllegalArgumentException(key.field() + " is not a number");
    }
    Entry entry = entries.get(key);
    if (entry != null) {
      return new Figure(entry.si(), entry.provenance(), "");
    }
    Assumption assumption = assumption(key);
    return new Figure(assumption.si(), Provenance.ASSUMED, assumption.reason());
  }

  public double si(RigField field) {
    return figure(field).si();
  }

  public double si(FieldKey key) {
    return figure(key).si();
  }

  public Choice choice(RigField field) {
    return choice(FieldKey.of(field));
  }

  public Choice choice(FieldKey key) {
    if (key.field().isNumber()) {
      throw new IllegalArgumentException(key.field() + " is a number");
    }
    Entry entry = entries.get(key);
    if (entry != null) {
      return new Choice(Objects.requireNonNull(entry.choice()), entry.provenance(), "");
    }
    Assumption assumption = assumption(key);
    return new Choice(
        Objects.requireNonNull(assumption.choice()), Provenance.ASSUMED, assumption.reason());
  }

  public <E extends Enum<E> & Option> E choice(RigField field, Class<E> type) {
    return choice(FieldKey.of(field), type);
  }

  public <E extends Enum<E> & Option> E choice(FieldKey key, Class<E> type) {
    return Enum.valueOf(type, choice(key).value());
  }

  /** How many of the given fields somebody has entered. */
  public long enteredOf(RigField... fields) {
    return Arrays.stream(fields).filter(field -> entered(FieldKey.of(field))).count();
  }

  private Assumption assumption(FieldKey key) {
    Assumption known = assumed.get(key);
    if (known == null) {
      known = Defaults.of(key, this, catalog);
      assumed.put(key, known);
    }
    return known;
  }
}
