package org.jexel.app.cab;

import java.time.format.DateTimeFormatter;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jexel.app.job.Draft;
import org.jexel.app.job.JobFile;
import org.jexel.core.quantity.Phrase;
import org.jspecify.annotations.Nullable;

/**
 * What a card of the cab shows in its fields, and what it asks about.
 *
 * @param fields what stands in the fields
 * @param seen version of the card that the page is made from
 * @param theirs who changed the card meanwhile; null where nobody did
 * @param mine what this person typed and the other's card does not say, by field
 * @param tooLong which fields are longer than a card takes, with their length
 */
record CabAsked(
    Map<String, String> fields,
    long seen,
    @Nullable String theirs,
    Map<String, String> mine,
    List<String> tooLong) {
  private static final DateTimeFormatter WHEN =
      DateTimeFormatter.ofPattern("d MMM HH:mm", Locale.ENGLISH);

  static CabAsked of(JobFile file, String card) {
    Map<String, String> stored = CabRows.typed(file, card);
    long now = CabRows.note(file, card).map(CabNote::id).orElse(0L);
    Optional<Draft> draft = file.typed().at(CabNotes.FORM, card);
    if (draft.isEmpty()) {
      return new CabAsked(stored, now, null, Map.of(), List.of());
    }
    Map<String, String> typed = CabNotes.decode(draft.get().typed());
    if (draft.get().seenId() != now && CabRows.note(file, card).isPresent()) {
      return new CabAsked(
          stored,
          now,
          told(file, CabRows.note(file, card).get()),
          others(typed, stored),
          List.of());
    }
    return new CabAsked(typed, now, null, Map.of(), lengths(typed));
  }

  private static String told(JobFile file, CabNote note) {
    return "%s changed this card at %s, while you had it open. It stands as they left it."
        .formatted(
            note.person().name(), WHEN.format(note.notedAt().atZone(file.job().workshop().zone())));
  }

  private static Map<String, String> others(Map<String, String> typed, Map<String, String> stored) {
    Map<String, String> mine = new LinkedHashMap<>();
    typed.forEach(
        (field, text) -> {
          if (!text.equals(stored.get(field))) {
            mine.put(field.replaceFirst("(\\d+)$", " $1"), text);
          }
        });
    return mine;
  }

  private static List<String> lengths(Map<String, String> typed) {
    return typed.entrySet().stream()
        .filter(field -> field.getValue().length() > CabNotes.LONGEST_FIELD)
        .map(
            field ->
                Phrase.of(
                    "“%s” has %d letters; a card takes %d. Nothing of this card is kept until it is shorter.",
                    field.getKey(), field.getValue().length(), CabNotes.LONGEST_FIELD))
        .toList();
  }
}
