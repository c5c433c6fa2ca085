package org.jexel.app.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jexel.app.job.JobFile;
import org.jexel.app.job.RequestKey;
import org.jexel.core.check.Check;
import org.jexel.core.job.Taken;
import org.jexel.core.quantity.Must;
import org.jexel.core.quantity.UnitSystem;

/**
 * A word or figure of a round as it was posted.
 *
 * @param word as it was typed or chosen; empty where a figure was cleared
 * @param seen newest reading of its check when the page was made, 0 if there was none
 * @param key of this word in this request
 * @param atOnce whether it was said of all that nobody chose a word for
 */
record Said(Check check, String word, long seen, String key, boolean atOnce) {
  private static final String FIELD = "word.";

  /** What was said, and of a round or walk that was said all at once the rest of it. */
  static List<Said> all(JobFile file, Map<String, String> typed) {
    String rest = typed.getOrDefault("atOnce", "");
    List<Said> said = new ArrayList<>(of(file, typed));
    said.removeIf(one -> one.word().isBlank());
    Set<Check> chosen = said.stream().map(Said::check).collect(Collectors.toSet());
    for (Check check : file.work().bench().checks()) {
      boolean other = RoundView.isSaidAtOnce(check) && !chosen.contains(check);
      if (other && (check.round().equals(rest) || check.walk().equals(rest))) {
        said.add(of(file, typed, check, sound(check), true));
      }
    }
    return said;
  }

  /** Every field of the form, cleared ones too. */
  static List<Said> of(JobFile file, Map<String, String> typed) {
    return file.work().bench().checks().stream()
        .filter(check -> typed.containsKey(FIELD + check.id()))
        .map(check -> of(file, typed, check, Must.have(typed, FIELD + check.id()), false))
        .toList();
  }

  private static String sound(Check check) {
    return check.measure().number(check.band().expected(), UnitSystem.METRIC);
  }

  private static Said of(
      JobFile file, Map<String, String> typed, Check check, String word, boolean atOnce) {
    long newest = file.work().bench().last(check.id()).map(Taken::id).orElse(0L);
    String seen = typed.getOrDefault("seen." + check.id(), "");
    return new Said(
        check,
        word,
        seen.matches("\\d{1,18}") ? Long.parseLong(seen) : newest,
        RequestKey.of(typed.getOrDefault("requestKey", ""), check.id()),
        atOnce);
  }
}
