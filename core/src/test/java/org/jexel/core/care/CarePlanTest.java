package org.jexel.core.care;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.jexel.core.rig.RigField.AXLE_COUNT;
import static org.jexel.core.rig.RigField.AXLE_SPACING;
import static org.jexel.core.rig.RigField.BRAKE_TYPE;
import static org.jexel.core.rig.RigField.BREAKAWAY_KIT;
import static org.jexel.core.rig.RigField.CHAINS;
import static org.jexel.core.rig.RigField.EMPTY_MASS;
import static org.jexel.core.rig.RigField.TRAILER_KIND;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.jexel.core.Rigs;
import org.jexel.core.quantity.CalendarDay;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.Rig;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class CarePlanTest {
  private static final LocalDate DAY = LocalDate.of(2026, 5, 4);
  private static final double KM = 1000;
  private static final Object[] KNOWN = {
    BRAKE_TYPE,
    "ELECTRIC",
    AXLE_COUNT,
    2,
    AXLE_SPACING,
    1.4,
    EMPTY_MASS,
    700,
    CHAINS,
    "YES",
    BREAKAWAY_KIT,
    "OWN_BATTERY",
    TRAILER_KIND,
    "LIVESTOCK",
    "STUD_SIZE.0",
    "M12",
    "STUD_SIZE.1",
    "M12",
    "DRUM_DIAMETER.0",
    0.254,
    "DRUM_DIAMETER.1",
    0.254,
    "BREAKAWAY_CHEMISTRY.0",
    "LEAD_ACID",
    "TYRE_WALL.1",
    450_000,
    "TYRE_WALL.0",
    450_000
  };
  private static final Rig FULL = rig(KNOWN);

  private final List<CareDone> book = new ArrayList<>();

  private static Rig rig(Object... sheet) {
    return Rigs.rig(Rigs.sheet(sheet));
  }

  private CarePlan plan(LocalDate day) {
    return CarePlan.of(
        FULL, new CareBook(book), CarePart::usual, Optional.empty(), day, UnitSystem.METRIC);
  }

  private CarePlan.Line line(CarePart part, LocalDate day) {
    return plan(day).line(part).orElseThrow();
  }

  /** Recorded with the same figure at every place that is asked. */
  private void done(CarePart part, LocalDate day, double found, double km) {
    Map<Integer, Double> figures = new HashMap<>();
    line(part, day).places().keySet().forEach(place -> figures.put(place, found));
    book.add(
        new CareDone(
            book.size() + 1,
            part,
            day.atTime(9, 0).toInstant(ZoneOffset.UTC),
            day,
            "Somebody",
            figures,
            Double.isNaN(km) ? OptionalDouble.empty() : OptionalDouble.of(km * KM),
            ""));
  }

  private void done(CarePart part, LocalDate day) {
    done(part, day, sound(part), Double.NaN);
  }

  /** What nobody would object to, in the figures of a handbook. */
  private static double sound(CarePart part) {
    return switch (part) {
      case TYRE_AGE -> CalendarDay.si(DAY.minusYears(2));
      case TREAD -> 0.006;
      case SHOES -> 0.004;
      case DRUMS -> 0.2545;
      case NUTS -> 100;
      case INFLATION -> 450_000;
      case BATTERY -> 12.8;
      case PRESSURE, BEARINGS, MAGNETS -> 0;
      case ADJUSTMENT, HUB_GREASE -> 1;
      default -> 2;
    };
  }

  @Test
  void whatATrailerDoesNotHaveIsNotCaredFor() {
    List<CarePart> all = Arrays.asList(CarePart.values());
    assertThat(plan(DAY).lines().stream().map(CarePlan.Line::part))
        .containsAll(all.stream().filter(part -> part != CarePart.FLUID).toList())
        .doesNotContain(CarePart.FLUID);
    CarePlan plain =
        CarePlan.of(
            rig(BRAKE_TYPE, "NONE", AXLE_COUNT, 1, CHAINS, "NO", TRAILER_KIND, "FLATBED"),
            CareBook.EMPTY,
            CarePart::usual,
            Optional.empty(),
            DAY,
            UnitSystem.METRIC);
    assertThat(plain.lines().stream().map(CarePlan.Line::part))
        .containsExactlyInAnyOrder(
            CarePart.TYRE_AGE,
            CarePart.TREAD,
            CarePart.INFLATION,
            CarePart.PRESSURE,
            CarePart.NUTS,
            CarePart.HUB_GREASE,
            CarePart.BEARINGS,
            CarePart.COUPLER,
            CarePart.LAMPS,
            CarePart.CORD,
            CarePart.PLUG);
    assertThat(
            CarePlan.of(
                    rig(BRAKE_TYPE, "ELECTRIC_HYDRAULIC", EMPTY_MASS, 900),
                    CareBook.EMPTY,
                    CarePart::usual,
                    Optional.empty(),
                    DAY,
                    UnitSystem.US)
                .lines()
                .stream()
                .map(CarePlan.Line::part))
        .contains(CarePart.FLUID)
        .doesNotContain(CarePart.MAGNETS);
  }

  /** Nothing holds that nobody looked at, that is half looked at, or that is past due. */
  @ParameterizedTest
  @EnumSource(mode = EnumSource.Mode.EXCLUDE, names = "FLUID")
  void aPartHoldsFromItsRecordUntilItIsDue(CarePart part) {
    assertThat(line(part, DAY).verdict()).isEqualTo(Verdict.NOT_YET);
    done(part, DAY);
    assertThat(line(part, DAY).verdict()).isEqualTo(Verdict.HOLDS);
    LocalDate due = line(part, DAY).due().flatMap(CareDue::first).orElseThrow();
    assertThat(line(part, due).verdict()).isNotEqualTo(Verdict.NOT_YET);
    assertThat(line(part, due).over()).isFalse();
    assertThat(line(part, due.plusDays(1)).over()).isTrue();
    assertThat(line(part, due.plusDays(1)).verdict()).isNotEqualTo(Verdict.HOLDS);
    CareDone whole = book.remove(0);
    for (int place : whole.found().keySet()) {
      Map<Integer, Double> some = new HashMap<>(whole.found());
      some.remove(place);
      if (!some.isEmpty()) {
        book.add(
            new CareDone(9, part, whole.at(), DAY, "Somebody", some, OptionalDouble.empty(), ""));
        assertThat(line(part, DAY).verdict()).isEqualTo(Verdict.NOT_YET);
        book.clear();
      }
    }
  }

  /** The figures of the handbooks, and of two brake makers' sheets for drum and lining. */
  @ParameterizedTest
  @CsvSource({
    "TREAD, 0.0031, HOLDS", "TREAD, 0.0029, WATCH", "TREAD, 0.0019, FAILS",
    "SHOES, 0.0026, HOLDS", "SHOES, 0.0020, WATCH", "SHOES, 0.0015, FAILS",
    "DRUMS, 0.2552, HOLDS", "DRUMS, 0.2560, WATCH", "DRUMS, 0.2566, FAILS",
    "NUTS, 89, FAILS", "NUTS, 100, HOLDS", "NUTS, 111, FAILS",
    "BATTERY, 12.65, HOLDS", "BATTERY, 12.4, WATCH", "BATTERY, 12.1, FAILS",
    "ADJUSTMENT, 0, FAILS", "ADJUSTMENT, 1, HOLDS", "ADJUSTMENT, 2, WATCH",
    "MAGNETS, 0, HOLDS", "MAGNETS, 1, FAILS", "MAGNETS, 2, FAILS",
    "BEARINGS, 1, FAILS", "PRESSURE, 1, FAILS", "HUB_GREASE, 0, FAILS",
    "COUPLER, 0, FAILS", "COUPLER, 1, WATCH", "COUPLER, 2, HOLDS",
    "TREAD, 0.003, HOLDS", "TREAD, 0.002, WATCH", "TREAD, NaN, FAILS"
  })
  void limits(CarePart part, double found, Verdict verdict) {
    CarePlan.Line line = line(part, DAY);
    int place = line.places().keySet().iterator().next();
    assertThat(line.judge(place, found)).isEqualTo(verdict);
  }

  @Test
  void aTyreIsLookedAtFromFiveYearsOnAndOutAtSixByTheOldest() {
    double oldest = CalendarDay.si(LocalDate.of(2021, 6, 7));
    done(CarePart.TYRE_AGE, DAY, oldest, Double.NaN);
    assertThat(line(CarePart.TYRE_AGE, LocalDate.of(2026, 6, 6)).verdict())
        .isEqualTo(Verdict.HOLDS);
    assertThat(line(CarePart.TYRE_AGE, LocalDate.of(2026, 6, 7)).verdict())
        .isEqualTo(Verdict.WATCH);
    assertThat(line(CarePart.TYRE_AGE, LocalDate.of(2027, 6, 6)).verdict())
        .isEqualTo(Verdict.WATCH);
    assertThat(line(CarePart.TYRE_AGE, LocalDate.of(2027, 6, 7)).verdict())
        .isEqualTo(Verdict.FAILS);
    assertThat(line(CarePart.TYRE_AGE, DAY).due().orElseThrow().day())
        .contains(LocalDate.of(2026, 6, 7));
    done(CarePart.TYRE_AGE, LocalDate.of(2026, 6, 10), oldest, Double.NaN);
    assertThat(line(CarePart.TYRE_AGE, LocalDate.of(2026, 7, 1)).due().orElseThrow().day())
        .as("within a year, but out before")
        .contains(LocalDate.of(2027, 6, 7));
  }

  /** Off, at once, after 80 km, then as ever. */
  @Test
  void nutsOfAWheelThatWasOffAreDrawnUpTwice() {
    done(CarePart.NUTS, DAY, 100, 10_000);
    assertThat(line(CarePart.NUTS, DAY).due().orElseThrow().metres()).hasValue(30_000 * KM);
    LocalDate off = DAY.plusDays(10);
    done(CarePart.BEARINGS, off, 0, 10_500);
    assertThat(line(CarePart.NUTS, off).over()).as("on that day already").isTrue();
    assertThat(line(CarePart.NUTS, off).verdict()).isEqualTo(Verdict.WATCH);
    done(CarePart.NUTS, off.plusDays(1), 100, 10_500);
    CareDue again = line(CarePart.NUTS, off.plusDays(1)).due().orElseThrow();
    assertThat(again.metres()).hasValue(10_580 * KM);
    assertThat(line(CarePart.NUTS, off.plusDays(2)).over()).isFalse();
    done(CarePart.PRESSURE, off.plusDays(3), 0, 10_580);
    assertThat(line(CarePart.NUTS, off.plusDays(3)).over()).isTrue();
    done(CarePart.NUTS, off.plusDays(3), 100, 10_580);
    assertThat(line(CarePart.NUTS, off.plusDays(3)).due().orElseThrow().metres())
        .hasValue(30_580 * KM);
    done(CarePart.HUB_GREASE, off.plusDays(4), 1, 10_600);
    assertThat(line(CarePart.NUTS, off.plusDays(5)).over()).as("its wheel stays on").isFalse();
  }

  /** By the day or by the distance, whichever comes first; found day by day. */
  @Property(tries = 60)
  void whicheverComesFirst(@ForAll @IntRange(min = 1, max = 400) int kmADay) {
    CarePlanTest one = new CarePlanTest();
    one.done(CarePart.HUB_GREASE, DAY, 1, 100_000);
    LocalDate over = DAY;
    while (!one.line(CarePart.HUB_GREASE, over).over()) {
      over = over.plusDays(1);
      one.done(
          CarePart.PRESSURE, over, 0, 100_000.0 + kmADay * (over.toEpochDay() - DAY.toEpochDay()));
    }
    long byWay = (5000 + kmADay - 1) / kmADay;
    long byDay = LocalDate.of(2026, 8, 4).toEpochDay() + 1 - DAY.toEpochDay();
    assertThat(over.toEpochDay() - DAY.toEpochDay()).isEqualTo(Math.min(byWay, byDay));
  }

  @Test
  void thePaceTellsAboutWhen() {
    done(CarePart.HUB_GREASE, DAY.minusDays(40), 1, 1000);
    done(CarePart.HUB_GREASE, DAY, 1, 5000);
    CareDue due = line(CarePart.HUB_GREASE, DAY).due().orElseThrow();
    assertThat(due.expected()).as("5 000 km at 100 a day").contains(DAY.plusDays(50));
    assertThat(due.first()).contains(DAY.plusDays(50));
    assertThat(due.words(UnitSystem.METRIC))
        .isEqualTo("4 Aug 2026 or at 10000 km, about 23 Jun 2026 at its pace");
  }

  @Test
  void aBatteryIsDueByItsAgeIfThatIsSooner() {
    done(CarePart.BATTERY, DAY);
    LocalDate old = DAY.plusDays(20);
    CarePlan plan =
        CarePlan.of(
            FULL, new CareBook(book), CarePart::usual, Optional.of(old), DAY, UnitSystem.METRIC);
    assertThat(plan.line(CarePart.BATTERY).orElseThrow().due().orElseThrow().day()).contains(old);
    CarePlan young =
        CarePlan.of(
            FULL,
            new CareBook(book),
            CarePart::usual,
            Optional.of(DAY.plusYears(3)),
            DAY,
            UnitSystem.METRIC);
    assertThat(young.line(CarePart.BATTERY).orElseThrow().due().orElseThrow().day())
        .contains(DAY.plusMonths(3));
  }

  /** On a day and a distance; what is said of it. */
  @Test
  void aDistanceDoesNotRunBackwards() {
    done(CarePart.LAMPS, DAY, 2, 5000);
    done(CarePart.LAMPS, DAY.plusDays(100), 2, 8000);
    CareBook kept = new CareBook(book);
    LocalDate between = DAY.plusDays(50);
    Stream.of(5000, 6500, 8000)
        .forEach(km -> assertThat(kept.impossible(km * KM, between, UnitSystem.METRIC)).isEmpty());
    assertThat(kept.impossible(4999 * KM, between, UnitSystem.METRIC).orElseThrow())
        .contains("4 May 2026", "5000 km", "backwards");
    assertThat(kept.impossible(8001 * KM, between, UnitSystem.METRIC).orElseThrow())
        .contains("only");
    assertThat(kept.impossible(8001 * KM, DAY.plusDays(101), UnitSystem.METRIC)).isEmpty();
    assertThat(kept.impossible(10 * KM, DAY.plusDays(101), UnitSystem.METRIC).orElseThrow())
        .as("the newest that it contradicts")
        .contains("8000 km");
    assertThat(kept.impossible(80_000 * KM, DAY.plusDays(101), UnitSystem.METRIC).orElseThrow())
        .contains("nobody goes so far");
    assertThat(kept.metres()).hasValue(8000 * KM);
  }

  @Test
  void whatIsPastDueStandsFirstAndTheRestByWhenItIsDue() {
    done(CarePart.CORD, DAY.minusYears(2));
    done(CarePart.LAMPS, DAY.minusMonths(1));
    done(CarePart.PLUG, DAY.minusMonths(3));
    List<CarePart> order = plan(DAY).lines().stream().map(CarePlan.Line::part).toList();
    assertThat(order.get(0)).isEqualTo(CarePart.CORD);
    assertThat(order.subList(order.size() - 2, order.size()))
        .containsExactly(CarePart.PLUG, CarePart.LAMPS);
    assertThat(plan(DAY).next().orElseThrow().part()).isEqualTo(CarePart.CORD);
    assertThat(plan(DAY).words()).isEqualTo("1 due now, 18 never recorded, 2 in time");
  }

  /** A limit that goes by what nobody looked at proves nothing: the size of studs, drums, cells. */
  @ParameterizedTest
  @CsvSource({
    "NUTS, STUD_SIZE.1",
    "INFLATION, TYRE_WALL.1",
    "DRUMS, DRUM_DIAMETER.0",
    "BATTERY, BREAKAWAY_CHEMISTRY.0"
  })
  void whatIsJudgedByAnAssumptionIsWatched(CarePart part, String field) {
    done(part, DAY);
    assertThat(line(part, DAY).verdict()).isEqualTo(Verdict.HOLDS);
    Object[] left = KNOWN.clone();
    int at = Arrays.asList(left).indexOf(field);
    left[at] = "TOW_LENGTH.0";
    left[at + 1] = 5;
    CarePlan.Line assumed =
        CarePlan.of(
                rig(left),
                new CareBook(book),
                CarePart::usual,
                Optional.empty(),
                DAY,
                UnitSystem.METRIC)
            .line(part)
            .orElseThrow();
    assertThat(assumed.verdict()).isEqualTo(Verdict.WATCH);
    assertThat(assumed.words(UnitSystem.METRIC)).contains("goes by what is assumed");
    assertThat(line(part, DAY).words(UnitSystem.METRIC)).doesNotContain("assumed");
  }

  /**
   * Wall 450 kPa: a tenth short fails, a twentieth is watched, and so is any more than the wall
   * says. With 400 kPa by the table, less is enough; and by the table alone no wall is passed.
   */
  @ParameterizedTest
  @CsvSource({
    "450, , 404, FAILS",
    "450, , 406, WATCH",
    "450, , 428, HOLDS",
    "450, , 450, HOLDS",
    "450, , 451, WATCH",
    "450, , 473, FAILS",
    "450, 400, 359, FAILS",
    "450, 400, 361, WATCH",
    "450, 400, 381, HOLDS",
    "450, 400, 441, WATCH",
    "410, 400, 411, WATCH",
    "410, 400, 431, FAILS",
    "400, 450, 359, FAILS",
    "400, 450, 381, HOLDS",
    "400, 450, 401, WATCH",
    ", 400, 359, FAILS",
    ", 400, 439, HOLDS",
    ", 400, 600, WATCH",
    ", , 450, NOT_YET"
  })
  void aTyreIsJudgedByItsWallOrItsTable(
      Double wallKpa, Double tableKpa, double foundKpa, Verdict verdict) {
    List<Object> sheet = new ArrayList<>(Arrays.asList(KNOWN).subList(0, KNOWN.length - 4));
    for (int axle = 0; axle < 2; axle++) {
      if (wallKpa != null) {
        sheet.addAll(List.of("TYRE_WALL." + axle, wallKpa * 1000));
      }
      if (tableKpa != null) {
        sheet.addAll(List.of("TYRE_TABLE." + axle, tableKpa * 1000));
      }
    }
    done(CarePart.INFLATION, DAY, foundKpa * 1000, Double.NaN);
    CarePlan.Line line =
        CarePlan.of(
                rig(sheet.toArray()),
                new CareBook(book),
                CarePart::usual,
                Optional.empty(),
                DAY,
                UnitSystem.US)
            .line(CarePart.INFLATION)
            .orElseThrow();
    assertThat(line.verdict()).isEqualTo(verdict);
    assertThat(line.unjudged()).isEqualTo(verdict == Verdict.NOT_YET);
    assertThat(line.how().how())
        .contains(
            tableKpa != null && (wallKpa == null || tableKpa < wallKpa)
                ? "58 psi, as its maker’s table says"
                : wallKpa != null ? " psi, as its wall says" : "fill each to what its wall says");
  }

  @Test
  void whatIsSaidOfAPart() {
    assertThat(line(CarePart.TREAD, DAY).words(UnitSystem.US))
        .isEqualTo(
            "Never recorded for this trailer. Once it is, again after 12 months or 12427 mi.");
    Map<Integer, Double> found = Map.of(1, 0.006, 2, 0.006, 3, 0.0025, 4, 0.001);
    CareDone some =
        new CareDone(
            1,
            CarePart.TREAD,
            DAY.atTime(9, 0).toInstant(ZoneOffset.UTC),
            DAY,
            "Somebody",
            found,
            OptionalDouble.of(1000 * KM),
            "");
    book.add(some);
    assertThat(line(CarePart.TREAD, DAY).words(UnitSystem.METRIC))
        .isEqualTo(
            "Due since 4 May 2026. It was not in order; mended, record it again. Last on 4 May 2026:"
                + " axle 1 left, axle 1 right: 6.0 mm; axle 2 left: 2.5 mm (watch); axle 2 right:"
                + " 1.0 mm (fails).");
    assertThat(plan(DAY).lines().get(0).part())
        .as("nothing waits behind it")
        .isEqualTo(CarePart.TREAD);
    assertThat(plan(DAY).words()).startsWith("1 due now");
    assertThat(line(CarePart.TREAD, DAY.plusYears(2)).words(UnitSystem.METRIC))
        .startsWith("Past due since 4 May 2027. Last on");
    done(CarePart.HUB_GREASE, DAY.plusDays(1), 1, 2000);
    done(CarePart.LAMPS, DAY.plusDays(30), 2, 7000);
    assertThat(line(CarePart.HUB_GREASE, DAY.plusDays(30)).words(UnitSystem.METRIC))
        .isEqualTo("Past due: it was at 7000 km. Last on 5 May 2026: shows in front.");
    assertThat(line(CarePart.NUTS, DAY).limitWords(UnitSystem.METRIC)).isEqualTo("90 to 110 N·m.");
    assertThat(line(CarePart.INFLATION, DAY).limitWords(UnitSystem.METRIC))
        .isEqualTo("4.05 to 4.73 bar; watched below 4.28 bar and above 4.50 bar.");
    assertThat(line(CarePart.TREAD, DAY).limitWords(UnitSystem.METRIC))
        .isEqualTo("2.0 mm or more; watched below 3.0 mm.");
    assertThat(line(CarePart.DRUMS, DAY).limitWords(UnitSystem.METRIC))
        .isEqualTo("256.3 mm at most; watched above 255.5 mm.");
    assertThat(line(CarePart.LAMPS, DAY).limitWords(UnitSystem.METRIC)).isEmpty();
  }

  @Test
  void anIntervalIsATimeOrATimeAndADistance() {
    assertThat(CareInterval.of(1).words(UnitSystem.METRIC)).isEqualTo("1 month");
    assertThat(CareInterval.of(2, 80e3).words(UnitSystem.METRIC)).isEqualTo("2 months or 80 km");
    for (int months : new int[] {0, 241}) {
      assertThatThrownBy(() -> CareInterval.of(months)).hasMessageContaining("months");
    }
    assertThatThrownBy(() -> CareInterval.of(1, 0)).hasMessageContaining(" m");
  }
}
