package org.jexel.core.report;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * One thing that a later report says otherwise than an earlier one. Sections are known again by
 * their titles, rows by what they are about and how often that came before; a sentence is either
 * there or not.
 *
 * @param section in which it stands
 * @param what it is about; empty for a sentence
 * @param before as the earlier one says, of a row the cells that differ; empty where it says
 *     nothing
 * @param now as the later one says, likewise
 */
public record Difference(String section, String what, String before, String now) {
  private static final String REASON = "Why it leaves";
  private static final String HEAD = "Head";
  private static final String PRINTS = "Photographs";

  /** Everything that differs, in the order in which it is read. */
  public static List<Difference> between(Report earlier, Report later) {
    List<Difference> found = new ArrayList<>();
    sentences(HEAD, earlier.head(), later.head(), found);
    said(REASON, "", earlier.leaves(), later.leaves(), found);
    Map<String, Section> before = byTitle(earlier);
    Map<String, Section> now = byTitle(later);
    for (String title : both(now.keySet(), before.keySet())) {
      Section was = before.getOrDefault(title, Section.ofLines(title, List.of()));
      Section is = now.getOrDefault(title, Section.ofLines(title, List.of()));
      sentences(title, was.lines(), is.lines(), found);
      rows(title, was, is, found);
    }
    sentences(PRINTS, captions(earlier), captions(later), found);
    return List.copyOf(found);
  }

  private static List<String> captions(Report report) {
    return report.prints().stream().map(Report.Print::caption).toList();
  }

  private static Map<String, Section> byTitle(Report report) {
    Map<String, Section> sections = new LinkedHashMap<>();
    report.sections().forEach(section -> sections.put(section.title(), section));
    return sections;
  }

  private static Set<String> both(Set<String> first, Set<String> second) {
    return Stream.concat(first.stream(), second.stream())
        .collect(Collectors.toCollection(LinkedHashSet::new));
  }

  private static void sentences(
      String section, List<String> before, List<String> now, List<Difference> found) {
    List<String> gone = without(before, now);
    List<String> come = without(now, before);
    if (gone.size() == 1 && come.size() == 1) {
      said(section, "", gone.get(0), come.get(0), found);
      return;
    }
    gone.forEach(line -> said(section, "", line, "", found));
    come.forEach(line -> said(section, "", "", line, found));
  }

  /** What stands in one list oftener than in the other. */
  private static List<String> without(List<String> all, List<String> taken) {
    List<String> left = new ArrayList<>(all);
    taken.forEach(left::remove);
    return left;
  }

  private static void rows(String section, Section before, Section now, List<Difference> found) {
    Map<String, Map<String, String>> was = told(before);
    Map<String, Map<String, String>> is = told(now);
    for (String what : both(is.keySet(), was.keySet())) {
      Map<String, String> old = was.getOrDefault(what, Map.of());
      Map<String, String> fresh = is.getOrDefault(what, Map.of());
      if (!was.containsKey(what) || !is.containsKey(what)) {
        found.add(new Difference(section, what, words(old), words(fresh)));
      } else if (!old.equals(fresh)) {
        found.add(
            new Difference(section, what, words(unlike(old, fresh)), words(unlike(fresh, old))));
      }
    }
  }

  /** What each row says by column, by what it is about. */
  private static Map<String, Map<String, String>> told(Section section) {
    Map<String, Map<String, String>> rows = new LinkedHashMap<>();
    Map<String, Integer> times = new HashMap<>();
    for (Section.Row row : section.rows()) {
      String about = row.cells().get(0);
      int time = times.merge(about, 1, Integer::sum);
      Map<String, String> cells = new LinkedHashMap<>();
      for (int i = 1; i < row.cells().size(); i++) {
        cells.put(section.columns().get(i).title(), row.cells().get(i));
      }
      if (row.stands() != null) {
        cells.put("Stands", row.stands().label());
      }
      rows.put(time == 1 ? about : about + " (" + time + ")", cells);
    }
    return rows;
  }

  /** Those cells that the other row has not, or has otherwise. */
  private static Map<String, String> unlike(Map<String, String> cells, Map<String, String> other) {
    Map<String, String> left = new LinkedHashMap<>(cells);
    left.entrySet().removeIf(cell -> cell.getValue().equals(other.get(cell.getKey())));
    return left;
  }

  private static String words(Map<String, String> cells) {
    return cells.entrySet().stream()
        .filter(cell -> !cell.getValue().isEmpty())
        .map(cell -> cell.getKey() + ": " + cell.getValue())
        .collect(Collectors.joining("; "));
  }

  private static void said(
      String section, String what, String before, String now, List<Difference> found) {
    if (!before.equals(now)) {
      found.add(new Difference(section, what, before, now));
    }
  }
}
