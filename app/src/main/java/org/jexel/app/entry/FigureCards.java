package org.jexel.app.entry;

import java.time.Clock;
import java.util.HashMap;
import java.util.Map;
import org.jexel.app.job.Drafts;
import org.jexel.app.job.JobFile;
import org.jexel.app.security.Person;
import org.jexel.core.quantity.Provenance;
import org.jexel.core.rig.Entry;
import org.jexel.core.rig.FieldKey;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.RigSheet;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Takes the figures of a card.
 *
 * <p>A card posts all its fields, each with what stood there when the page was made. Only touched
 * fields are taken. What cannot be understood, or what another person changed meanwhile, stays as a
 * draft beside its message until it is settled.
 */
@Service
public class FigureCards {
  private final RigFigureRepository figures;
  private final Drafts drafts;
  private final Clock clock;

  FigureCards(RigFigureRepository figures, Drafts drafts, Clock clock) {
    this.figures = figures;
    this.drafts = drafts;
    this.clock = clock;
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
    for (FieldKey key : FieldViews.keys(card, file)) {
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
            && from != FieldViews.provenance(sheet, key);
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
    Entry entry = reading.entry();
    if (entry != null && entry.equals(sheet.entries().get(key))) {
      // Two who say the same have nothing to settle.
      drafts.drop(file.job(), person, card.id(), key.code());
      return sheet;
    }
    boolean fits = FieldViews.inconsistent(file, sheet, key, entry) == null;
    if (entry == null || !fits || seen != now) {
      drafts.keep(file.job(), person, card.id(), key.code(), text, seen);
      return sheet;
    }
    drafts.drop(file.job(), person, card.id(), key.code());
    return save(file, sheet, key, entry);
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

  private static Provenance from(@Nullable String posted, RigField field) {
    return "PLATE".equals(posted)
        ? Provenance.PLATE
        : "MEASURED".equals(posted) ? Provenance.MEASURED : field.usual();
  }

  private static long seen(@Nullable String posted) {
    return posted != null && posted.matches("\\d{1,18}") ? Long.parseLong(posted) : 0;
  }
}
