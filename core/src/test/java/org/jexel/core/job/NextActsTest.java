package org.jexel.core.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jexel.core.Rigs;
import org.jexel.core.braking.Surface;
import org.jexel.core.breakaway.BreakawayRule;
import org.jexel.core.cab.Fitting;
import org.jexel.core.care.BeforeTow;
import org.jexel.core.care.LookedOver;
import org.jexel.core.check.Check;
import org.jexel.core.check.CheckSheet;
import org.jexel.core.harness.Step;
import org.jexel.core.harness.StepPlan;
import org.jexel.core.harness.WireSize;
import org.jexel.core.quantity.CalendarDay;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.LoadItem;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.jexel.core.rig.TongueBand;
import org.jexel.core.rig.Wish;
import org.jexel.core.road.GainAdvice;
import org.jexel.core.road.Gate;
import org.jexel.core.road.Outcome;
import org.jexel.core.road.Said;
import org.jexel.core.road.Setting;
import org.jexel.core.road.TestStop;
import org.junit.jupiter.api.Test;

/** One next act, and the states of the stations, as a job goes on. */
class NextActsTest {
  static final Shop SHOP = new Shop(WireSize.GAUGES, TongueBand.NORTH_AMERICA, BreakawayRule.USUAL);
  private static final Object[] PLATES = {
    RigField.KERB_MASS, 2100,
    RigField.TOW_RATING, 2500,
    RigField.EMPTY_MASS, 450,
    RigField.TRAILER_PERMITTED_MASS, 1400,
    RigField.AXLE_RATING, 1500
  };
  private static final Object[] LENGTHS = {
    RigField.FEED_RUN, 5.5, RigField.OVERALL_LENGTH, 4.4, RigField.DRAWBAR_LENGTH, 1.2
  };
  private static final Object[] CONTROLLER = {
    RigField.CONTROLLER_KIND,
    "UNDER_DASH",
    RigField.GAIN_LEAST,
    0,
    RigField.GAIN_GREATEST,
    10,
    RigField.GAIN_STEP,
    0.5
  };
  private static final Object[] KIT = {
    RigField.BREAKAWAY_KIT, "OWN_BATTERY", RigField.CABLE_LENGTH, 0.7
  };
  private static final Object[] COUPLING = {
    RigField.CABLE_FIXING, "OWN_EYE",
    RigField.FIXING_X, 0.15,
    RigField.FIXING_Y, 0.1,
    RigField.FIXING_Z, -0.1,
    RigField.BREAKAWAY_X, 0.4,
    RigField.BREAKAWAY_Y, 0,
    RigField.SWITCH_Z, 0.05,
    RigField.GREATEST_TURN, 1.57,
    RigField.CHAIN_LENGTH, 1.0,
    RigField.CHAIN_EYE_X, 0.15,
    RigField.CHAIN_EYE_Y, 0.12,
    RigField.CHAIN_EYE_Z, -0.1,
    RigField.CHAIN_END_X, 0.25,
    RigField.CHAIN_END_Y, 0.06,
    RigField.CHAIN_END_Z, -0.1
  };
  private static final Object[] UNBRAKED = {
    RigField.BRAKE_TYPE, "NONE", RigField.TRAILER_CONNECTOR, "blade-7"
  };
  private static final Object[] BRAKED = {
    RigField.BRAKE_TYPE, "ELECTRIC",
    RigField.TRAILER_CONNECTOR, "blade-7",
    RigField.TOW_CONNECTOR, "blade-7"
  };

  private static final LocalDate DAY = LocalDate.of(2026, 1, 15);
  private static final Instant MORNING = Instant.parse("2026-01-15T07:00:00Z");

  private final Map<String, Object[]> sheet = new LinkedHashMap<>();
  private final List<LoadItem> load = new ArrayList<>();
  private final List<Taken> readings = new ArrayList<>();
  private Optional<LookedOver> beforeTow = Optional.empty();
  private final List<Mended> repairs = new ArrayList<>();
  private final List<TestStop> stops = new ArrayList<>();
  private Wish wish = Wish.ANNUAL;
  private Set<String> ticked = Set.of();
  private List<Said> said = new ArrayList<>();
  private List<Setting> settings = List.of();
  private int minute;

