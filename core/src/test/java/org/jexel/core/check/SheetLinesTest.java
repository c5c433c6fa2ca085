package org.jexel.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jexel.core.Rigs;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.HarnessPlanner;
import org.jexel.core.harness.WireSize;
import org.jexel.core.network.Fault;
import org.jexel.core.network.StateWord;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.NoFigure;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Every line of the sheet, and the words and figures at the edges of its rules. */
class SheetLinesTest {
  private static final Rig BRAKED = Rigs.oneAxle();
  private static final Harness HARNESS = plan(BRAKED);

  private static Harness plan(Rig rig) {
    return HarnessPlanner.plan(rig, WireSize.GAUGES);
  }

  private static List<Check> sheet(Rig rig) {
    return CheckSheet.of(rig, plan(rig), OptionalDouble.of(12.6));
  }

  private static Check check(Rig rig, String id) {
    return sheet(rig).stream().filter(c -> c.id().equals(id)).findFirst().orElseThrow();
  }

  /**
   * How many of each kind, by what the rig has: lamps by their circuits, magnets by their wheels.
   */
  @Test
  void anUnbrakedTrailerOfElevenLampCircuitsHasTheseLines() {
    assertThat(kinds(Rigs.unbraked()))
        .isEqualTo(
            Map.ofEntries(
                Map.entry("supply", 1L),
                Map.entry("told", 1L),
                Map.entry("socket", 3L),
                Map.entry("fuse", 3L),
                // Plug, cord, box and looms moved, with an eye on tail, left and right.
                Map.entry("moved", 4 * 3L),
                Map.entry("loaded", 4L),
                Map.entry("clamp", 1L),
                Map.entry("bench", 3L),
                Map.entry("box", 3L),
                Map.entry("dead", 3L),
                Map.entry("continuity", 11L),
                Map.entry("earthed", 9L),
                Map.entry("lamp", 11L),
                Map.entry("draws", 11L),
                Map.entry("return", 11L),
                // Tail and turn at each rear lamp; the seven others by their looks.
                Map.entry("stamp", 4L),
                Map.entry("kind", 7L),
                // Eleven by tail; the four rear ones in each of five other states.
                Map.entry("look", 34L)));
  }

  @Test
  void oneBrakedAxleAddsTheseLines() {
    Map<String, Long> braked = kinds(BRAKED);
    assertThat(braked)
        .containsEntry("brake", 4L)
        .containsEntry("wakes", 1L)
        .containsEntry("charge", 3L)
        // Pin in, out, its current, and the battery afterwards.
        .containsEntry("breakaway", 4L)
        .containsEntry("held", 2L)
        .containsEntry("magnet", 6L)
        .containsEntry("hums", 2L)
        .containsEntry("turns", 2L)
        // Three lamp pins, brake and charge.
        .containsEntry("fuse", 5L)
        .containsEntry("bench", 4L)
        // Three studs of lamps, the brake's, the whole return, the breakaway's battery.
        .containsEntry("box", 6L)
        // And each magnet's run, and the charge's.
        .containsEntry("continuity", 14L);
  }

  private static Map<String, Long> kinds(Rig rig) {
    return sheet(rig).stream()
        .collect(
            Collectors.groupingBy(
                c -> c.id().substring(0, c.id().indexOf('.')), Collectors.counting()));
  }

  /** With one circuit on: all that it feeds, and always both rear lamps. */
  @Test
  void aRoundTellsWhatItsCircuitFeedsAndBothRearLamps() {
    Rig seven = Rigs.rig(Rigs.sheet(RigField.TRAILER_CONNECTOR, "flat-7"));
    assertThat(round(seven, "look.stop"))
        .containsExactlyInAnyOrder(
            "lamp_tail_rear_left",
            "lamp_tail_rear_right",
            "lamp_left_rear_left",
            "lamp_right_rear_right",
            "lamp_stop_rear_left",
            "lamp_stop_rear_right",
            // The vehicle's own bulbs hang on the same circuit, and are passed on the same walk.
            "own_stop");
    assertThat(round(Rigs.twoAxles(RigField.LAMP_FEED, "MODULE"), "look.left")).hasSize(4);
    assertThat(round(Rigs.unbraked(), "look.left"))
        .hasSize(4 + 1)
        .doesNotContain("lamp_tail_plate");
    assertThat(round(Rigs.unbraked(), "look.tail")).hasSize(11 + 1).contains("lamp_tail_plate");
    assertThat(check(seven, "look.left.lamp_left_rear_left").title()).endsWith("indicator part");
    assertThat(check(Rigs.unbraked(), "look.left.lamp_left_rear_left").title())
        .endsWith("stop and indicator part");
    assertThat(check(seven, "look.tail.lamp_tail_rear_left").title()).endsWith("tail part");
  }

