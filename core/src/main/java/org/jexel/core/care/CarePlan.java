package org.jexel.core.care;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jexel.core.quantity.CalendarDay;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.FieldKey;
import org.jexel.core.rig.Rig;
import org.jspecify.annotations.Nullable;

/**
 * What is cared for on one trailer by date and by distance, made from what that trailer has.
 *
 * @param lines what is past due or not in order first, then what was never recorded, then by when
 *     it is due
 */
public record CarePlan(List<Line> lines) {
  /**
   * A part of this trailer.
   *
   * @param places what a figure is recorded for, by number: wheels, or the part itself under 0
   * @param limits what a figure has to be at each place; none where nobody entered what it goes by
   * @param assumed figures of the rig that nobody entered and by which it is judged, in words
   * @param interval after which it is due again
   * @param last when it was cared for; empty where nobody recorded it
   * @param due when it is due again; empty where nobody recorded it
   * @param over whether that is past
   * @param today on which it is asked
   */
  public record Line(
      CarePart part,
      Map<Integer, String> places,
      CareHow how,
      Map<Integer, CareLimit> limits,
      String assumed,
      CareInterval interval,
      Optional<CareDone> last,
      Optional<CareDue> due,
      boolean over,
      LocalDate today) {
    /** Nothing holds that is past due, was never looked at or is judged by an assumption. */
    public Verdict verdict() {
      Verdict seen = seen();
      boolean doubtful = over || !assumed.isEmpty();
      return doubtful && seen == Verdict.HOLDS ? Verdict.WATCH : seen;
    }

    /** How all places stood when they were recorded last, by the limits of today. */
    public Verdict seen() {
      return last.map(done -> seen(places, limits, done)).orElse(Verdict.NOT_YET);
    }

    private static Verdict seen(
        Map<Integer, String> places, Map<Integer, CareLimit> limits, CareDone done) {
      return Verdict.ofAll(
          places.keySet().stream()
              .map(
                  place ->
                      done.found().containsKey(place)
                          ? judge(limits.get(place), done.found().get(place))
                          : Verdict.NOT_YET)
              .toList());
    }

    /** Whether it is recorded at a place and judged nowhere, since nobody entered by what. */
    public boolean unjudged() {
      return limits.size() < places.size();
    }

    public Verdict judge(int place, double si) {
      return judge(limits.get(place), si);
    }

    private static Verdict judge(@Nullable CareLimit limit, double si) {
      return limit == null ? Verdict.NOT_YET : limit.judge(si);
    }

    /** As in “2.0 mm or more; watched below 3.0 mm”; empty where words are said. */
    public String limitWords(UnitSystem units) {
      return limits.values().stream()
          .map(limit -> limit.words(part.measure(), units))
          .distinct()
          .collect(Collectors.joining(" "));
    }

    /** When it is due, in short. */
    public String dueWords(UnitSystem units) {
      return due.map(
              by ->
                  (over ? "was due " : "")
                      + by.day().map(CalendarDay::text).orElseGet(() -> by.words(units)))
          .orElse("never recorded");
    }

    /** When it is due, by what, and what was found last, in sentences. */
    public String words(UnitSystem units) {
      if (last.isEmpty() || due.isEmpty()) {
        return "Never recorded for this trailer. Once it is, again after "
            + interval.words(units)
            + ".";
      }
      String why = due.get().why();
      return Phrase.of(
          "%s. %sLast on %s: %s.%s",
          over ? due.get().overWords(today, units) : "Due " + due.get().words(units),
          why.isEmpty() ? "" : why + " ",
          CalendarDay.text(last.get().day()),
          said(last.get(), units),
          assumed.isEmpty() ? "" : " Its limit goes by what is assumed: " + assumed + ".");
    }

    /** As in “axle 1 left: 4.0 mm; axle 1 right: 2.5 mm (watch)”, alike ones said once. */
    public String said(CareDone done, UnitSystem units) {
      Map<String, List<String>> by = new LinkedHashMap<>();
      done.found()
          .forEach(
              (place, value) ->
                  by.computeIfAbsent(
                          part.measure().text(value, units) + mark(judge(place, value)),
                          words -> new ArrayList<>())
                      .add(places.getOrDefault(place, "another wheel")));
      if (by.size() == 1 && done.found().size() == places.size()) {
        return by.keySet().iterator().next();
      }
      List<String> parts = new ArrayList<>();
      by.forEach((words, where) -> parts.add(String.join(", ", where) + ": " + words));
      return String.join("; ", parts);
    }

    private static String mark(Verdict verdict) {
      return verdict.isWorry() ? " (" + verdict.label() + ")" : "";
    }
  }