  private NextActsTest enter(String card, Object... pairs) {
    sheet.put(card, pairs);
    return this;
  }

  private NextActsTest entered(Object[]... cards) {
    for (Object[] card : cards) {
      enter("card " + sheet.size(), card);
    }
    return this;
  }

  private Work work() {
    Object[] all = sheet.values().stream().flatMap(Arrays::stream).toArray();
    Rig rig = Rigs.rig(Rigs.sheet(all), load.toArray(LoadItem[]::new));
    return new Work(
        JobRecord.of(wish, false, SHOP, DAY)
            .rig(rig)
            .read(readings, repairs)
            .ticked(ticked.stream().map(step -> new Ticked(step, "", MORNING)).toList())
            .driven(stops, said, settings)
            .build(),
        Planner.ANEW,
        UnitSystem.METRIC);
  }

  private InShort inShort() {
    return work().inShort(beforeTow);
  }

  private NextAct next() {
    return work().progress().next();
  }

  private StationState state(Station station) {
    return work().progress().states().get(station);
  }

  private void read(String check, double value) {
    Instant at = MORNING.plusSeconds(60L * ++minute);
    readings.add(new Taken(readings.size() + 1, check, value, at, "Somebody"));
  }

  private void mend(String... again) {
    repairs.add(new Mended("", List.of(again), MORNING.plusSeconds(60L * ++minute), ""));
  }

  /** Every check of the proof as a sound rig shows it. */
  private void prove() {
    for (Check check : work().bench().proof()) {
      read(check.id(), check.band().expected());
    }
  }

  private static final Instant NOON = DAY.atTime(12, 0).toInstant(ZoneOffset.UTC);

  private static Setting settled(double gain, Surface surface) {
    return new Setting(gain, Setting.School.BELOW_LOCK, surface, 2100, 450, NOON, "Somebody");
  }

  /** Tyres, nuts and place are sound, and what is to be watched is gone past. */
  private void lookRound() {
    for (Gate.Line line : work().road().gate().lines()) {
      if (line.asks()) {
        say(Said.What.PASSED, line.id(), Verdict.WATCH);
      } else if (line.verdict() == Verdict.NOT_YET) {
        say(Said.What.valueOf(line.id()), "", Verdict.HOLDS);
      }
    }
  }

  private void say(Said.What what, String about, Verdict verdict) {
    said.add(new Said(what, about, verdict, "because", 0, DAY, NOON, "Somebody"));
  }

  @Test
  void whatIsWantedSteersTheFirstAct() {
    entered(BRAKED);
    wish = Wish.REPAIR;
    assertThat(next().aim()).isEqualTo(new Aim.FindFault());
    assertThat(next().text()).isEqualTo("Say what is wrong with it, or take the first look");
    wish = Wish.ANNUAL;
    assertThat(next().aim()).isEqualTo(new Aim.Read(CheckSheet.SUPPLY));
    wish = Wish.NEW_CONTROLLER;
    assertThat(next().aim()).isEqualTo(new Aim.Enter(RigField.CONTROLLER_KIND));
    entered(new Object[] {RigField.CONTROLLER_KIND, "UNDER_DASH"});
    assertThat(next().text()).isEqualTo("Measure: tow vehicle, wire run, battery to socket");
    entered(LENGTHS);
    assertThat(next().aim()).isEqualTo(new Aim.FitController(Fitting.Topic.CONTROLLER));
    entered(CONTROLLER);
    assertThat(next().text()).as("while the battery is on").contains("stop signal");
    assertThat(next().station()).isEqualTo(Station.CAB);
  }

  /** The same reading, shown by the simulated meter. */
  static Taken practised(Taken one) {
    return new Taken(
        one.id(), one.check(), one.value(), one.at(), one.who(), false, true, one.pinVolts());
  }