  private static List<String> round(Rig rig, String round) {
    return sheet(rig).stream()
        .filter(c -> c.round().equals(round))
        .map(c -> c.key().part())
        .toList();
  }

  /** On the sheet each circuit is a round; on one walk they are taken one after the other. */
  @Test
  void lampsAreLookedAtCircuitByCircuitOnOneWalk() {
    List<Check> lamps = sheet(BRAKED).stream().filter(c -> c.walk().equals(Round.LAMPS)).toList();
    Round walk = new Round(lamps);
    assertThat(walk.id()).isEqualTo("look");
    assertThat(walk.parts())
        .extracting(Round::id)
        .containsExactly("look.tail", "look.left", "look.right");
    assertThat(walk.title()).isEqualTo("Look round, one lamp circuit after the other");
    assertThat(walk.state())
        .isEqualTo(
            "As you call it out, one after the other: tail lamps on; left indicator on (judge the peak); right indicator on (judge the peak).");
    assertThat(walk.minutes()).isEqualTo(2.5);
    Round left = walk.parts().get(1);
    assertThat(left.parts()).containsExactly(left);
    assertThat(left.state()).isEqualTo("Left indicator on (judge the peak).");
    assertThat(left.minutes()).isEqualTo(1.5);
    assertThat(new Round(left.checks().subList(0, 1)).minutes()).as("one again").isEqualTo(0.5);
    Round together =
        new Round(sheet(BRAKED).stream().filter(c -> c.walk().equals("together")).toList());
    assertThat(together.parts())
        .extracting(Round::id)
        .containsExactly("look.tail+left", "look.tail+right", "look.tail+stop");
    assertThat(together.title()).isEqualTo("Look at the rear lamps, two circuits on together");
    assertThat(together.state()).contains("other: tail lamps on, left indicator on");
    assertThat(together.minutes()).isEqualTo(2.5);
    assertThat(sheet(BRAKED))
        .filteredOn(c -> c.measure() != Measure.GLOW && c.measure() != Measure.MOVING)
        .filteredOn(c -> c.measure() != Measure.STAMP && c.measure() != Measure.COMING)
        .filteredOn(c -> !c.measure().words().isEmpty() && c.group() != Check.Group.BREAKAWAY)
        .allMatch(c -> c.walk().equals(c.round()));
  }

