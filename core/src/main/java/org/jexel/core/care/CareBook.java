package org.jexel.core.care;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jexel.core.quantity.CalendarDay;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.Phrase;
import org.jexel.core.quantity.UnitSystem;

/**
 * Everything that was done for one trailer over the years.
 *
 * @param done in the order of the days on which it was
 */
public record CareBook(List<CareDone> done) {
  public static final CareBook EMPTY = new CareBook(List.of());

  /** No trailer goes further in a day, m. */
  private static final double MOST_A_DAY = 2e6;

  /** A pace is told from readings that lie so far apart, days. */
  private static final int PACE_DAYS = 28;

  public CareBook {
    done =
        done.stream()
            .sorted(Comparator.comparing(CareDone::at).thenComparing(CareDone::id))
            .toList();
  }

  /** Of one part, in the order of its days. */
  public List<CareDone> of(CarePart part) {
    return done.stream().filter(one -> one.part() == part).toList();
  }

  public Optional<CareDone> last(CarePart part) {
    List<CareDone> all = of(part);
    return all.stream().skip(Math.max(0, all.size() - 1)).findFirst();
  }

  private List<CareDone> read() {
    return done.stream().filter(one -> one.metres().isPresent()).toList();
  }

  /** How far the trailer has come, as last read, m. */
  public OptionalDouble metres() {
    return read().stream().mapToDouble(one -> one.metres().orElseThrow()).max();
  }

  /** How far it goes in a day, by the first reading and the last; empty while nobody can say, m. */
  OptionalDouble pace() {
    List<CareDone> read = read();
    if (read.isEmpty()) {
      return OptionalDouble.empty();
    }
    CareDone first = read.get(0);
    CareDone last = read.get(read.size() - 1);
    long days = ChronoUnit.DAYS.between(first.day(), last.day());
    double way = last.metres().orElseThrow() - first.metres().orElseThrow();
    return days < PACE_DAYS || way <= 0 ? OptionalDouble.empty() : OptionalDouble.of(way / days);
  }

  /** Why it cannot have come so far by a day; empty if it can. */
  public Optional<String> impossible(double metres, LocalDate day, UnitSystem units) {
    List<CareDone> read = new ArrayList<>(read());
    Collections.reverse(read);
    for (CareDone one : read) {
      double then = one.metres().orElseThrow();
      long days = ChronoUnit.DAYS.between(one.day(), day);
      String said =
          Phrase.of(
              "On %s it had come %s", CalendarDay.text(one.day()), Measure.WAY.text(then, units));
      if (days >= 0 && metres < then) {
        return Optional.of(said + " already: a distance does not run backwards.");
      }
      if (days < 0 && metres > then) {
        return Optional.of(said + " only: it cannot have come further before.");
      }
      if (Math.abs(metres - then) > MOST_A_DAY * (Math.abs(days) + 1)) {
        return Optional.of(said + ": nobody goes so far in the time between.");
      }
    }
    return Optional.empty();
  }
}
