package org.jexel.core.report;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.jexel.core.job.StationState;
import org.jexel.core.report.Section.Column;
import org.jexel.core.report.Section.Row;
import org.junit.jupiter.api.Test;

/** What a later report says otherwise than an earlier one. */
class DifferenceTest {
  private static final List<Column> COLUMNS =
      List.of(new Column("Check", false), new Column("Read", true));

  private static Report report(List<String> lines, Row... rows) {
    return new Report(
        List.of("J1"),
        "",
        List.of(new Section("Readings", lines, COLUMNS, List.of(rows))),
        List.of());
  }

  private static Row row(String check, String read, StationState stands) {
    return new Row(List.of(check, read), stands);
  }

  @Test
  void aReadingThatWasTakenAgainIsToldWithBothFigures() {
    Report before =
        report(List.of(), row("A", "1.0 V", StationState.FAILS), row("B", "2", StationState.HOLDS));
    Report now =
        report(
            List.of(), row("A", "12.0 V", StationState.HOLDS), row("B", "2", StationState.HOLDS));
    assertThat(Difference.between(before, now))
        .containsExactly(
            new Difference(
                "Readings", "A", "Read: 1.0 V; Stands: fails", "Read: 12.0 V; Stands: holds"));
  }

  @Test
  void ofRowsAboutTheSameTheSecondIsTheSecond() {
    Report before = report(List.of(), row("A", "1", StationState.HOLDS));
    Report now =
        report(List.of(), row("A", "1", StationState.HOLDS), row("A", "2", StationState.WATCH));
    assertThat(Difference.between(before, now))
        .containsExactly(new Difference("Readings", "A (2)", "", "Read: 2; Stands: watch"));
  }

  @Test
  void aSentenceOrASectionThatCameOrWentIsTold() {
    Report before = report(List.of("No gain."));
    Report now =
        new Report(
            List.of("J2"),
            "wanted at once",
            List.of(Section.ofLines("Readings", List.of()), Section.ofLines("Open", List.of("X"))),
            List.of(new Report.Print("The rig. Ana", "0a")));
    assertThat(Difference.between(before, now))
        .containsExactly(
            new Difference("Head", "", "J1", "J2"),
            new Difference("Why it leaves", "", "", "wanted at once"),
            new Difference("Readings", "", "No gain.", ""),
            new Difference("Open", "", "", "X"),
            new Difference("Photographs", "", "", "The rig. Ana"));
  }

  @Provide
  static Arbitrary<Report> reports() {
    Arbitrary<String> word = Arbitraries.of("a", "b", "c");
    Arbitrary<Row> row =
        Combinators.combine(word, word, Arbitraries.of(StationState.values()))
            .as(DifferenceTest::row);
    Arbitrary<Section> section =
        Combinators.combine(word.list().ofMaxSize(3), row.list().ofMaxSize(4))
            .as((lines, rows) -> new Section("", lines, COLUMNS, rows));
    return section
        .list()
        .ofMaxSize(3)
        .map(
            some -> {
              List<Section> named = new ArrayList<>();
              some.forEach(
                  s -> named.add(new Section("S" + named.size(), s.lines(), COLUMNS, s.rows())));
              return new Report(List.of("J1"), "", named, List.of());
            });
  }

  @Property(tries = 300)
  void aReportDiffersFromItselfInNothing(@ForAll("reports") Report any) {
    assertThat(Difference.between(any, any)).isEmpty();
  }

  /** Read backwards the same things differ, the other way round. */
  @Property(tries = 300)
  void whatCameOneWayWentTheOther(@ForAll("reports") Report one, @ForAll("reports") Report two) {
    assertThat(Difference.between(two, one))
        .containsExactlyInAnyOrderElementsOf(
            Difference.between(one, two).stream()
                .map(d -> new Difference(d.section(), d.what(), d.now(), d.before()))
                .toList());
  }

  /** No cell, word or verdict changes without being told. */
  @Property(tries = 300)
  void noChangeOfARowGoesUntold(
      @ForAll("reports") Report any, @ForAll("rows") Row other, @ForAll int at) {
    List<Section> sections = new ArrayList<>(any.sections());
    if (sections.isEmpty() || sections.get(0).rows().isEmpty()) {
      return;
    }
    Section first = sections.get(0);
    List<Row> rows = new ArrayList<>(first.rows());
    int place = Math.floorMod(at, rows.size());
    Row old = rows.set(place, other);
    sections.set(0, new Section(first.title(), first.lines(), COLUMNS, rows));
    boolean same = old.equals(other);
    assertThat(
            Difference.between(any, new Report(any.head(), "", sections, any.prints())).isEmpty())
        .isEqualTo(same);
  }

  @Provide
  static Arbitrary<Row> rows() {
    return Combinators.combine(
            Arbitraries.of("a", "new"),
            Arbitraries.of("b", "other"),
            Arbitraries.of(StationState.values()))
        .as(DifferenceTest::row);
  }
}