  /** An owner is never told that all holds while one check fails, was not made or was practised. */
  @Test
  void inShortSaysNoMoreThanWasRead() {
    entered(UNBRAKED, LENGTHS, PLATES);
    assertThat(inShort().words()).first().isEqualTo("Nothing was measured on it yet.");
    prove();
    List<Taken> sound = List.copyOf(readings);
    assertThat(inShort().words().get(0)).startsWith("All ").endsWith("made and hold.");
    assertThat(inShort().open()).allMatch(o -> o.startsWith("Harness is to be watched: "));
    Check first = work().bench().check("socket.tail").orElseThrow();
    read(first.id(), 0);
    assertThat(inShort().open().get(0)).isEqualTo("Fails: " + first.title());
    assertThat(inShort().words().get(0)).contains(", one fails.").doesNotContain("All ");
    for (int i = 0; i < sound.size(); i++) {
      readings.clear();
      readings.addAll(sound);
      Taken one = readings.remove(i);
      assertThat(inShort().words().get(0)).as(one.check()).doesNotContain("All ");
      assertThat(String.join(" ", inShort().open())).contains("Not checked: ");
      readings.add(practised(one));
      assertThat(inShort().words().get(0)).as(one.check()).doesNotContain("All ");
      assertThat(String.join(" ", inShort().open())).contains("Only practised");
    }
  }

  /** What was wrong before a journey is open until somebody looks again and finds it right. */
  @Test
  void whatWasWrongBeforeAJourneyIsOpenUntilTheNextList() {
    entered(UNBRAKED, LENGTHS, PLATES);
    for (Verdict seen : List.of(Verdict.FAILS, Verdict.HOLDS)) {
      beforeTow =
          Optional.of(
              new LookedOver(
                  MORNING,
                  DAY,
                  "Somebody",
                  Map.of(BeforeTow.Part.TYRES, seen),
                  "a cut in the left"));
      assertThat(inShort().open().stream().filter(line -> line.contains("tyres (a cut")))
          .hasSize(seen == Verdict.FAILS ? 1 : 0);
    }
  }

  /** Practice opens no gate: what the simulated meter showed asks for a reason in writing. */
  @Test
  void whatTheSimulatedMeterShowedHoldsNothing() {
    entered(BRAKED, LENGTHS, CONTROLLER, PLATES, KIT);
    prove();
    List<Taken> read = List.copyOf(readings);
    assertThat(work().road().gate().lines())
        .filteredOn(line -> line.id().equals("brake.amps"))
        .allMatch(Gate.Line::open);
    readings.clear();
    read.forEach(one -> readings.add(practised(one)));
    assertThat(state(Station.BENCH)).isEqualTo(StationState.WATCH);
    assertThat(inShort().words())
        .contains("The pull of the breakaway’s pin was only practised, with the simulated meter.")
        .noneMatch(word -> word.contains("read to its end"));
    assertThat(work().road().gate().lines())
        .filteredOn(line -> line.id().equals("brake.amps"))
        .isNotEmpty()
        .allMatch(line -> !line.open() && line.asks());
  }

  /** No station fails or is to be watched without a word of it. */
  /** Nobody moves load for a rating that is only assumed. */
  @Test
  void aRatingThatIsAssumedIsReadBeforeLoadIsMovedForIt() {
    entered(UNBRAKED, PLATES);
    load.add(new LoadItem("Bricks", 900, 1.3));
    assertThat(next().aim()).isEqualTo(new Aim.Enter(RigField.TONGUE_RATING));
    assertThat(next().text()).isEqualTo("Read the plate: tow vehicle, tongue rating");
    entered(new Object[] {RigField.TONGUE_RATING, 100});
    assertThat(next().aim()).isEqualTo(new Aim.MoveLoad());
    assertThat(next().text()).endsWith("Tongue rating over the rating");
  }

