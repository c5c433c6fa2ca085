package org.jexel.app.rig;

import java.util.LinkedHashMap;
import java.util.Map;
import org.jexel.app.job.Drafts;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.JobFiles;
import org.jexel.app.job.JobNames;
import org.jexel.app.workshop.Words;
import org.jexel.core.rig.Wish;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * What is wanted, and what everything is called: any of it can be changed as long as a job runs.
 */
@Service
class JobCard {
  static final String FORM = "job";

  private final JobFiles files;
  private final Drafts drafts;

  JobCard(JobFiles files, Drafts drafts) {
    this.files = files;
    this.drafts = drafts;
  }

  /**
   * The card's fields.
   *
   * @param typed what stands in them
   * @param problems why they cannot be taken, by field
   */
  record Face(Map<String, String> typed, Map<String, String> problems) {
    static Face of(JobFile file) {
      Map<String, String> typed = names(file);
      Map<String, String> problems = new LinkedHashMap<>();
      for (Map.Entry<String, String> field : typed.entrySet()) {
        file.typed()
            .at(FORM, field.getKey())
            .ifPresent(
                draft -> {
                  String theirs = field.getValue();
                  field.setValue(draft.typed());
                  problems.put(field.getKey(), problem(field.getKey(), draft.typed(), theirs));
                });
      }
      return new Face(typed, problems);
    }
  }

  private static Map<String, String> names(JobFile file) {
    JobNames now = JobNames.of(file.job());
    Map<String, String> names = new LinkedHashMap<>();
    names.put("wish", now.wish().name());
    names.put("title", now.title());
    names.put("customer", now.customer());
    names.put("tow", now.tow());
    names.put("trailer", now.trailer());
    return names;
  }

  private static String problem(String field, String typed, String theirs) {
    if (typed.length() > JobNames.LONGEST) {
      return "At most 120 letters.";
    } else if (typed.isEmpty()) {
      return "A job needs one: now it is “" + theirs + "”.";
    }
    return "Changed meanwhile to “" + theirs + "”. Save again to put yours in its place.";
  }

  /**
   * Takes what was changed. A field that cannot be taken, or that somebody else changed while this
   * one was typed, stays as it was typed, and the others are taken.
   *
   * @param typed each field, and as {@code field.was} what stood in it before
   */
  @Transactional(propagation = Propagation.MANDATORY)
  void take(JobFile file, Map<String, String> typed) {
    Map<String, String> now = names(file);
    Map<String, String> taken = new LinkedHashMap<>(now);
    for (String field : now.keySet()) {
      String text = typed.getOrDefault(field, now.getOrDefault(field, "")).strip();
      String was = typed.getOrDefault(field + ".was", "");
      boolean theirs = !was.equals(now.get(field)) && !text.equals(now.get(field));
      boolean missing = text.isEmpty() && !field.equals("customer");
      drafts.drop(file.job(), file.person(), FORM, field);
      if (text.equals(was)) {
        continue;
      } else if (theirs || missing || text.length() > JobNames.LONGEST) {
        drafts.keep(file.job(), file.person(), FORM, field, text, 0);
      } else {
        taken.put(field, text);
      }
    }
    if (!taken.equals(now)) {
      files.call(file, of(taken, file.job().wish()));
    }
  }

  private static JobNames of(Map<String, String> names, Wish was) {
    return new JobNames(
        names.getOrDefault("title", ""),
        names.getOrDefault("customer", ""),
        Words.of(Wish.class, names.getOrDefault("wish", ""), was),
        names.getOrDefault("tow", ""),
        names.getOrDefault("trailer", ""));
  }
}
