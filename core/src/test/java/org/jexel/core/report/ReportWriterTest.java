package org.jexel.core.report;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.jexel.core.Rigs;
import org.jexel.core.braking.Surface;
import org.jexel.core.breakaway.BreakawayRule;
import org.jexel.core.care.CareBook;
import org.jexel.core.care.CareDone;
import org.jexel.core.care.CarePart;
import org.jexel.core.check.Check;
import org.jexel.core.check.Round;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.connector.WireColour;
import org.jexel.core.harness.Crosswalk;
import org.jexel.core.harness.Segment;
import org.jexel.core.harness.WireSize;
import org.jexel.core.job.JobRecord;
import org.jexel.core.job.Mended;
import org.jexel.core.job.Photo;
import org.jexel.core.job.Planner;
import org.jexel.core.job.Shop;
import org.jexel.core.job.StationState;
import org.jexel.core.job.Taken;
import org.jexel.core.job.Ticked;
import org.jexel.core.job.Work;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.RigSheet;
import org.jexel.core.rig.TongueBand;
import org.jexel.core.rig.Wish;
import org.jexel.core.road.Observed;
import org.jexel.core.road.Outcome;
import org.jexel.core.road.Setting;
import org.jexel.core.road.TestStop;
import org.jexel.core.road.VoltsByGain;
import org.junit.jupiter.api.BeforeEach;
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
  private final List<TestStop> stops = new ArrayList<>();
  private final List<Setting> settings = new ArrayList<>();
  private final List<VoltsByGain.Reading> volts = new ArrayList<>();
  private final Map<Crosswalk.Seen, WireColour> colours = new HashMap<>();
  private final Map<RigField, Object> entered = new EnumMap<>(RigField.class);
  private final List<CareDone> cared = new ArrayList<>();
  private final List<Photo> photos = new ArrayList<>();
  private RigSheet found;
  private Wish wish = Wish.ANNUAL;

  @BeforeEach
  void enter() {
    entered.put(RigField.BRAKE_TYPE, "ELECTRIC");
    entered.put(RigField.TOW_CONNECTOR, "blade-7");
    entered.put(RigField.TRAILER_CONNECTOR, "flat-4");
    entered.put(RigField.PLANNED_CONNECTOR, "blade-7");
    entered.put(RigField.EMPTY_MASS, 815);
  }

  private RigSheet sheet() {
    return Rigs.sheet(
        entered.entrySet().stream()
            .flatMap(entry -> Stream.of(entry.getKey(), entry.getValue()))
            .toArray());
  }

  private Work work(UnitSystem units) {
    Rig rig = Rigs.rig(sheet());
    return new Work(
        JobRecord.of(wish, false, SHOP, LocalDate.of(2026, 1, 15))
            .rig(rig)
            .read(readings, repairs)
            .ticked(ticks)
            .driven(stops, List.of(), settings)
            .measured(volts)
            .coloured(colours)
            .build(),
        Planner.ANEW,
        units);
  }

  private Report report(UnitSystem units) {
    Work work = work(units);
    return ReportWriter.of(
        List.of("J1"),
        work,
        new ReportWriter.Beside(
            Optional.empty(),
            found == null ? work.record().rig() : Rigs.rig(found),
            work.care().plan(new CareBook(cared), CarePart::usual),
            photos),
        units,
        ZoneId.of("Europe/Vienna"));
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

  private void say(String check, int word, boolean atOnce, boolean simulated) {
    readings.add(
        new Taken(
            readings.size() + 1,
            check,
            word,
            MORNING,
            "Ana",
            atOnce,
            simulated,
            OptionalDouble.empty()));
  }

  private List<String> round(String title) {
    return of("Readings, as left", title).get(0).cells();
  }

  /** A walk round the lamps is one line: what was not as computed, and how it was said. */
  @Test
  void aRoundSaysWhatWasOtherAndHowItWasSaid() {
    Round round =
        Round.of(work(UnitSystem.METRIC).bench().proof()).stream()
            .filter(one -> one.first().measure() == Measure.GLOW)
            .findFirst()
            .orElseThrow();
    assertThat(round(round.title())).contains("not read", "as computed");
    for (Check check : round.checks()) {
      say(check.id(), (int) check.band().expected(), true, false);
    }
    assertThat(round(round.title())).contains("as computed, said of all at once", "Ana");
    Check dark = round.checks().get(0);
    say(dark.id(), 0, false, true);
    assertThat(round(round.title())).contains(dark.title() + ": dark, simulated meter");
    say(dark.id(), (int) dark.band().expected(), false, true);
    assertThat(round(round.title()))
        .contains("as computed, of some said all at once, simulated meter");
    assertThat(section("Found wrong on the way").rows())
        .singleElement()
        .satisfies(
            row ->
                assertThat(row.cells())
                    .contains(round.title() + ", " + dark.title(), "as computed"));
  }

  @Test
  void aFigureStandsBesideItsBand() {
    read(expected(), 1);
    Check check = work(UnitSystem.METRIC).bench().check(TAIL).orElseThrow();
    assertThat(round(check.title()))
        .contains(
            Measure.VOLTS.text(expected(), UnitSystem.METRIC),
            Measure.VOLTS.number(check.band().low(), UnitSystem.METRIC)
                + " – "
                + Measure.VOLTS.text(check.band().high(), UnitSystem.METRIC));
  }

  private void stop(double gain, Outcome outcome, Double metres, String place) {
    Observed observed =
        new Observed(
            Observed.How.UNSAID, Observed.Pull.UNSAID, Observed.Feel.UNSAID, List.of(), place);
    TestStop plain =
        new TestStop(
            gain,
            TestStop.Way.LEVER,
            11.111,
            Surface.DRY_ASPHALT,
            outcome,
            metres,
            null,
            2400,
            815,
            "");
    stops.add(
        new TestStop(
            gain,
            plain.way(),
            plain.speed(),
            plain.surface(),
            outcome,
            metres,
            null,
            null,
            2400,
            815,
            "",
            observed,
            false,
            MORNING));
  }

  /** 11.111 m/s in 30 m: a = v²/(2·d) = 2.06 m/s². */
  @Test
  void eachStopIsToldWithWhatItMeasured() {
    assertThat(section("Test stops").lines()).containsExactly("None made.");
    stop(5, Outcome.FIRM, 30.0, "");
    stop(6.5, Outcome.LOCKED, null, "simulated road");
    List<Section.Row> rows = section("Test stops").rows();
    assertThat(rows.get(0).cells())
        .startsWith("1, full lever", "5", "Firm", "Dry asphalt", "40 km/h", "2.06 m/s²")
        .doesNotContain("–");
    assertThat(rows.get(1).cells())
        .containsExactly(
            "2, full lever",
            "6.5",
            "Locked, simulated road",
            "Dry asphalt",
            "40 km/h",
            "–",
            "–",
            "–",
            "15 Jan 2026, 08:00");
  }

  @Test
  void aSettingHoldsOrIsSaidToHoldNoLonger() {
    assertThat(section("Setting").lines()).containsExactly("No gain is settled yet.");
    double mass = work(UnitSystem.METRIC).rig().load().mass();
    double vehicle = sheet().si(RigField.KERB_MASS);
    settings.add(
        new Setting(
            6, Setting.School.BELOW_LOCK, Surface.DRY_ASPHALT, vehicle, 2 * mass, MORNING, "Ana"));
    assertThat(section("Setting").rows().get(0).cells())
        .contains("6", "Just below lock-up; holds no longer: another load");
    settings.add(
        new Setting(
            7, Setting.School.BELOW_LOCK, Surface.DRY_ASPHALT, vehicle, mass, MORNING, "Ana"));
    assertThat(section("Setting").rows())
        .singleElement()
        .satisfies(row -> assertThat(row.cells()).contains("7", "Just below lock-up", "Ana"));
    assertThat(section("Setting").lines()).isEmpty();
    entered.put(RigField.BRAKE_TYPE, "NONE");
    settings.clear();
    assertThat(section("Setting").lines()).containsExactly("No electric brakes, so no gain.");
    assertThat(section("Cautions").lines())
        .hasSize(2)
        .isEqualTo(report(UnitSystem.METRIC).cautions());
  }

  @Test
  void anOddReadingOfVoltsIsNamed() {
    assertThat(section("Volts by gain").rows()).isEmpty();
    for (double gain : new double[] {2, 4, 5, 6, 8}) {
      volts.add(new VoltsByGain.Reading(gain, gain == 5 ? 9 : 1.2 * gain));
    }
    assertThat(section("Volts by gain").rows())
        .hasSize(5)
        .allSatisfy(
            row ->
                assertThat(row.cells().get(3).isEmpty()).isEqualTo(!row.cells().get(0).equals("5")))
        .anySatisfy(row -> assertThat(row.cells()).startsWith("5", "9.00 V", "3.00 V"));
    assertThat(section("Cautions").lines()).hasSize(5).anyMatch(line -> line.contains("anti-lock"));
  }

  @Test
  void whatSomebodySawOfAColourIsMarkedAndABoxIsToldWhereThereIsOne() {
    colours.put(new Crosswalk.Seen(Segment.CORD, PinFunction.TAIL), WireColour.PINK);
    assertThat(section("Colours, end to end").rows())
        .filteredOn(row -> row.cells().get(1).equals("tail"))
        .singleElement()
        .satisfies(row -> assertThat(row.cells()).contains("PK pink, seen"))
        .satisfies(row -> assertThat(row.cells().get(2)).doesNotContain("seen"));
    assertThat(section("Colours, end to end").lines()).hasSize(1);
    assertThat(section("Circuits").rows())
        .anySatisfy(row -> assertThat(row.cells()).startsWith("earth").contains("–"))
        .anySatisfy(row -> assertThat(row.cells().get(5)).endsWith(" A"));
    entered.put(RigField.PLANNED_BOX, "YES");
    assertThat(section("Junction box").rows())
        .hasSize(7)
        .anySatisfy(row -> assertThat(row.cells().get(2)).contains("cord M5 × "))
        .anySatisfy(row -> assertThat(row.cells().get(2)).startsWith("This trailer does not use"));
    entered.put(RigField.PLANNED_BOX, "NO");
    assertThat(section("Junction box").rows()).isEmpty();
  }

  @Test
  void aLoadThatWasWeighedAndAPlateThatWasReadHold() {
    entered.put(RigField.WEIGHED_TONGUE, 100);
    entered.put(RigField.WEIGHED_AXLES, 715);
    entered.put(RigField.TRAILER_PERMITTED_MASS, 1400);
    Section ratings = section("Load and ratings");
    assertThat(ratings.lines()).containsExactly("As weighed.");
    Section.Row trailer = ratings.rows().get(0);
    assertThat(trailer.stands()).isEqualTo(StationState.HOLDS);
    assertThat(trailer.cells()).startsWith("Trailer, loaded", "815 kg", "1400 kg");
    assertThat(ratings.rows())
        .filteredOn(row -> row.cells().get(0).equals("Tow rating"))
        .allSatisfy(row -> assertThat(row.cells().get(2)).endsWith(", assumed"));
    assertThat(ratings.judged()).isTrue();
  }

  /**
   * Brakes behind a plug without a pin for them, and nothing that stops a trailer that came off.
   */
  @Test
  void whatIsMissingIsFoundAndWhatIsNotThereIsNotAssumedOf() {
    assertThat(section("Findings").rows())
        .isNotEmpty()
        .allSatisfy(row -> assertThat(row.stands()).isNotNull());
    assertThat(section("Findings").judged()).isTrue();
    assertThat(section("Work done").judged()).isFalse();
    assertThat(about("Assumed, never measured"))
        .noneMatch(title -> title.contains("reakaway battery"))
        .anyMatch(title -> title.startsWith("Controller: "))
        .anyMatch(title -> title.contains("one magnet"));
    entered.put(RigField.BREAKAWAY_KIT, "OWN_BATTERY");
    assertThat(about("Assumed, never measured"))
        .anyMatch(title -> title.contains("reakaway battery"));
    entered.put(RigField.BRAKE_TYPE, "NONE");
    entered.put(RigField.BREAKAWAY_KIT, "NONE");
    assertThat(about("Assumed, never measured"))
        .noneMatch(title -> title.startsWith("Controller: ") || title.contains("one magnet"));
    entered.put(RigField.TRAILER_CONNECTOR, "blade-7");
    assertThat(section("Findings").lines()).containsExactly("Nothing was missing for this job.");
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

  @Test
  void whatTheRigLackedWhenItCameAndWhatIsOtherwiseNowStandSideBySide() {
    assertThat(section("As found, and as left").rows()).isEmpty();
    found = sheet();
    entered.put(RigField.TRAILER_CONNECTOR, "blade-7");
    entered.put(RigField.EMPTY_MASS, 840);
    entered.put(RigField.KERB_MASS, 2100);
    Section told = section("As found, and as left");
    assertThat(told.lines()).contains("A finding when it came, and none now: plug on the trailer.");
    assertThat(told.rows().stream().map(Section.Row::cells))
        .containsExactly(
            List.of("Trailer: empty mass", "815 kg", "840 kg"),
            List.of("Trailer: plug on the cord now", "4-way flat", "7-way blade"));
    assertThat(section("Findings").lines().toString()).doesNotContain("Plug on the trailer");
  }

  @Test
  void careIsToldWithWhatWasFoundAndWhatNobodyRecorded() {
    assertThat(section("Care").lines())
        .containsExactly("Nobody has recorded any care of this trailer.");
    cared.add(
        new CareDone(
            1,
            CarePart.TREAD,
            MORNING,
            LocalDate.of(2026, 1, 15),
            "Ana",
            Map.of(1, 0.006, 2, 0.0025),
            OptionalDouble.empty(),
            ""));
    Section told = section("Care");
    assertThat(told.rows()).hasSize(1);
    assertThat(told.rows().get(0).cells())
        .startsWith("Tyres, tread", "15 Jan 2026")
        .anyMatch(cell -> cell.contains("2.5 mm (watch)"));
    assertThat(told.rows().get(0).stands()).isNotEqualTo(StationState.HOLDS);
    assertThat(told.lines().get(0)).startsWith("Never recorded: ").contains("wheel nuts");
  }

  /**
   * In the order of work and then of time; one whose step or check is gone is told all the same.
   */
  @Test
  void aPhotographIsToldWithWhatItIsOf() {
    wish = Wish.CONVERT;
    Work work = work(UnitSystem.METRIC);
    String step = work.harness().steps().get(0).id();
    Round round = Round.of(work.bench().checks()).get(1);
    photo(Photo.About.CARE, CarePart.PRESSURE.name(), "crack", 0);
    photo(Photo.About.FINDING, "", "", 1);
    photo(Photo.About.CHECK, round.id(), "on the pin", 5);
    photo(Photo.About.CHECK, "gone", "", 4);
    photo(Photo.About.STEP, step, "", 3);
    photo(Photo.About.RIG, "", "dent", 2);
    assertThat(report(UnitSystem.METRIC).prints())
        .extracting(Report.Print::caption)
        .containsExactly(
            "The rig: dent. Ana, 15 Jan 2026, 08:02",
            work.harness().steps().get(0).title() + ". Ana, 15 Jan 2026, 08:03",
            "A check that this rig has no more. Ana, 15 Jan 2026, 08:04",
            round.title() + ": on the pin. Ana, 15 Jan 2026, 08:05",
            "What was found. Ana, 15 Jan 2026, 08:01",
            CarePart.PRESSURE.label() + ": crack. Ana, 15 Jan 2026, 08:00");
  }

  private void photo(Photo.About about, String subject, String caption, int minute) {
    photos.add(
        new Photo(
            photos.size() + 1,
            about,
            subject,
            caption,
            "Ana",
            MORNING.plusSeconds(60L * minute),
            "sha " + photos.size()));
  }
}
