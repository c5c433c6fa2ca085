package org.jexel.core.care;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.Verdict;

/**
 * One walk round a trailer before a journey, as somebody kept it. It holds only if everything that
 * was asked then was looked at and found right.
 *
 * @param at when it was walked
 * @param day on which that was, where the workshop is
 * @param who name of the person
 * @param seen for each part that was asked then: holds, fails, or not yet where nobody looked
 * @param wrong what was wrong, in words; empty where nothing was
 */
public record LookedOver(
    Instant at, LocalDate day, String who, Map<BeforeTow.Part, Verdict> seen, String wrong) {
  /**
   * @throws IllegalArgumentException if something is said to be watched: it is right or it is not
   */
  public LookedOver {
    if (seen.containsValue(Verdict.WATCH)) {
      throw new IllegalArgumentException("a part is right or wrong, or was not looked at");
    }
    Map<BeforeTow.Part, Verdict> ordered = new EnumMap<>(BeforeTow.Part.class);
    ordered.putAll(seen);
    seen = Collections.unmodifiableMap(ordered);
  }

  public Verdict verdict() {
    return Verdict.ofAll(seen.values());
  }

  /** As in “6 of 12 in order; not in order: tyres; not looked at: load”. */
  public String words() {
    long right = of(Verdict.HOLDS).size();
    if (right == seen.size() && right > 0) {
      return Phrase.of("all %d in order", right);
    }
    return Phrase.of("%d of %d in order", right, seen.size())
        + named("; not in order: ", Verdict.FAILS)
        + (wrong.isEmpty() ? "" : " (" + wrong + ")")
        + named("; not looked at: ", Verdict.NOT_YET);
  }

  private String named(String before, Verdict how) {
    List<BeforeTow.Part> parts = of(how);
    return parts.isEmpty()
        ? ""
        : before
            + parts.stream()
                .map(part -> part.label().toLowerCase(Locale.ROOT))
                .collect(Collectors.joining(", "));
  }

  private List<BeforeTow.Part> of(Verdict how) {
    return Arrays.stream(BeforeTow.Part.values()).filter(part -> seen.get(part) == how).toList();
  }
}
