package org.jexel.core.care;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.jexel.core.quantity.CalendarDay;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.UnitSystem;

/**
 * When a part is due again: by a day or by a distance, whichever comes first.
 *
 * @param day empty where time alone does not make it due
 * @param metres how far the trailer has come by then; empty where nobody knows, or distance alone
 *     does not make it due
 * @param expected the day on which it will have come so far, if it goes on at its pace
 * @param atOnce whether it is past due already, whatever the day says
 * @param why where it is another day or distance than the interval says; empty where it is not
 */
public record CareDue(
    Optional<LocalDate> day,
    OptionalDouble metres,
    Optional<LocalDate> expected,
    boolean atOnce,
    String why) {
  /** Whoever draws up the nuts of a wheel that was off does so once more after this way, m. */
  private static final double AGAIN = WheelNuts.AGAIN_AFTER_METRES;

  /**
   * Of a part that was cared for at least once.
   *
   * @param interval after which it is due again
   * @throws java.util.NoSuchElementException if it never was
   */
  static CareDue of(CarePart part, CareBook book, CareInterval interval) {
    CareDone last = book.last(part).orElseThrow();
    return switch (part) {
      case NUTS -> nuts(last, book, interval);
      case TYRE_AGE -> tyres(last, interval);
      default -> usual(last, book, interval);
    };
  }

  private static CareDue usual(CareDone last, CareBook book, CareInterval interval) {
    Optional<LocalDate> day = Optional.of(last.day().plusMonths(interval.months()));
    return after(last, book, interval.metres(), day, "");
  }

  private static CareDue after(
      CareDone last, CareBook book, OptionalDouble way, Optional<LocalDate> day, String why) {
    OptionalDouble metres =
        way.isPresent() && last.metres().isPresent()
            ? OptionalDouble.of(last.metres().getAsDouble() + way.getAsDouble())
            : OptionalDouble.empty();
    OptionalDouble pace = book.pace();
    Optional<LocalDate> expected =
        metres.isPresent() && pace.isPresent()
            ? Optional.of(
                last.day().plusDays((long) Math.floor(way.getAsDouble() / pace.getAsDouble())))
            : Optional.empty();
    return new CareDue(day, metres, expected, false, why);
  }

  /** Nuts of a wheel that was off settle: drawn up at once, and once more after the first way. */
  private static CareDue nuts(CareDone last, CareBook book, CareInterval interval) {
    Optional<CareDone> off =
        book.done().stream().filter(one -> one.part().wheelOff()).reduce((a, b) -> b);
    if (off.isEmpty()) {
      return usual(last, book, interval);
    }
    List<CareDone> since =
        book.of(CarePart.NUTS).stream().filter(one -> !one.at().isBefore(off.get().at())).toList();
    return switch (since.size()) {
      case 0 ->
          new CareDue(
              Optional.of(off.get().day()),
              OptionalDouble.empty(),
              Optional.empty(),
              true,
              "A wheel was off since.");
      case 1 ->
          after(
              last,
              book,
              OptionalDouble.of(AGAIN),
              Optional.of(last.day().plusMonths(1)),
              "A wheel was off: once more after the first way.");
      default -> usual(last, book, interval);
    };
  }

  /** From five years on by the interval, and out at six, by the oldest of them. */
  private static CareDue tyres(CareDone last, CareInterval interval) {
    LocalDate oldest =
        CalendarDay.of(
            last.found().values().stream().mapToDouble(made -> made).min().orElseThrow());
    LocalDate looked = oldest.plusYears(CareLimit.TYRE_LOOK_YEARS);
    LocalDate out = oldest.plusYears(CareLimit.TYRE_OUT_YEARS);
    LocalDate again = last.day().plusMonths(interval.months());
    LocalDate next = last.day().isBefore(looked) ? looked : again.isBefore(out) ? again : out;
    return new CareDue(
        Optional.of(next),
        OptionalDouble.empty(),
        Optional.empty(),
        false,
        next.equals(out) ? "Out by age." : "By the oldest tyre.");
  }

  /** The same of what was found not in order on a day: nothing waits for the next round then. */
  CareDue atOnce(LocalDate found) {
    return new CareDue(
        Optional.of(found),
        metres,
        expected,
        true,
        "It was not in order; mended, record it again.");
  }

  /** The same, but not after a day. */
  CareDue notAfter(LocalDate other, String because) {
    return day.isPresent() && !day.get().isAfter(other)
        ? this
        : new CareDue(Optional.of(other), metres, expected, atOnce, because);
  }

  /** The first day by which it is due, by the calendar or at the trailer's pace. */
  public Optional<LocalDate> first() {
    return Stream.of(day, expected).flatMap(Optional::stream).min(LocalDate::compareTo);
  }

  /**
   * Whether it is past due: on a day, and as far as the trailer had come when somebody last read
   * it.
   */
  boolean isOver(LocalDate today, OptionalDouble come) {
    return atOnce
        || day.filter(due -> due.isBefore(today)).isPresent()
        || metres.isPresent() && come.isPresent() && come.getAsDouble() >= metres.getAsDouble();
  }

  /** As in “12 Mar 2027 or at 17 400 km, about 3 Feb 2027 at its pace”; a later day is not told. */
  public String words(UnitSystem units) {
    String byDay = day.map(CalendarDay::text).orElse("");
    String byWay = metres.isPresent() ? "at " + Measure.WAY.text(metres.getAsDouble(), units) : "";
    String pace =
        expected
            .filter(due -> day.isEmpty() || due.isBefore(day.get()))
            .map(due -> ", about " + CalendarDay.text(due) + " at its pace")
            .orElse("");
    return (byDay.isEmpty() || byWay.isEmpty() ? byDay + byWay : byDay + " or " + byWay) + pace;
  }

  /**
   * As in “Past due since 12 Mar 2027”, or “Due since” where it was not the calendar that made it.
   *
   * @param today on which it is past due
   */
  String overWords(LocalDate today, UnitSystem units) {
    if (atOnce) {
      return "Due since " + day.map(CalendarDay::text).orElse("");
    }
    boolean byDay = day.filter(due -> due.isBefore(today)).isPresent();
    return byDay || metres.isEmpty()
        ? "Past due since " + day.map(CalendarDay::text).orElse("")
        : "Past due: it was at " + Measure.WAY.text(metres.getAsDouble(), units);
  }

  /** Days from a day until it is due; less than 0 where it was. */
  long days(LocalDate today) {
    return first().map(due -> ChronoUnit.DAYS.between(today, due)).orElse(Long.MAX_VALUE);
  }
}
