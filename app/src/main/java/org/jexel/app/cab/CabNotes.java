package org.jexel.app.cab;

import java.net.URLDecoder;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import org.jexel.app.job.Drafts;
import org.jexel.app.job.JobFile;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Keeps what is typed on the cards of the cab, as it was typed: the page reads it again and says
 * beside each field what it makes of it. A card that somebody else changed since it was opened, or
 * that is too long, stays as this person's draft until that is settled.
 */
@Service
public class CabNotes {
  /** Form of the drafts; a draft's field is its card. */
  static final String FORM = "cab";

  /** Of one field, letters; the inputs of the page stop there. */
  static final int LONGEST_FIELD = 1200;

  private static final Set<String> NOT_FIELDS = Set.of("_csrf", "seen", "settle");

  private final CabNoteRepository notes;
  private final Drafts drafts;
  private final Clock clock;

  CabNotes(CabNoteRepository notes, Drafts drafts, Clock clock) {
    this.notes = notes;
    this.drafts = drafts;
    this.clock = clock;
  }

  /**
   * Keeps what was typed.
   *
   * @param typed the fields of the card; {@code seen}, the note that stood when the page was made,
   *     0 for none; and to settle a question {@code settle}, <code>mine</code> or <code>theirs
   *     </code>
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public void take(JobFile file, String card, Map<String, String> typed) {
    long now = CabRows.note(file, card).map(CabNote::id).orElse(0L);
    String seen = typed.getOrDefault("seen", "0");
    String content = encode(typed);
    switch (typed.getOrDefault("settle", "")) {
      case "theirs" -> content = encode(CabRows.typed(file, card));
      case "mine" -> {
        content = file.typed().text(FORM, card);
        seen = String.valueOf(now);
      }
      default -> {}
    }
    if (content.equals(encode(CabRows.typed(file, card)))) {
      drafts.drop(file.job(), file.person(), FORM, card);
    } else if (!seen.equals(String.valueOf(now)) || tooLong(decode(content))) {
      long version = seen.matches("\\d{1,18}") ? Long.parseLong(seen) : 0;
      drafts.keep(file.job(), file.person(), FORM, card, content, version);
    } else {
      notes.save(new CabNote(file.job(), card, content, file.person(), clock.instant()));
      drafts.drop(file.job(), file.person(), FORM, card);
      file.changed();
    }
  }

  static boolean tooLong(Map<String, String> fields) {
    return fields.values().stream().anyMatch(text -> text.length() > LONGEST_FIELD);
  }

  private static String encode(Map<String, String> fields) {
    StringBuilder text = new StringBuilder();
    fields.forEach(
        (field, value) -> {
          if (!value.isBlank() && !NOT_FIELDS.contains(field)) {
            text.append(text.isEmpty() ? "" : "&")
                .append(URLEncoder.encode(field, StandardCharsets.UTF_8))
                .append('=')
                .append(URLEncoder.encode(value, StandardCharsets.UTF_8));
          }
        });
    return text.toString();
  }

  /**
   * @throws IllegalArgumentException if this is no stored card
   */
  static Map<String, String> decode(String content) {
    Map<String, String> fields = new LinkedHashMap<>();
    for (String pair : content.split("&")) {
      int equals = pair.indexOf('=');
      if (equals > 0) {
        fields.put(
            URLDecoder.decode(pair.substring(0, equals), StandardCharsets.UTF_8),
            URLDecoder.decode(pair.substring(equals + 1), StandardCharsets.UTF_8));
      }
    }
    return fields;
  }
}
