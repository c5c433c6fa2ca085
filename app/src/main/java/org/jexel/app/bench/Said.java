package org.jexel.app.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.RequestKey;
import org.jexel.core.check.Check;
import org.jexel.core.job.Taken;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.UnitSystem;

/**
 * A word of a round as it was posted.
 *
 * @param seen newest reading of its check when the page was made, 0 if there was none
 * @param key of this word in this request
 */
record Said(Check check, String word, long seen, String key) {
  static List<Said> of(JobFile file, Map<String, String> typed) {
    List<Said> all = new ArrayList<>();
    for (Check check : file.work().bench().checks()) {
      String word = typed.getOrDefault("word." + check.id(), "");
      if (!check.measure().words().isEmpty() && !word.isBlank()) {
        all.add(of(file, typed, check, word));
      }
    }
    return all;
  }

  /** Every lamp of a round as a sound rig shows it. */
  static List<Said> atOnce(JobFile file, Map<String, String> typed, String round) {
    return file.work().bench().checks().stream()
        .filter(check -> check.round().equals(round) && check.measure() == Measure.GLOW)
        .map(check -> of(file, typed, check, sound(check)))
        .toList();
  }

  private static String sound(Check check) {
    return check.measure().number(check.band().expected(), UnitSystem.METRIC);
  }

  private static Said of(JobFile file, Map<String, String> typed, Check check, String word) {
    long newest = file.work().bench().last(check.id()).map(Taken::id).orElse(0L);
    String seen = typed.getOrDefault("seen." + check.id(), "");
    return new Said(
        check,
        word,
        seen.matches("\\d{1,18}") ? Long.parseLong(seen) : newest,
        RequestKey.of(typed.getOrDefault("requestKey", ""), check.id()));
  }
}