  /** A rating that nobody has read proves nothing, either way. */
  @Test
  void inShortSaysOfRatingsWhatWasRead() {
    entered(UNBRAKED);
    assertThat(inShort().words()).anyMatch(line -> line.endsWith("; 6 ratings are only assumed."));
    load.add(new LoadItem("Bricks", 5000, 2.6));
    assertThat(inShort().words())
        .anyMatch(line -> line.contains("is over a rating that nobody has read: trailer, loaded"));
    assertThat(inShort().open()).contains("Tow rating: over the rating that is assumed: read it");
    entered(new Object[] {RigField.TRAILER_PERMITTED_MASS, 1400});
    assertThat(inShort().words()).anyMatch(line -> line.endsWith("is not within its ratings."));
    load.clear();
    entered(PLATES, new Object[] {RigField.TONGUE_RATING, 100, RigField.TRAIN_MASS, 5000});
    entered(new Object[] {RigField.TOW_PERMITTED_MASS, 2900});
    assertThat(inShort().words()).anyMatch(line -> line.endsWith("it stays within every rating."));
    entered(new Object[] {RigField.TRAIN_MASS, 2600});
    assertThat(inShort().words())
        .anyMatch(line -> line.endsWith("rating that was read; to be watched: whole train."));
  }

  @Test
  void inShortSpeaksOfEachStationThatIsNotWell() {
    entered(BRAKED, LENGTHS, CONTROLLER, PLATES, KIT);
    prove();
    entered(COUPLING, new Object[] {RigField.BREAKAWAY_CAPACITY, 18000});
    assertThat(state(Station.BREAKAWAY)).isEqualTo(StationState.WATCH);
    assertThat(inShort().open())
        .contains("Breakaway is to be watched: how long its battery holds all brakes");
    entered(new Object[] {RigField.BATTERY_INDOORS, "YES"});
    assertThat(inShort().open()).anyMatch(o -> o.contains("its battery is indoors"));
    entered(new Object[] {RigField.BREAKAWAY_KIT, "NONE"});
    assertThat(inShort().open()).contains("Breakaway fails");
    assertThat(String.join(" ", inShort().words())).contains("It has no breakaway");
  }

  /** Wire is cut by them. */
  @Test
  void lengthsAreAskedBeforeTheStepsOfWhatIsWired() {
    entered(UNBRAKED);
    wish = Wish.NEW_BUILD;
    assertThat(next().text()).isEqualTo("Measure: trailer, overall length with drawbar");
    assertThat(state(Station.HARNESS)).isEqualTo(StationState.UNDER_WAY);
    entered(LENGTHS);
    assertThat(next().aim()).isEqualTo(new Aim.DoStep());
    sheet.clear();
    entered(UNBRAKED);
    wish = Wish.ANNUAL;
    assertThat(state(Station.HARNESS)).isNotEqualTo(StationState.UNDER_WAY);
  }

  /** A cord is cut by the drawbar, a supply by its run; what is built in takes no wire at all. */
  @Test
  void onlyTheLengthsThatWireIsCutByAreAsked() {
    entered(BRAKED);
    wish = Wish.REPLACE_CORD;
    assertThat(next().aim()).isEqualTo(new Aim.Enter(RigField.DRAWBAR_LENGTH));
    wish = Wish.NEW_CONTROLLER;
    entered(new Object[] {RigField.CONTROLLER_KIND, "WIRELESS"});
    assertThat(next().aim()).isEqualTo(new Aim.Enter(RigField.FEED_RUN));
    entered(new Object[] {RigField.CONTROLLER_KIND, "BUILT_IN"});
    assertThat(next().aim()).isNotInstanceOf(Aim.Enter.class);
    entered(
        new Object[] {
          RigField.CONTROLLER_KIND, "UNDER_DASH", RigField.TOW_PREP, "CONTROLLER_PLUG"
        });
    assertThat(next().aim()).isNotInstanceOf(Aim.Enter.class);
  }

  /** Whoever changes a cord takes no trim off; what is wrong in the cab is said all the same. */
  @Test
  void theCabIsAskedOnlyWhereBrakesAreDriven() {
    entered(BRAKED, LENGTHS, KIT);
    wish = Wish.REPLACE_CORD;
    entered(new Object[] {RigField.CONTROLLER_KIND, "UNDER_DASH"});
    prove();
    ticked = ticks();
    assertThat(next().aim()).isEqualTo(new Aim.HandOver());
    wish = Wish.ANNUAL;
    assertThat(next().station()).isEqualTo(Station.CAB);
  }

