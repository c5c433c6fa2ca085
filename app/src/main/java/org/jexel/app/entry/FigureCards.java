package org.jexel.app.entry;

import java.time.Clock;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jexel.app.job.Draft;
import org.jexel.app.job.Drafts;
import org.jexel.app.job.JobFile;
import org.jexel.app.security.Person;
import org.jexel.core.quantity.Provenance;
import org.jexel.core.rig.Choice;
import org.jexel.core.rig.Entry;
import org.jexel.core.rig.FieldKey;
import org.jexel.core.rig.RigConsistency;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.RigSheet;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Shows and takes the figures of a card.
 *
 * <p>A card posts all its fields, each with what stood there when the page was made. Only touched
 * fields are taken. What cannot be understood, or what another person changed meanwhile, stays as a
 * draft beside its message until it is settled.
 */
@Service
public class FigureCards {
  private static final DateTimeFormatter WHEN =
      DateTimeFormatter.ofPattern("d MMM HH:mm", Locale.ENGLISH);

  private final RigFigureRepository figures;
  private final Drafts drafts;
  private final Clock clock;

  FigureCards(RigFigureRepository figures, Drafts drafts, Clock clock) {
    this.figures = figures;
    this.drafts = drafts;
    this.clock = clock;
  }

  private static List<FieldKey> keys(RigCards card, JobFile file) {
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

  /** The fields of a card as they stand for this person. */
  public List<FieldView> fields(RigCards card, JobFile file) {
    return keys(card, file).stream().map(key -> field(card, key, file)).toList();
  }

  /** Heading above the first field of each axle; null elsewhere. */
  private static String heading(RigCards card, FieldKey key) {
    boolean first =
        card.fields().stream()
            .filter(RigField::perAxle)
            .findFirst()
            .equals(Optional.of(key.field()));
    return first ? "Axle " + (key.index() + 1) : null;
  }

  private FieldView field(RigCards card, FieldKey key, JobFile file) {
    RigField field = key.field();
    RigSheet sheet = file.rig().sheet();
    boolean entered = sheet.entered(key);
    String shown = FieldText.shown(key, sheet, file.units());
    Optional<RigFigure> row = RigRows.of(file).figure(key);
    Optional<Draft> draft = file.typed().at(card.id(), key.code());
    String base = entered || !field.isNumber() ? shown : "";
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
        theirs = theirs(file, key, row.get(), shown);
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

  private static Provenance provenance(RigSheet sheet, FieldKey key) {
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

  private static String theirs(JobFile file, FieldKey key, RigFigure row, String shown) {
    String value =
        row.cleared()
            ? "cleared this"
            : "entered "
                + (key.field().isNumber()
                    ? key.field().measure().text(row.entry().si(), file.units())
                    : FieldText.options(key.field(), file.rig().sheet().catalog()).stream()
                        .filter(o -> o.value().equals(shown))
                        .findFirst()
                        .map(FieldText.Choosable::label)
                        .orElse(shown));
    return "%s %s at %s, while you had this open."
        .formatted(row.person().name(), value, when(file, row));
  }

  /** Why an entry cannot stand beside the other figures, or null. */
  private static String inconsistent(JobFile file, RigSheet sheet, FieldKey key, Entry entry) {
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

  /**
   * Takes what was touched on a card.
   *
   * @param typed the posted fields: {@code CODE}, {@code CODE.was}, {@code CODE.seen}, {@code
   *     CODE.from}, and for settling a conflict {@code settle} = {@code CODE:mine} or {@code
   *     CODE:theirs}
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public void take(RigCards card, JobFile file, Map<String, String> typed) {
    String settle = typed.getOrDefault("settle", "");
    RigSheet sheet = file.rig().sheet();
    for (FieldKey key : keys(card, file)) {
      String text = typed.get(key.code());
      if (text == null) {
        continue;
      }
      if (settle.equals(key.code() + ":theirs")) {
        drafts.drop(file.job(), file.person(), card.id(), key.code());
        continue;
      }
      boolean mine = settle.equals(key.code() + ":mine");
      sheet = takeOne(card, file, sheet, key, text.strip(), typed, mine);
    }
    file.changed();
  }

  private RigSheet takeOne(
      RigCards card,
      JobFile file,
      RigSheet sheet,
      FieldKey key,
      String text,
      Map<String, String> typed,
      boolean mine) {
    Person person = file.person();
    Provenance from = from(typed.get(key.code() + ".from"), key.field());
    boolean touched = !text.equals(typed.getOrDefault(key.code() + ".was", "").strip());
    boolean relabelled =
        sheet.entered(key)
            && typed.get(key.code() + ".from") != null
            && from != provenance(sheet, key);
    if (!touched && !relabelled && !mine) {
      return sheet;
    }
    long now = RigRows.of(file).figure(key).map(RigFigure::id).orElse(0L);
    long seen = mine ? now : seen(typed.get(key.code() + ".seen"));
    if (text.isEmpty()) {
      drafts.drop(file.job(), person, card.id(), key.code());
      if (sheet.entered(key)) {
        figures.save(
            new RigFigure(file.part(key.field().subject()), key, null, person, clock.instant()));
      }
      return sheet;
    }
    FieldText.Reading reading =
        FieldText.read(key.field(), text, from, sheet.catalog(), file.units());
    boolean fits =
        reading.problem() == null && inconsistent(file, sheet, key, reading.entry()) == null;
    if (!fits || seen != now) {
      drafts.keep(file.job(), person, card.id(), key.code(), text, seen);
      return sheet;
    }
    drafts.drop(file.job(), person, card.id(), key.code());
    if (reading.entry().equals(sheet.entries().get(key))) {
      return sheet;
    }
    return save(file, sheet, key, reading.entry());
  }

  private RigSheet save(JobFile file, RigSheet sheet, FieldKey key, Entry entry) {
    figures.save(
        new RigFigure(
            file.part(key.field().subject()), key, entry, file.person(), clock.instant()));
    Map<FieldKey, Entry> changed = new HashMap<>(sheet.entries());
    changed.put(key, entry);
    return new RigSheet(changed, sheet.catalog());
  }

  /** Enters one figure directly, for code that knows it in SI. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void enter(JobFile file, FieldKey key, Entry entry) {
    save(file, file.rig().sheet(), key, entry);
  }

  private static Provenance from(String posted, RigField field) {
    return "PLATE".equals(posted)
        ? Provenance.PLATE
        : "MEASURED".equals(posted) ? Provenance.MEASURED : field.usual();
  }

  private static long seen(String posted) {
    return posted != null && posted.matches("\\d{1,18}") ? Long.parseLong(posted) : 0;
  }
}
