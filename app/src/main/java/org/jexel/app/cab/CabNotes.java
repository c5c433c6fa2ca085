package org.jexel.app.cab;

import java.net.URLDecoder;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.jexel.app.job.JobFile;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Keeps what is typed on the cards of the cab, as it was typed: the page reads it again and says
 * beside each field what it makes of it.
 */
@Service
public class CabNotes {
  private static final int LONGEST = 8000;
  private static final int LONGEST_FIELD = 1200;

  private final CabNoteRepository notes;
  private final Clock clock;

  CabNotes(CabNoteRepository notes, Clock clock) {
    this.notes = notes;
    this.clock = clock;
  }

  @Transactional(readOnly = true)
  public Map<String, String> typed(JobFile file, String card) {
    return note(file, card).map(note -> decode(note.content())).orElse(Map.of());
  }

  @Transactional(readOnly = true)
  public Optional<CabNote> note(JobFile file, String card) {
    return notes.findFirstByJobIdAndCardOrderByIdDesc(file.job().id(), card);
  }

  @Transactional
  public void take(JobFile file, String card, Map<String, String> fields) {
    String content = encode(fields);
    boolean same = note(file, card).map(note -> note.content().equals(content)).orElse(false);
    if (!same && content.length() <= LONGEST) {
      notes.save(new CabNote(file.job(), card, content, file.person(), clock.instant()));
    }
  }

  private static String encode(Map<String, String> fields) {
    StringBuilder text = new StringBuilder();
    fields.forEach(
        (field, value) -> {
          String kept = value.length() > LONGEST_FIELD ? value.substring(0, LONGEST_FIELD) : value;
          if (!kept.isBlank() && !field.startsWith("_")) {
            text.append(text.isEmpty() ? "" : "&")
                .append(URLEncoder.encode(field, StandardCharsets.UTF_8))
                .append('=')
                .append(URLEncoder.encode(kept, StandardCharsets.UTF_8));
          }
        });
    return text.toString();
  }

  private static Map<String, String> decode(String content) {
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