  @Test
  void platesAreReadBeforeTheLoadIsDriven() {
    entered(BRAKED, CONTROLLER, KIT);
    prove();
    assertThat(next().text()).isEqualTo("Read the plate: tow vehicle, kerb mass");
    assertThat(next().aim()).isEqualTo(new Aim.Enter(RigField.KERB_MASS));
    assertThat(state(Station.RIG)).isEqualTo(StationState.UNDER_WAY);
    entered(PLATES);
    assertThat(next().aim()).isEqualTo(new Aim.OpenGate());
  }

  /** Nobody reads plates or drives stops for a lamp; whoever mended brakes does both. */
  @Test
  void aFaultJobIsDrivenOnlyAfterWorkOnTheBrakes() {
    entered(BRAKED, LENGTHS, CONTROLLER);
    entered(KIT);
    wish = Wish.REPAIR;
    prove();
    mend("socket.tail");
    prove();
    ticked = ticks();
    assertThat(next().aim()).isEqualTo(new Aim.HandOver());
    mend("brake.volts");
    prove();
    assertThat(next().aim()).isEqualTo(new Aim.Enter(RigField.KERB_MASS));
    entered(PLATES);
    assertThat(next().aim()).isEqualTo(new Aim.OpenGate());
  }

  @Test
  void whoAdjustedAWheelDrivesAsWell() {
    entered(BRAKED, PLATES, LENGTHS, CONTROLLER);
    entered(KIT);
    wish = Wish.REPAIR;
    prove();
    read("heats.magnet_axle1_left", 0);
    read("adjusts.magnet_axle1_left", 2);
    mend("heats.magnet_axle1_left", "adjusts.magnet_axle1_left");
    assertThat(next().text())
        .as("by hand before anybody drives")
        .startsWith("Read again after the repair: Adjuster");
    read("adjusts.magnet_axle1_left", 1);
    assertThat(next().text()).startsWith("Read again after the repair: Heat");
    read("heats.magnet_axle1_left", 1);
    ticked = ticks();
    assertThat(next().aim()).isEqualTo(new Aim.OpenGate());
  }

  /** No gate waits for a reading that an actuator does not have. */
  @Test
  void electricOverHydraulicIsWalkedToItsEnd() {
    entered(BRAKED, PLATES, LENGTHS, CONTROLLER);
    entered(
        new Object[] {
          RigField.BRAKE_TYPE, "ELECTRIC_HYDRAULIC",
          RigField.BREAKAWAY_KIT, "OWN_BATTERY",
          RigField.CABLE_LENGTH, 0.7
        });
    assertThat(next().aim()).isEqualTo(new Aim.Read(CheckSheet.SUPPLY));
    prove();
    assertThat(work().bench().proof()).noneMatch(check -> check.id().contains("magnet"));
    assertThat(next().aim()).isEqualTo(new Aim.OpenGate());
    lookRound();
    stop(5, TestStop.Way.LEVER, Outcome.FIRM);
    assertThat(next().aim()).isEqualTo(new Aim.DriveStop());
    assertThat(next().text()).doesNotContainIgnoringCase("magnet");
    assertThat(work().breakaway().load().holding()).isPresent();
  }

  @Test
  void anOverloadGoesBeforeEverythingElseAndAnAssumedRatingIsReadFirst() {
    entered(UNBRAKED);
    load.add(new LoadItem("Bricks", 2000, 2.6));
    assertThat(next().text()).startsWith("Read the plate: ");
    entered(PLATES);
    assertThat(next().aim()).isEqualTo(new Aim.MoveLoad());
    assertThat(next().text()).contains("over the rating");
    assertThat(state(Station.RIG)).isEqualTo(StationState.FAILS);
  }

  @Test
  void aFlatBatteryIsChargedBeforeTheNextIsRead() {
    entered(UNBRAKED, PLATES, LENGTHS);
    read(CheckSheet.SUPPLY, 10.1);
    assertThat(next().text()).isEqualTo("Mend and read again: Battery, engine off");
    assertThat(next().waitsFor()).isEqualTo("the repair");
    assertThat(state(Station.BENCH)).isEqualTo(StationState.FAILS);
    read(CheckSheet.SUPPLY, 12.6);
    assertThat(next().text()).startsWith("Read: ").doesNotContain("Battery");
    assertThat(state(Station.BENCH)).isEqualTo(StationState.UNDER_WAY);
  }

