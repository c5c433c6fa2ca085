package org.jexel.core.report;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jexel.core.Rigs;
import org.jexel.core.breakaway.BreakawayRule;
import org.jexel.core.harness.WireSize;
import org.jexel.core.job.JobRecord;
import org.jexel.core.job.Mended;
import org.jexel.core.job.Planner;
import org.jexel.core.job.Shop;
import org.jexel.core.job.StationState;
import org.jexel.core.job.Taken;
import org.jexel.core.job.Ticked;
import org.jexel.core.job.Work;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.RigSheet;
import org.jexel.core.rig.TongueBand;
import org.jexel.core.rig.Wish;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What a report tells of a job, and what it does not claim. */
class ReportWriterTest {
  private static final Instant MORNING = Instant.parse("2026-01-15T07:00:00Z");
  private static final Shop SHOP =
      new Shop(WireSize.GAUGES, TongueBand.NORTH_AMERICA, BreakawayRule.USUAL);
  private static final String TAIL = "socket.tail";

  private final List<Taken> readings = new ArrayList<>();
  private final List<Mended> repairs = new ArrayList<>();
  private final List<Ticked> ticks = new ArrayList<>();
  private Wish wish = Wish.ANNUAL;

  private static RigSheet sheet() {
    return Rigs.sheet(
        RigField.BRAKE_TYPE, "ELECTRIC",
        RigField.TOW_CONNECTOR, "blade-7",
        RigField.TRAILER_CONNECTOR, "flat-4",
        RigField.PLANNED_CONNECTOR, "blade-7",
        RigField.EMPTY_MASS, 815);
  }

  private Work work(UnitSystem units) {
    Rig rig = Rigs.rig(sheet());
    return new Work(
        JobRecord.of(wish, false, SHOP, LocalDate.of(2026, 1, 15))
            .rig(rig)
            .read(readings, repairs)
            .ticked(ticks)
            .build(),
        Planner.ANEW,
        units);
  }

  private Report report(UnitSystem units) {
    return ReportWriter.of(
        List.of("J1"), work(units), Optional.empty(), units, ZoneId.of("Europe/Vienna"));
  }

  private Section section(String title) {
    return report(UnitSystem.METRIC).sections().stream()
        .filter(section -> section.title().equals(title))
        .findFirst()
        .orElse(Section.ofLines(title, List.of()));
  }

  private void read(double volts, int minute) {
    readings.add(
        new Taken(readings.size() + 1, TAIL, volts, MORNING.plusSeconds(60L * minute), "Ana"));
  }

  private double expected() {
    return work(UnitSystem.METRIC).bench().check(TAIL).orElseThrow().band().expected();
  }

  private List<Section.Row> of(String title, String about) {
    return section(title).rows().stream().filter(row -> row.cells().get(0).equals(about)).toList();
  }

  /** What failed stands beside what mended it, and the newest reading is how the rig is left. */
  @Test
  void whatWasFoundWrongIsNotForgottenOnceItIsMended() {
    String title = work(UnitSystem.METRIC).bench().check(TAIL).orElseThrow().title();
    read(2.0, 1);
    assertThat(of("Readings, as left", title).get(0).stands()).isEqualTo(StationState.FAILS);
    assertThat(section("Found wrong on the way").rows()).isEmpty();
    repairs.add(new Mended("earth at the box lost", List.of(TAIL), MORNING.plusSeconds(120), "Bo"));
    read(expected(), 3);
    assertThat(of("Readings, as left", title).get(0).stands()).isEqualTo(StationState.HOLDS);
    assertThat(of("Found wrong on the way", title))
        .singleElement()
        .satisfies(row -> assertThat(row.stands()).isEqualTo(StationState.FAILS))
        .satisfies(
            row ->
                assertThat(row.cells())
                    .contains(
                        "2.00 V", "Ana", "15 Jan 2026, 08:01", "mended: earth at the box lost"));
    assertThat(section("Mended").rows().get(0).cells())
        .containsExactly("earth at the box lost", "Bo", "15 Jan 2026, 08:02");
    read(2.1, 4);
    read(expected(), 5);
    assertThat(of("Found wrong on the way", title).get(1).cells()).contains("read again");
  }

  /** A sound reading that was taken twice was never wrong. */
  @Test
  void aSoundReadingIsNotFoundWrong() {
    read(expected(), 1);
    read(expected(), 2);
    assertThat(section("Found wrong on the way").rows()).isEmpty();
  }

  @Test
  void everyFigureIsEitherKnownOrAssumedAndNoneIsBoth() {
    List<String> known = about("Rig");
    List<String> assumed = about("Assumed, never measured");
    assertThat(known).contains("Trailer: brakes, axle 1", "Trailer: empty mass");
    assertThat(assumed)
        .contains("Tow vehicle: kerb mass", "Trailer: overall length with drawbar")
        .doesNotContainAnyElementsOf(known);
    assertThat(section("Rig").rows())
        .anySatisfy(row -> assertThat(row.cells()).contains("Trailer: empty mass", "815 kg"));
  }

  private List<String> about(String title) {
    return section(title).rows().stream().map(row -> row.cells().get(0)).toList();
  }

  @Test
  void aStepIsDoneByWhoeverTickedItAndElseOpen() {
    wish = Wish.CONVERT;
    String first = work(UnitSystem.METRIC).harness().steps().get(0).ticks().get(0);
    assertThat(section("Work done").rows()).allSatisfy(r -> assertThat(r.cells()).contains("open"));
    ticks.add(new Ticked(first, "Ana", MORNING));
    assertThat(section("Work done").rows().get(0).cells()).endsWith("Ana", "15 Jan 2026, 08:00");
    assertThat(section("Materials, as planned").rows()).isNotEmpty();
  }

  /** Nothing was weighed, planned circuits were not loaded: none of it holds. */
  @Test
  void whatIsOnlyComputedDoesNotHold() {
    for (String title : List.of("Load and ratings", "Circuits")) {
      assertThat(section(title).rows())
          .as(title)
          .isNotEmpty()
          .extracting(Section.Row::stands)
          .doesNotContain(StationState.HOLDS);
    }
  }

  /** A table's rows are as wide as its head, titles are known again, and units are the reader's. */
  @ParameterizedTest
  @EnumSource(UnitSystem.class)
  void itIsWellFormedInEveryUnit(UnitSystem units) {
    wish = Wish.CONVERT;
    read(2.0, 1);
    Report report = report(units);
    assertThat(report.sections()).extracting(Section::title).doesNotHaveDuplicates();
    for (Section section : report.sections()) {
      assertThat(section.rows())
          .as(section.title())
          .allSatisfy(row -> assertThat(row.cells()).hasSameSizeAs(section.columns()));
    }
    String cells =
        String.join(
            "\n",
            report.sections().stream()
                .flatMap(section -> section.rows().stream())
                .flatMap(row -> Stream.concat(row.cells().stream(), Stream.of("")))
                .toList());
    assertThat(cells.contains(" kg\n")).isEqualTo(units == UnitSystem.METRIC);
    assertThat(cells.contains(" lb\n")).isEqualTo(units != UnitSystem.METRIC);
  }

  @Test
  void twoReportsOfOneStateAreEqual() {
    assertThat(report(UnitSystem.METRIC)).isEqualTo(report(UnitSystem.METRIC));
    Report before = report(UnitSystem.METRIC);
    read(2.0, 1);
    assertThat(Difference.between(before, report(UnitSystem.METRIC)))
        .extracting(Difference::section)
        .contains("In short", "Readings, as left");
  }
}
