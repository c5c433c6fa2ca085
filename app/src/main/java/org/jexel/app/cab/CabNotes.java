package org.jexel.app.cab;

import java.net.URLDecoder;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.Map;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.JobFiles;
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
  private final JobFiles files;
  private final Clock clock;

  CabNotes(CabNoteRepository notes, JobFiles files, Clock clock) {
    this.notes = notes;
    this.files = files;
    this.clock = clock;
  }

  /** Keeps what was typed, and works out anew how the job stands. */
  @Transactional
  public void take(JobFile file, String card, Map<String, String> fields) {
    files.hold(file);
    String content = encode(fields);
    if (!content.equals(encode(file.cabNote(card))) && content.length() <= LONGEST) {
      notes.save(new CabNote(file.job(), card, content, file.person(), clock.instant()));
      notes.flush();
      files.refresh(file.job().ref(), file.person());
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
