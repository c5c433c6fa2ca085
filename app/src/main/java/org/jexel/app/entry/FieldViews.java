package org.jexel.app.entry;

import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jexel.app.job.Draft;
import org.jexel.app.job.JobFile;
import org.jexel.core.breakaway.BreakawayBattery;
import org.jexel.core.breakaway.CableFit;
import org.jexel.core.quantity.Provenance;
import org.jexel.core.rig.Choice;
import org.jexel.core.rig.Entry;
import org.jexel.core.rig.FieldKey;
import org.jexel.core.rig.FieldWords;
import org.jexel.core.rig.RigConsistency;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.RigSheet;
import org.jspecify.annotations.Nullable;

/**
 * The fields of a card as they stand for a person: what is entered, what is typed, what is asked.
 */
public final class FieldViews {
  private static final DateTimeFormatter WHEN =
      DateTimeFormatter.ofPattern("d MMM HH:mm", Locale.ENGLISH);

  private FieldViews() {}

  /** The fields of a card as they stand for this person. */
  public static List<FieldView> of(RigCards card, JobFile file) {
    return keys(card, file).stream().map(key -> field(card, key, file)).toList();
  }

  static List<FieldKey> keys(RigCards card, JobFile file) {
    List<FieldKey> keys = new ArrayList<>();
    card.fields().stream().filter(f -> !f.perAxle()).map(FieldKey::of).forEach(keys::add);
    for (int axle = 0; axle < file.rig().axleCount(); axle++) {
      for (RigField field : card.fields()) {
        if (field.perAxle()) {
          keys.add(new FieldKey(field, axle));
        }
      }
    }
    return keys;
  }

  /** Heading above the first field of each axle; null elsewhere. */
  private static @Nullable String heading(RigCards card, FieldKey key) {
    boolean first =
        card.fields().stream()
            .filter(RigField::perAxle)
            .findFirst()
            .equals(Optional.of(key.field()));
    return first ? "Axle " + (key.index() + 1) : null;
  }

  private static FieldView field(RigCards card, FieldKey key, JobFile file) {
    RigField field = key.field();
    RigSheet sheet = file.rig().sheet();
    boolean entered = sheet.entered(key);
    String shown = FieldText.shown(key, sheet, file.units());
    Optional<RigFigure> row = RigRows.of(file).figure(key);
    Optional<Draft> draft = file.typed().at(card.id(), key.code());
    String base = entered ? shown : "";
    String problem = null;
    String theirs = null;
    if (draft.isPresent()) {
      FieldText.Reading reading =
          FieldText.read(field, draft.get().typed(), field.usual(), sheet.catalog(), file.units());
      problem = reading.problem();
      if (problem == null) {
        problem = inconsistent(file, sheet, key, reading.entry());
      }
      if (problem == null && row.isPresent() && row.get().id() != draft.get().seenId()) {
        theirs = theirs(file, key, row.get());
      }
    }
    return new FieldView(
        key.code(),
        heading(card, key),
        field.label(),
        field.perAxle() ? ", axle " + (key.index() + 1) : "",
        FieldText.options(field, sheet.catalog()),
        draft.map(Draft::typed).orElse(base),
        shown,
        draft.map(Draft::typed).orElse(base),
        row.map(RigFigure::id).orElse(0L),
        field.isNumber() ? field.measure().unit(file.units()).symbol() : "",
        provenance(sheet, key).name(),
        origin(file, key, row),
        problem,
        theirs);
  }

  static Provenance provenance(RigSheet sheet, FieldKey key) {
    return key.field().isNumber() ? sheet.figure(key).provenance() : sheet.choice(key).provenance();
  }

  private static String origin(JobFile file, FieldKey key, Optional<RigFigure> row) {
    if (row.isPresent() && !row.get().cleared()) {
      return "%s, %s, %s"
          .formatted(
              row.get().entry().provenance().label(),
              row.get().person().name(),
              when(file, row.get()));
    }
    RigSheet sheet = file.rig().sheet();
    if (key.field().isNumber()) {
      return "assumed: " + sheet.figure(key).reason();
    }
    Choice choice = sheet.choice(key);
    return "assumed: " + choice.reason();
  }

  private static String when(JobFile file, RigFigure row) {
    ZoneId zone = file.job().workshop().zone();
    return WHEN.format(row.enteredAt().atZone(zone));
  }

  private static String theirs(JobFile file, FieldKey key, RigFigure row) {
    String value =
        row.cleared()
            ? "cleared this"
            : "entered "
                + FieldWords.of(file.rig().sheet(), key, file.units())
                    .map(FieldWords::text)
                    .orElse("");
    return "%s %s at %s, while you had this open."
        .formatted(row.person().name(), value, when(file, row));
  }

  /** Why an entry cannot stand beside the other figures, or null. */
  static @Nullable String inconsistent(
      JobFile file, RigSheet sheet, FieldKey key, @Nullable Entry entry) {
    if (entry == null) {
      return null;
    }
    if (key.field() == RigField.BREAKAWAY_MADE) {
      return BreakawayBattery.impossible(entry.si(), file.record().day()).orElse(null);
    }
    if (key.field() == RigField.CABLE_LENGTH) {
      return CableFit.impossible(sheet, entry.si(), file.units()).orElse(null);
    }
    if (key.field() == RigField.BREAKER_FITTED) {
      return file.work().cab().feed().flatMap(feed -> feed.breaker().over(entry.si())).orElse(null);
    }
    Map<FieldKey, Entry> changed = new HashMap<>(sheet.entries());
    changed.put(key, entry);
    return RigConsistency.of(new RigSheet(changed, sheet.catalog())).stream()
        .filter(problem -> problem.field() == key.field())
        .map(RigConsistency.Problem::message)
        .findFirst()
        .orElse(null);
  }
}