  /** 24 V would burn every lamp: nothing else may be done first. */
  @Test
  void aSupplyThatIsNoneForThisTrailerStopsTheWork() {
    entered(BRAKED);
    read(CheckSheet.SUPPLY, 24.4);
    assertThat(next().aim()).isEqualTo(new Aim.Read(CheckSheet.SUPPLY));
    assertThat(next().waitsFor()).isEqualTo("a 12 V vehicle");
  }

  @Test
  void whatFailsLeadsToTheFinder() {
    entered(UNBRAKED, PLATES, LENGTHS);
    prove();
    read("socket.tail", 2);
    assertThat(next().aim()).isEqualTo(new Aim.FindFault());
    assertThat(next().text()).startsWith("Find the fault: Socket pin").contains("tail");
  }

  /** A repair takes back what it changed, of its own moment and before, and nothing after it. */
  @Test
  void afterARepairWhatItChangedIsReadAgainFirst() {
    entered(UNBRAKED, PLATES, LENGTHS);
    prove();
    assertThat(state(Station.BENCH)).isEqualTo(StationState.HOLDS);
    mend("socket.tail", "never.read");
    assertThat(next().text()).startsWith("Read again after the repair: Socket pin");
    assertThat(work().bench().askedAgain()).extracting(Check::id).containsExactly("socket.tail");
    assertThat(work().bench().newest()).doesNotContainKey("socket.tail");
    assertThat(work().bench().last("socket.tail")).isPresent();
    read("socket.tail", 12.5);
    assertThat(work().bench().askedAgain()).isEmpty();
    repairs.add(new Mended("", List.of("socket.tail"), readings.get(readings.size() - 1).at(), ""));
    assertThat(work().bench().askedAgain()).hasSize(1);
  }

  @Test
  void anUnbrakedTrailerNeedsNoCabNoBreakawayAndNoRoad() {
    entered(UNBRAKED, PLATES, LENGTHS);
    for (Station station : List.of(Station.CAB, Station.BREAKAWAY, Station.ROAD)) {
      assertThat(state(station)).as(station.label()).isEqualTo(StationState.COMPUTED);
    }
    assertThat(state(Station.HANDOVER)).isEqualTo(StationState.NOT_YET);
    prove();
    assertThat(next())
        .isEqualTo(new NextAct(Station.HANDOVER, new Aim.HandOver(), "Sign the report", ""));
  }

  @Test
  void theCabComesBeforeTheBreakawayAndThatBeforeTheRoad() {
    entered(BRAKED, PLATES, LENGTHS);
    prove();
    assertThat(next().text()).isEqualTo("Say which controller it is.");
    entered(new Object[] {RigField.CONTROLLER_KIND, "UNDER_DASH"});
    prove();
    assertThat(next().aim()).isEqualTo(new Aim.FitController(Fitting.Topic.CONTROLLER));
    entered(CONTROLLER);
    assertThat(next().aim()).isEqualTo(new Aim.FitBreakaway());
    entered(KIT);
    prove();
    assertThat(next().aim()).isEqualTo(new Aim.OpenGate());
    assertThat(next().waitsFor()).contains("tyres");
    lookRound();
    assertThat(next().aim()).isEqualTo(new Aim.DriveStop());
    assertThat(next().text()).startsWith("Try a stop at gain ");
    assertThat(next().waitsFor()).contains("level, dry, empty");
  }

  private void stop(double gain, TestStop.Way way, Outcome outcome) {
    stops.add(
        new TestStop(gain, way, 11.1, Surface.DRY_ASPHALT, outcome, null, null, 2100, 450, ""));
  }