  public CarePlan {
    lines = List.copyOf(lines);
  }

  /**
   * @param book what was done for this trailer
   * @param intervals of the workshop
   * @param batteryDue when the breakaway's battery is due by its age
   * @param day on which it is asked
   */
  public static CarePlan of(
      Rig rig,
      CareBook book,
      Function<CarePart, CareInterval> intervals,
      Optional<LocalDate> batteryDue,
      LocalDate day,
      UnitSystem units) {
    List<Line> lines = new ArrayList<>();
    for (CarePart part : CarePart.values()) {
      if (CarePlaces.has(rig, part)) {
        lines.add(line(rig, part, book, intervals.apply(part), batteryDue, day, units));
      }
    }
    lines.sort(
        Comparator.comparing((Line line) -> !line.over())
            .thenComparing(line -> line.last().isPresent())
            .thenComparing(line -> line.due().map(due -> due.days(day)).orElse(0L)));
    return new CarePlan(lines);
  }

  private static Line line(
      Rig rig,
      CarePart part,
      CareBook book,
      CareInterval interval,
      Optional<LocalDate> batteryDue,
      LocalDate day,
      UnitSystem units) {
    Map<Integer, String> places = CarePlaces.of(rig, part);
    Optional<CareDone> last = book.last(part);
    Map<Integer, CareLimit> limits = new LinkedHashMap<>();
    places
        .keySet()
        .forEach(
            place -> limit(rig, part, place, day).ifPresent(limit -> limits.put(place, limit)));
    Optional<CareDue> due =
        last.map(done -> CareDue.of(part, book, interval))
            .map(
                by ->
                    part == CarePart.BATTERY && batteryDue.isPresent()
                        ? by.notAfter(batteryDue.get(), "By the date on the battery.")
                        : by);
    boolean over = due.filter(by -> by.isOver(day, book.metres())).isPresent();
    boolean broken =
        last.filter(done -> Line.seen(places, limits, done) == Verdict.FAILS).isPresent();
    return new Line(
        part,
        places,
        CareHow.of(part, rig, units),
        limits,
        assumed(rig, part, places.keySet()),
        interval,
        last,
        broken && !over ? due.map(by -> by.atOnce(last.orElseThrow().day())) : due,
        broken || over,
        day);
  }

  private static Optional<CareLimit> limit(Rig rig, CarePart part, int place, LocalDate day) {
    return CareLimit.of(part, rig, CarePlaces.wheel(rig, place), day);
  }

  private static String assumed(Rig rig, CarePart part, Set<Integer> places) {
    return places.stream()
        .flatMap(place -> CareLimit.rests(part, rig, CarePlaces.wheel(rig, place)).stream())
        .filter(key -> isAssumed(rig, key))
        .map(key -> Phrase.within(key.field().label()))
        .distinct()
        .collect(Collectors.joining(", "));
  }

  private static boolean isAssumed(Rig rig, FieldKey key) {
    return key.field().isNumber()
        ? rig.sheet().figure(key).assumed()
        : rig.sheet().choice(key).assumed();
  }

  public Optional<Line> line(CarePart part) {
    return lines.stream().filter(line -> line.part() == part).findFirst();
  }

  /** What is due first of what was recorded. */
  public Optional<Line> next() {
    return lines.stream()
        .filter(line -> line.due().flatMap(CareDue::first).isPresent())
        .min(Comparator.comparing(line -> line.due().flatMap(CareDue::first).orElseThrow()));
  }

  /** As in “2 due now, 3 never recorded, 14 in time”. */
  public String words() {
    long over = lines.stream().filter(Line::over).count();
    long never = lines.stream().filter(line -> line.last().isEmpty()).count();
    long worry = lines.stream().filter(line -> line.seen().isWorry()).count();
    List<String> said = new ArrayList<>();
    if (over > 0) {
      said.add(over + " due now");
    }
    if (never > 0) {
      said.add(never + " never recorded");
    }
    said.add(lines.size() - over - never + " in time");
    if (worry > 0) {
      said.add(Phrase.of("%d not in order or to be watched", worry));
    }
    return String.join(", ", said);
  }
}