  /** Black stays where it is; what another lead or another state belongs to stays by itself. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "socket | Socket, plug out: volts | tail charge left right reverse | 3 | One circuit",
        "loaded | Connector, plug in: each circuit | tail tail left right | 2.5 | One circuit",
        "box | Box, plug in: volts | box battery tail left right brake | 5.5 | One circuit",
        "bench | Trailer’s plug: what each pin draws | tail left right brake | 5 | Plug out; bench supply",
        "dead | Trailer’s plug, dead: ohms | tail left right | 2 | Plug out, all off"
      })
  void theRedLeadGoesFromPinToPinOnOneWalk(
      String walk, String title, String parts, double minutes, String state) {
    List<Check> read = sheet(BRAKED).stream().filter(c -> c.walk().equals(walk)).toList();
    Round all = new Round(read);
    assertThat(read).extracting(c -> c.key().part()).containsExactlyInAnyOrder(parts.split(" "));
    assertThat(read)
        .filteredOn(c -> !c.black().equals("–"))
        .extracting(c -> c.probing().black())
        .containsOnly(read.get(0).probing().black());
    assertThat(all.id()).isEqualTo(walk);
    assertThat(all.black()).as("where black stays").isNotEqualTo("each in turn, as below");
    assertThat(all.title()).startsWith(title);
    assertThat(all.inOneState()).isEqualTo(!state.startsWith("One circuit"));
    assertThat(all.state()).startsWith(state);
    assertThat(all.minutes()).isEqualTo(minutes);
    assertThat(all.isOneFigure()).isFalse();
    assertThat(all.words()).isFalse();
    assertThat(all.parts()).allMatch(Round::isOneFigure);
  }

  /** The meter settles while somebody is asked; on the sheet the battery stands by itself. */
  @Test
  void whoeverDrivesItIsAskedInTheFirstMinute() {
    Round first = new Round(sheet(BRAKED).stream().filter(c -> c.walk().equals("first")).toList());
    assertThat(first.checks())
        .extracting(Check::id)
        .containsExactly("supply.battery", "told.coming");
    assertThat(first.title()).isEqualTo("The battery, and a word with whoever drives it");
    assertThat(first.state()).isEqualTo("Everything off, for both.");
    assertThat(first.red()).isEqualTo("battery plus post");
    assertThat(first.minutes()).isEqualTo(1.5);
    assertThat(first.parts()).extracting(Round::id).containsExactly("supply.battery", "told");
    assertThat(first.parts().get(0).minutes()).isEqualTo(1);
  }

  /** The lens is off once: each part of a rear lamp is lit and read before the next. */
  @Test
  void aRearLampIsReadPartByPart() {
    List<Check> rear =
        sheet(BRAKED).stream().filter(c -> c.round().equals("rear.rear_left")).toList();
    assertThat(rear)
        .extracting(Check::id)
        .containsExactly(
            "lamp.lamp_tail_rear_left",
            "lamp.lamp_left_rear_left",
            "stamp.lamp_tail_rear_left.8w",
            "stamp.lamp_left_rear_left.27w");
    Round left = new Round(rear);
    assertThat(left.id()).isEqualTo("rear.rear_left");
    assertThat(left.parts()).containsExactly(left);
    assertThat(left.title())
        .isEqualTo("Rear lamp, left, lens off: volts across each part, and its stamp");
    assertThat(left.state()).startsWith("One circuit after the other");
    assertThat(left.red()).isEqualTo("each in turn, as below");
    assertThat(left.black()).isEqualTo("Rear lamp, left: its return terminal");
    assertThat(left.minutes()).isEqualTo(5);
    assertThat(left.isOneFigure()).isFalse();
    Round both = new Round(sheet(BRAKED).stream().filter(c -> c.walk().equals("rear")).toList());
    assertThat(both.parts())
        .extracting(Round::id)
        .containsExactly("rear.rear_left", "rear.rear_right");
    assertThat(both.checks())
        .extracting(Check::round)
        .startsWith("rear.rear_left", "rear.rear_left", "rear.rear_left", "rear.rear_left")
        .filteredOn("rear.rear_right"::equals)
        .hasSize(4);
    assertThat(both.title())
        .isEqualTo("Each rear lamp, lens off: volts across each part, and its stamp");
    assertThat(both.minutes()).isEqualTo(9);
    Round again = new Round(rear.subList(1, 2));
    assertThat(again.id()).isEqualTo("lamp.lamp_left_rear_left");
    assertThat(again.state()).isEqualTo(rear.get(1).state());
    assertThat(again.isOneFigure()).isTrue();
    Round stamps = new Round(rear.subList(2, 4));
    assertThat(stamps.words()).isTrue();
    assertThat(stamps.title()).isEqualTo("Rear lamp, left, lens off: what is stamped");
    assertThat(stamps.state()).startsWith("Lens off");
    assertThat(stamps.minutes()).isEqualTo(4.5);
    Round mixed = new Round(List.of(rear.get(2), rear.get(1)));
    assertThat(mixed.words()).as("a figure among them").isFalse();
    assertThat(mixed.red()).isEqualTo(rear.get(1).red());
  }