  @Test
  void theStopsLeadToTheGainAndItsSettingEndsTheRoad() {
    entered(BRAKED, PLATES, LENGTHS, CONTROLLER);
    entered(KIT);
    prove();
    assertThat(state(Station.ROAD)).isEqualTo(StationState.NOT_YET);
    stop(9, TestStop.Way.PEDAL, Outcome.LOCKED);
    assertThat(work().road().advice().upper()).as("a pedal stop says nothing").isNaN();
    for (int i = 0; i < 20 && work().road().advice().act() != GainAdvice.Act.SETTLE; i++) {
      double gain = work().road().advice().gain();
      stop(gain, TestStop.Way.LEVER, gain > 6 ? Outcome.LOCKED : Outcome.FIRM);
    }
    assertThat(next().text()).isEqualTo("Settle on gain 6");
    assertThat(state(Station.ROAD)).isEqualTo(StationState.UNDER_WAY);
    settings = List.of(settled(6, Surface.DRY_ASPHALT));
    assertThat(state(Station.ROAD)).isEqualTo(StationState.HOLDS);
    assertThat(next().station()).isEqualTo(Station.HANDOVER);
  }

  /** Nobody looks a weak battery sound: what bars the gate is said. */
  @Test
  void whatNoLookOpensIsTheNextAct() {
    entered(BRAKED, PLATES, LENGTHS, CONTROLLER);
    entered(KIT);
    entered(new Object[] {RigField.BREAKAWAY_CAPACITY, 7200});
    prove();
    lookRound();
    assertThat(next().text()).isEqualTo("The gate is shut: Breakaway");
    assertThat(next().waitsFor()).isEqualTo("the repair");
  }

  /** What locks on gravel does not on asphalt; a full trailer is another one than an empty one. */
  @Test
  void stopsOfOneSurfaceAndOneLoadFindAGainForThemAlone() {
    entered(BRAKED, PLATES, LENGTHS, CONTROLLER);
    entered(KIT);
    prove();
    stop(5, TestStop.Way.LEVER, Outcome.FIRM);
    assertThat(work().road().advice().lower()).isEqualTo(5);
    stops.add(
        new TestStop(
            5,
            TestStop.Way.LEVER,
            11.1,
            Surface.GRAVEL,
            Outcome.LOCKED,
            null,
            null,
            2100,
            450,
            ""));
    assertThat(work().road().advice().act()).as("no contradiction").isEqualTo(GainAdvice.Act.TRY);
    assertThat(work().road().advice().lower()).isNaN();
    settings = List.of(settled(4, Surface.GRAVEL));
    assertThat(state(Station.ROAD)).isEqualTo(StationState.HOLDS);
    load.add(new LoadItem("Straw", 44, 2.6));
    assertThat(state(Station.ROAD)).isEqualTo(StationState.HOLDS);
    load.add(new LoadItem("More straw", 60, 2.6));
    assertThat(state(Station.ROAD)).as("another trailer").isEqualTo(StationState.WATCH);
    lookRound();
    assertThat(next().text()).startsWith("Try a stop at gain ");
  }

  @Test
  void noLockAtTheTopOfTheScaleIsAFault() {
    entered(BRAKED, PLATES, LENGTHS, CONTROLLER);
    entered(KIT);
    prove();
    stop(10, TestStop.Way.LEVER, Outcome.FIRM);
    stop(10, TestStop.Way.LEVER, Outcome.FIRM);
    assertThat(next().aim()).isEqualTo(new Aim.LookForCause());
    assertThat(next().waitsFor()).isEqualTo("the cause");
    assertThat(state(Station.ROAD)).isEqualTo(StationState.FAILS);
  }

  /** A conversion is wired before it is tried. */
  @Test
  void stepsGoBeforeTheBench() {
    entered(UNBRAKED, PLATES, LENGTHS);
    entered(new Object[] {RigField.TOW_CONNECTOR, "blade-7"});
    wish = Wish.NEW_BUILD;
    assertThat(next().aim()).isEqualTo(new Aim.DoStep());
    Step first = work().harness().steps().get(0);
    assertThat(next().text()).isEqualTo(first.title());
    ticked =
        work().harness().steps().stream()
            .filter(step -> step.phase() != Step.Phase.CLOSE)
            .flatMap(step -> step.ticks().stream())
            .filter(id -> !id.equals(StepPlan.TEST_AT_THE_BENCH))
            .collect(Collectors.toSet());
    assertThat(next().aim()).isInstanceOf(Aim.Read.class);
    prove();
    assertThat(work().harness().openStep())
        .get()
        .extracting(Step::phase)
        .isEqualTo(Step.Phase.CLOSE);
    assertThat(state(Station.HARNESS)).isEqualTo(StationState.UNDER_WAY);
    ticked = ticks();
    assertThat(state(Station.HARNESS)).isEqualTo(StationState.HOLDS);
    ticked.remove("mount.rear-right");
    assertThat(next().text()).as("one of several is still to do").isEqualTo("Mount 2 rear lamps");
    wish = Wish.ANNUAL;
    ticked = Set.of();
    assertThat(state(Station.HARNESS)).isEqualTo(StationState.COMPUTED);
  }