  /**
   * Under the trailer once: leads or clamp go from wheel to wheel while the lever is held. At the
   * connector both are read.
   */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "magnet.volts | Behind each braked wheel in turn: volts | each in turn, as below | 8",
        "magnet.amps | Behind each braked wheel in turn: what its magnet draws | clamp around the wire | 8",
        "lever | At the connector, lever held full: volts and current | pin 2, brake | 4"
      })
  void whileTheLeverIsHeldAllIsReadInTurn(String walk, String title, String red, double minutes) {
    List<Check> read = sheet(BRAKED).stream().filter(c -> c.walk().equals(walk)).toList();
    Round all = new Round(read);
    assertThat(all.id()).isEqualTo(walk);
    assertThat(all.title()).startsWith(title);
    assertThat(all.inOneState()).isTrue();
    assertThat(all.red()).isEqualTo(red);
    assertThat(all.minutes()).isEqualTo(minutes);
    assertThat(all.parts()).hasSize(2);
  }

  @Test
  void plugCordAndBoxAreMovedInTurnAtTheDrawbar() {
    List<Check> moved = sheet(BRAKED).stream().filter(c -> c.walk().equals("moved")).toList();
    Round walk = new Round(moved);
    assertThat(walk.parts())
        .extracting(Round::heading)
        .containsExactly(
            "Press the plug in its socket",
            "Bend the cord from end to end",
            "Press each joint in the box");
    assertThat(walk.title()).isEqualTo("Move plug, cord and box joints in turn");
    assertThat(walk.state())
        .startsWith("Tail lamps on")
        .contains("draw at it. Bend", "Press and turn");
    assertThat(walk.place()).isEqualTo("Along the drawbar, from the connector to the box");
    assertThat(walk.parts().get(0).place()).isEqualTo("At the connector");
    assertThat(walk.minutes()).isEqualTo(5);
    assertThat(check(BRAKED, "moved.loom.tail").walk()).isEqualTo("moved.loom");
  }

  /** Nobody raises a wheel twice; what is turned where no pin can be pulled is no walk. */
  @Test
  void aWheelThatIsUpIsTriedWithThePinOutAndWithItIn() {
    List<Check> raised = sheet(BRAKED).stream().filter(c -> c.walk().equals("raised")).toList();
    Round walk = new Round(raised);
    assertThat(walk.parts())
        .extracting(Round::heading)
        .containsExactly(
            "Pull the breakaway pin: each wheel must stand", "Turn each braked wheel by hand");
    assertThat(walk.id()).isEqualTo("raised");
    assertThat(walk.title()).startsWith("Raise each braked wheel: it stands");
    assertThat(walk.state())
        .contains("on a stand, the others chocked", "seconds only", "turn it again");
    assertThat(walk.minutes()).isEqualTo(walk.parts().get(0).minutes() + 1);
    Rig without = Rigs.twoAxles(RigField.BREAKAWAY_KIT, "NONE", RigField.PLANNED_BREAKAWAY, "NONE");
    assertThat(check(without, "turns.magnet_axle1_left").walk()).isEqualTo("turns");
  }

  /** It is weighed where a fault is looked for, and no station fails on it. */
  @Test
  void aDriversWordIsToBeWatchedAtMost() {
    Check told = check(BRAKED, "told.coming");
    assertThat(told.proves()).isFalse();
    assertThat(told.band().judge(0)).isEqualTo(Verdict.HOLDS);
    assertThat(told.band().judge(1)).isEqualTo(Verdict.HOLDS);
    assertThat(told.band().judge(2)).isEqualTo(Verdict.WATCH);
  }

  @Test
  void anActuatorIsHeardAsAPumpAndOneWheelStandsForAll() {
    Rig rig =
        Rigs.rig(
            Rigs.sheet(
                RigField.BRAKE_TYPE, "ELECTRIC_HYDRAULIC",
                RigField.TOW_CONNECTOR, "blade-7",
                RigField.TRAILER_CONNECTOR, "blade-7"));
    assertThat(check(rig, "hums.actuator").title()).isEqualTo("Listen: Actuator's pump");
    assertThat(check(rig, "hums.actuator").place()).isEqualTo("At the actuator");
    assertThat(check(rig, "hums.actuator").why()).startsWith("The pump");
    assertThat(check(rig, "turns.actuator").title()).isEqualTo("Turn a braked wheel");
    assertThat(check(rig, "brake.pump").meaning(Verdict.FAILS, 2)).contains("gets too little");
    assertThat(check(rig, "brake.pump").meaning(Verdict.FAILS, 45)).contains("labours");
    assertThat(check(rig, "brake.supply").meaning(Verdict.FAILS, 13)).contains("Does it run?");
    assertThat(check(BRAKED, "hums.magnet_axle1_left").place()).isEqualTo("At the wheel");
    assertThat(check(BRAKED, "hums.magnet_axle1_left").why()).startsWith("A magnet");
    assertThat(check(BRAKED, "turns.magnet_axle1_left").title()).startsWith("Turn the wheel:");
  }

  /** Of six magnets one that is off hides in the spread of the others. */
  @Test
  void withSixMagnetsTheResistanceSaysWhatItCannotShow() {
    assertThat(check(Rigs.twoAxles(), "brake.resistance").why()).contains("one that is off raises");
    assertThat(check(Rigs.twoAxles(RigField.AXLE_COUNT, 3), "brake.resistance").why())
        .contains("can hide");
  }

  @Test
  void leadsGoToTheWheelForAMagnetAndToTheTerminalForALamp() {
    assertThat(check(BRAKED, "continuity.magnet_axle1_left").place()).endsWith("to the wheel");
    assertThat(check(BRAKED, "continuity.lamp_tail_plate").place()).endsWith("to the terminal");
    assertThat(check(BRAKED, "continuity.lamp_tail_plate").black()).isEqualTo("its live terminal");
    assertThat(check(BRAKED, "earthed.lamp_tail_plate").black()).isEqualTo("its return terminal");
  }

  @Test
  void aWheelMayTurnOnlyWhenWhatBrakesItIsChecked() {
    assertThat(sheet(BRAKED).stream().filter(Check::gatesTheRoad).map(Check::id))
        .containsExactlyInAnyOrder(
            "brake.resistance", "brake.unasked", "wakes.controller", "brake.volts", "brake.amps");
    assertThat(Arrays.stream(Check.Group.values()).map(Check.Group::label))
        .doesNotHaveDuplicates()
        .noneMatch(String::isBlank);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "loaded.tail; 0.2; Nothing arrives here",
        "loaded.tail; 9; Volts are lost before",
        "loaded.tail; 13.9; load behind this point is missing",
        "continuity.lamp_tail_plate; open; Open: this run is broken",
        "continuity.lamp_tail_plate; 4; Too many ohms",
        "magnet.ohms.magnet_axle1_left; 1.5; Shorted turns",
        "magnet.ohms.magnet_axle1_left; open; Open: its coil",
        "magnet.ohms.magnet_axle1_left; 5; not the magnet of this plate",
        "clamp.tail; 0.05; draws nothing",
        "clamp.tail; 1.1; not the one that was planned",
        "bench.tail; 0.05; draws nothing",
        "bench.tail; 1.1; too little",
        "bench.tail; 9; too much",
        "bench.tail; blown; too much",
        "look.tail.lamp_tail_plate; 0; Not as computed",
        "fuse.tail; 1; Do not spend fuses",
        "charge.box; 12.5; not kept up",
        "breakaway.pulled; 0.1; would not brake",
        "charge.battery; 12.5; not kept up",
        "charge.battery; 14.1; no isolating diode",
        "breakaway.pulled; 9; is weak",
        "breakaway.pulled; 12.8; a magnet is off",
        "brake.unasked; 1.5; nobody asks to",
        "wakes.controller; 0; no stop signal",
        "look.tail.own_tail; 0; ahead of the socket",
        "brake.resistance; live; live with the plug out",
        "brake.resistance; 17; Open",
        "brake.resistance; 16; magnet or a wheel",
        "supply.battery; 25; 24 V vehicle"
      })
  void whatAFailedLinePointsAt(String id, String reading, String words) {
    double si =
        switch (reading) {
          case "open" -> NoFigure.OPEN.si();
          case "live" -> NoFigure.LIVE.si();
          case "blown" -> NoFigure.BLOWN.si();
          default -> Double.parseDouble(reading);
        };
    assertThat(check(BRAKED, id).meaning(Verdict.FAILS, si)).contains(words);
  }

  @Test
  void whatDoesNotFailIsToldFromWhatDoes() {
    Check volts = check(BRAKED, "brake.volts");
    assertThat(volts.meaning(Verdict.HOLDS, 11)).startsWith("Inside the band");
    assertThat(volts.meaning(Verdict.NOT_YET, 11)).startsWith("No reading");
    assertThat(volts.meaning(Verdict.WATCH, volts.band().low() - 0.01)).startsWith("A little low");
    assertThat(volts.meaning(Verdict.WATCH, volts.band().high() + 0.01))
        .startsWith("A little high");
    assertThat(volts.meaning(Verdict.WATCH, volts.band().low())).startsWith("A little high");
  }

  @ParameterizedTest
  @CsvSource({
    "9, FAILS",
    "9.5, FAILS",
    "9.51, WATCH",
    "9.99, WATCH",
    "10, HOLDS",
    "11, HOLDS",
    "11.01, WATCH",
    "11.49, WATCH",
    "11.5, FAILS"
  })
  void aReadingIsWatchedForHalfABand(double reading, Verdict verdict) {
    assertThat(new Band(10.4, 10, 11).judge(reading)).isEqualTo(verdict);
  }

  /** Where light lies between two words, both may be said. */
  @ParameterizedTest
  @CsvSource({"3, 3, 3", "2.5, 2, 3", "2.25, 2, 3", "2.1, 2, 2", "1.9, 2, 2", "0.1, 0, 0"})
  void betweenTwoWordsEitherHolds(double place, double low, double high) {
    Band band = Band.ofWords(place, 4);
    assertThat(band.low()).isEqualTo(low);
    assertThat(band.high()).isEqualTo(high);
  }

  @Test
  void aRoundOfFiguresIsOneFigureAndARoundOfWordsManyWords() {
    Map<String, Round> rounds =
        Round.of(sheet(BRAKED)).stream().collect(Collectors.toMap(Round::id, r -> r));
    assertThat(rounds.get("brake.volts").words()).isFalse();
    assertThat(rounds.get("brake.volts").minutes()).isEqualTo(3);
    assertThat(rounds.get("turns").words()).isTrue();
    assertThat(Stream.of("turns", "hums", "fuse", "wakes", "look.tail", "brake.volts"))
        .extracting(id -> rounds.get(id).title())
        .containsExactly(
            "Turn each braked wheel by hand",
            "Listen at the brakes",
            "Look at the fuses of the socket",
            "The controller wakes with the pedal",
            "Look round: tail lamps on",
            "Brake pin, full lever, brakes joined");
  }

  @Test
  void aloneThePedalAndTheLeverCostAWalk() {
    assertThat(Alone.minutes(new Round(List.of(check(BRAKED, "brake.volts"))))).isEqualTo(7);
    assertThat(Alone.minutes(new Round(List.of(check(BRAKED, "brake.unasked"))))).isEqualTo(1);
    assertThat(Alone.minutes(new Round(List.of(check(BRAKED, "wakes.controller"))))).isEqualTo(1);
  }

  /** 0.5 % and two digits; ohms above a kilohm are shown in tens. */
  @Test
  void whatAWorkshopMeterErrsBy() {
    assertThat(Meter.error(12, Measure.VOLTS)).isEqualTo(0.08);
    assertThat(Meter.error(-12, Measure.VOLTS)).isEqualTo(0.08);
    assertThat(Meter.digit(1000, Measure.OHMS)).isEqualTo(0.1);
    assertThat(Meter.digit(1000.1, Measure.OHMS)).isEqualTo(10);
  }

  @Test
  void onlyTwentyFourVoltsStopAllWork() {
    assertThat(SupplyFinding.of(26).orElseThrow().stops()).isTrue();
    assertThat(SupplyFinding.of(16).orElseThrow().stops()).isFalse();
    assertThat(SupplyFinding.of(14.99)).isEmpty();
    assertThat(SupplyFinding.of(15)).isPresent();
  }

  @Test
  void thePlugTestersLampsAreDarkWhereNothingIsFed() {
    Map<PinFunction, Boolean> dark =
        PlugTester.lamps(BRAKED, HARNESS, Set.of(StateWord.TAIL), List.of()).stream()
            .collect(Collectors.toMap(t -> t.pin().function(), PlugTester::dark));
    assertThat(dark)
        .containsEntry(PinFunction.TAIL, false)
        .containsEntry(PinFunction.LEFT, true)
        .containsEntry(PinFunction.CHARGE, false)
        .doesNotContainKey(PinFunction.EARTH);
    Fault constant = Fault.of(Fault.Kind.SIGNAL, "");
    assertThat(
            PlugTester.lamps(BRAKED, HARNESS, Set.of(), List.of(constant)).stream()
                .filter(t -> t.pin().function() == PinFunction.BRAKE))
        .hasSize(1);
  }

  /** Many meters on many rigs: parts scatter by their stated tolerance, and never past it. */
  @Test
  void simulatedPartsScatterWithinTheirToleranceAndReadingsByTheMeter() {
    Check magnet = check(BRAKED, "magnet.ohms.magnet_axle1_left");
    double[] ohms = readings(magnet, 400);
    double mean = Arrays.stream(ohms).average().orElseThrow();
    double deviation =
        Math.sqrt(Arrays.stream(ohms).map(o -> (o - mean) * (o - mean)).average().orElseThrow());
    assertThat(mean).isBetween(3.17, 3.23);
    // 3.2 Ω ± 10 % at two deviations, 0.14 once cut there, and the meter's 0.2 Ω at two.
    assertThat(deviation).isBetween(0.14, 0.21);
    double[] battery = readings(check(BRAKED, "supply.battery"), 300);
    assertThat(Arrays.stream(battery).max().orElseThrow()).isBetween(12.7, 13.2);
    assertThat(Arrays.stream(battery).min().orElseThrow()).isBetween(12.0, 12.5);
    double[] hums = readings(check(BRAKED, "hums.magnet_axle1_left"), 400);
    // One look in a hundred is called by another word.
    assertThat(Arrays.stream(hums).filter(h -> h == 0).count()).isBetween(1L, 14L);
    double[] tail = readings(check(BRAKED, "bench.tail"), 200);
    assertThat(Arrays.stream(tail).distinct().count()).isGreaterThan(20);
  }

  private static double[] readings(Check check, int rigs) {
    double[] read = new double[rigs];
    Random noise = new Random(7);
    for (int i = 0; i < rigs; i++) {
      read[i] = new SimulatedMeter(BRAKED, HARNESS, List.of(), i, noise).read(check);
    }
    return read;
  }

  /** What widens a band most comes first, and what moves it by a twentieth of the meter is left. */
  @Test
  void whatWidensABandIsToldStrongestFirst() {
    Check amps = check(Rigs.oneAxle(), "brake.amps");
    assertThat(amps.strongest()).hasSize(5).isEqualTo(amps.influences().subList(0, 5));
    double last = Double.POSITIVE_INFINITY;
    for (Check.Influence influence : amps.influences()) {
      assertThat(Math.abs(influence.shift())).isLessThanOrEqualTo(last);
      assertThat(Math.abs(influence.shift()))
          .isGreaterThan(0.05 * Meter.error(amps.band().expected(), Measure.AMPS));
      last = Math.abs(influence.shift());
    }
    // A magnet that is weaker takes less: its tolerance widens the band downward and upward.
    assertThat(amps.influences()).anyMatch(i -> i.label().startsWith("Magnet"));
    assertThat(amps.band().low()).isLessThan(amps.band().expected() - 0.2);
    assertThat(amps.band().high()).isGreaterThan(amps.band().expected() + 0.2);
    // A contact can get far worse and hardly better.
    Band tail = check(BRAKED, "box.tail").band();
    assertThat(tail.expected() - tail.low()).isGreaterThan(1.05 * (tail.high() - tail.expected()));
  }
}