  /** What the computation says by itself is computed; a scale, ticks and readings prove it. */
  @Test
  void aStationHoldsByWhatWasDoneAtItAndByNothingElse() {
    entered(BRAKED, PLATES, LENGTHS, CONTROLLER);
    entered(
        new Object[] {
          RigField.BREAKAWAY_KIT,
          "OWN_BATTERY",
          RigField.BREAKAWAY_CAPACITY,
          90_000,
          RigField.BREAKAWAY_MADE,
          CalendarDay.si(DAY.minusYears(1))
        });
    assertThat(state(Station.BREAKAWAY)).as("no cable").isEqualTo(StationState.UNDER_WAY);
    entered(new Object[] {RigField.CABLE_LENGTH, 0.7});
    assertThat(state(Station.BREAKAWAY)).as("assumed eyes").isEqualTo(StationState.WATCH);
    entered(COUPLING);
    for (Station station : Station.values()) {
      assertThat(state(station)).as(station.label()).isNotEqualTo(StationState.HOLDS);
    }
    assertThat(state(Station.CAB)).isEqualTo(StationState.COMPUTED);
    assertThat(state(Station.BREAKAWAY)).isEqualTo(StationState.COMPUTED);
    prove();
    assertThat(state(Station.BREAKAWAY)).as("pulled and held").isEqualTo(StationState.HOLDS);
    read("held.magnet_axle1_left", 0);
    assertThat(state(Station.BREAKAWAY)).as("one turns on").isEqualTo(StationState.FAILS);
    readings.clear();
    settings = List.of(settled(6, Surface.DRY_ASPHALT));
    assertThat(state(Station.ROAD)).as("nobody drove").isEqualTo(StationState.COMPUTED);
    stop(6, TestStop.Way.LEVER, Outcome.FIRM);
    assertThat(state(Station.ROAD)).isEqualTo(StationState.HOLDS);
  }

  @Test
  void aRepairsOwnStepsAreTickedByTheReadings() {
    entered(UNBRAKED, PLATES, LENGTHS);
    wish = Wish.REPAIR;
    Map<String, Boolean> done = done();
    assertThat(done).containsValues(false).doesNotContainValue(true);
    read("socket.tail", 2);
    assertThat(done()).containsEntry("repair.find", true).containsEntry("repair.again", false);
    prove();
    assertThat(done()).containsEntry("repair.again", true);
    read("socket.tail", 2);
    assertThat(done()).containsEntry("repair.again", false);
  }

  private Set<String> ticks() {
    return work().harness().steps().stream()
        .flatMap(step -> step.ticks().stream())
        .collect(Collectors.toSet());
  }

  private Map<String, Boolean> done() {
    Map<String, Boolean> done = new LinkedHashMap<>();
    HarnessWork harness = work().harness();
    harness.steps().forEach(step -> done.put(step.id(), harness.done(step)));
    return done;
  }

  /** What fails beyond the proof counts for the bench, though nobody had to read it. */
  @Test
  void whatWasReadBeyondTheProofCounts() {
    entered(BRAKED, PLATES, LENGTHS);
    prove();
    Check closer =
        work().bench().checks().stream()
            .filter(check -> !check.proves() && check.band().judge(0) == Verdict.FAILS)
            .findFirst()
            .orElseThrow();
    read(closer.id(), 0);
    assertThat(work().bench().readBeyond()).containsExactly(closer);
    assertThat(state(Station.BENCH)).isEqualTo(StationState.FAILS);
  }

  @Test
  void aRecordWithoutARigIsNone() {
    assertThatThrownBy(() -> JobRecord.of(wish, false, SHOP, DAY).build())
        .hasMessageContaining("the rig is told first");
  }
}
