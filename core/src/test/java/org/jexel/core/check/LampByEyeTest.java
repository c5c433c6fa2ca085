package org.jexel.core.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import org.jexel.core.Rigs;
import org.jexel.core.bench.Stand;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.diagnosis.Diagnosis;
import org.jexel.core.diagnosis.Predictions;
import org.jexel.core.harness.Harness;
import org.jexel.core.network.Fault;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.quantity.Verdict;
import org.jexel.core.rig.FieldKey;
import org.jexel.core.rig.LampRole;
import org.jexel.core.rig.LampTechnology;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What a lamp is, by its stamp or through its lens, where volts and light say that all is well. */
class LampByEyeTest {
  private static final Rig RIG = Rigs.unbraked();
  private static final Harness HARNESS = Stand.harness(RIG);
  private static final Rig STAMPED =
      RIG.with(
          RIG.sheet()
              .with(FieldKey.of(RigField.REAR_TAIL_WATTS), 5)
              .with(FieldKey.of(RigField.REAR_STOP_WATTS), 21));
  private static final List<Check> CHECKS = CheckSheet.of(RIG, HARNESS, OptionalDouble.of(12.6));

  private static Check check(String id) {
    return CHECKS.stream().filter(c -> c.id().equals(id)).findFirst().orElseThrow();
  }

  /** Which of two bulbs behind one lens has the more watts is not to be seen from outside. */
  @ParameterizedTest
  @CsvSource({
    "stamp.lamp_tail_rear_left.8w, '', these watts",
    "stamp.lamp_tail_rear_left.8w, open:lamp_tail_rear_left, these watts",
    "stamp.lamp_tail_rear_left.8w, ohms:wire_cord_tail:3, these watts",
    "stamp.lamp_tail_rear_left.8w, draws:lamp_tail_rear_left:0.5, other watts",
    "stamp.lamp_tail_rear_left.8w, draws:lamp_tail_rear_left:2, other watts",
    "stamp.lamp_tail_rear_left.8w, draws:lamp_tail_rear_right:2, these watts",
    "stamp.lamp_tail_rear_left.8w, draws:lamp_left_rear_left:2, these watts",
    "stamp.lamp_tail_rear_left.8w, other_kind:lamp_tail_rear_left:0.05, other kind",
    "stamp.lamp_tail_rear_left.8w, rear_lamps:0.7, other watts",
    "kind.lamp_tail_plate.bulb, rear_lamps:0.7, as listed",
    "kind.lamp_tail_plate.bulb, '', as listed",
    "kind.lamp_tail_plate.bulb, draws:lamp_tail_plate:2, as listed",
    "kind.lamp_tail_plate.bulb, other_kind:lamp_tail_front_left:0.06, as listed",
    "kind.lamp_tail_plate.bulb, other_kind:lamp_tail_plate:0.06, other kind"
  })
  void theEyeSaysWhatItIsWhateverItsVolts(String check, String fault, String word) {
    double place = FaultyRig.of(RIG, HARNESS, Fault.parse(fault)).read(check(check));
    assertThat(check(check).measure().text(place, UnitSystem.METRIC)).isEqualTo(word);
  }

  /** Where no watts were entered other watts need not be a fault; the kind of a lamp is entered. */
  @Test
  void whatWasAssumedIsSaidToBe() {
    Check assumed = check("stamp.lamp_tail_rear_left.8w");
    assertThat(assumed.band().judge(1)).isEqualTo(Verdict.WATCH);
    assertThat(assumed.meaning(Verdict.WATCH, 1)).contains("assumed, not entered", "no fault");
    assertThat(assumed.band().judge(2)).isEqualTo(Verdict.FAILS);
    assertThat(assumed.meaning(Verdict.FAILS, 2))
        .isEqualTo(check("kind.lamp_tail_plate.bulb").meaning(Verdict.FAILS, 1))
        .contains("enter the other kind on the rig");
    assertThat(sheet(STAMPED))
        .filteredOn(c -> c.id().equals("stamp.lamp_tail_rear_left.5w"))
        .singleElement()
        .satisfies(
            entered -> {
              assertThat(entered.title()).endsWith("tail, 5 W");
              assertThat(entered.band().judge(1)).isEqualTo(Verdict.FAILS);
            });
  }

  /**
   * Five eighths of the watts are explained at a rear lamp that nobody has read, and nowhere else.
   */
  @ParameterizedTest
  @CsvSource({
    "lamp_tail_rear_left, 0.625, true",
    "lamp_left_rear_left, 0.65, true",
    "lamp_tail_rear_left, 1.6, false",
    "lamp_tail_plate, 0.625, false"
  })
  void whatTheAssumedWattsExplain(String lamp, double times, boolean explained) {
    Check check = check("draws." + lamp);
    double read = times * check.band().expected();
    assertThat(check.band().hangsOnAssumption(read)).isEqualTo(explained);
    assertThat(
            sheet(STAMPED).stream()
                .filter(c -> c.id().equals(check.id()))
                .map(c -> c.band().hangsOnAssumption(times * c.band().expected())))
        .containsExactly(false);
    if (explained) {
      assertThat(check.meaning(Verdict.WATCH, read)).contains("rear lamps", "stamps");
    }
  }

  @Test
  void otherRearLampsDrawLessAndNoOtherLampDoes() {
    FaultyRig others = FaultyRig.of(RIG, HARNESS, Fault.parse("rear_lamps:0.7"));
    FaultyRig sound = FaultyRig.of(RIG, HARNESS, List.of());
    assertThat(CHECKS)
        .filteredOn(c -> c.id().startsWith("draws."))
        .allSatisfy(
            c -> {
              double share = others.read(c) / sound.read(c);
              boolean rear =
                  c.key().spot().orElseThrow().lamp().orElseThrow().role() == LampRole.COMBINED;
              assertThat(share).as(c.id()).isCloseTo(rear ? 0.7 : 1, within(0.02));
            });
  }

  private static List<Check> sheet(Rig rig) {
    return CheckSheet.of(rig, Stand.harness(rig), OptionalDouble.of(12.6));
  }

  /**
   * A sound trailer with bulbs of 21/5 W of which nobody has entered anything: what its meter shows
   * is no fault anywhere, and the finder says what to enter. Once that is entered, all of it holds.
   */
  @Test
  void otherBulbsThanWereAssumedAreNoFault() {
    SimulatedMeter meter =
        new SimulatedMeter(STAMPED, Stand.harness(STAMPED), List.of(), 7, new Random(7));
    OptionalDouble supply = OptionalDouble.of(meter.read(check(CheckSheet.SUPPLY)));
    List<Check> assumed = CheckSheet.of(RIG, HARNESS, supply);
    List<Diagnosis.Seen> seen = new ArrayList<>();
    Verdict worst = Verdict.HOLDS;
    for (Check check : assumed) {
      if (check.proves()) {
        double read = check.measure() == Measure.STAMP ? 1 : meter.read(check);
        seen.add(new Diagnosis.Seen(check.id(), read));
        worst = worst.and(check.band().judge(read));
      }
    }
    assertThat(worst).isEqualTo(Verdict.WATCH);
    Diagnosis.Group first =
        Diagnosis.of(Predictions.of(CheckSheet.asRead(RIG, supply), HARNESS, assumed), seen)
            .groups()
            .get(0);
    assertThat(first.leading().words(UnitSystem.METRIC))
        .startsWith("Rear lamps of other watts than assumed");
    assertThat(CheckSheet.of(STAMPED, Stand.harness(STAMPED), supply))
        .filteredOn(Check::proves)
        .allSatisfy(c -> assertThat(c.band().judge(meter.read(c))).isNotEqualTo(Verdict.FAILS));
  }

  /** Every lamp is told once: at the rear by its stamps, elsewhere through its lens. */
  @Test
  void eachLampOfTheTrailerIsToldOnceAndProves() {
    assertThat(CHECKS)
        .filteredOn(c -> c.measure() == Measure.STAMP || c.measure() == Measure.KIND)
        .allMatch(Check::proves)
        .extracting(c -> c.key().part())
        .containsExactlyInAnyOrderElementsOf(
            HARNESS.loads().stream().filter(load -> load.lamp()).map(load -> load.name()).toList());
    assertThat(check("stamp.lamp_tail_rear_left.8w").title()).endsWith("tail, 8 W assumed");
    assertThat(check("kind.lamp_tail_plate.bulb").title()).endsWith("listed as a bulb");
  }

  /** With every volt in its band and every lamp lit, the word says what is wrong, and where. */
  @ParameterizedTest
  @CsvSource({
    "draws:lamp_tail_rear_left:2, stamp.lamp_tail_rear_left.8w, 'Wrong lamp: Rear lamp, left, tail', true",
    "other_kind:lamp_tail_plate:0.06, kind.lamp_tail_plate.bulb, 'A lamp of the other kind: Plate lamp', false"
  })
  void whatTheEyeSaysNamesTheLamp(String fault, String check, String words, boolean sure) {
    FaultyRig rig = FaultyRig.of(RIG, HARNESS, Fault.parse(fault));
    List<String> read = List.of("supply.battery", "loaded.tail", "clamp.tail", check);
    List<Diagnosis.Seen> seen =
        CHECKS.stream()
            .filter(c -> c.round().equals("look.tail") || read.contains(c.id()))
            .map(c -> new Diagnosis.Seen(c.id(), rig.read(c)))
            .toList();
    Diagnosis found = Diagnosis.of(Predictions.of(RIG, HARNESS, CHECKS), seen);
    Diagnosis.Group first = found.groups().get(0);
    assertThat(first.leading().words(UnitSystem.METRIC)).startsWith(words);
    assertThat(first.sure()).as("a stamp is read from near").isEqualTo(sure);
  }

  /** Five watts and twenty-one go into one socket: whatever it draws, it is of the other kind. */
  @ParameterizedTest
  @ValueSource(doubles = {0.31, 0.6, 1.1, 1.7})
  void aBulbInADiodeLampsPlaceIsFoundWhateverItDraws(double amps) {
    Rig diodes =
        new Rig(
            RIG.sheet(),
            RIG.lamps().stream().map(l -> l.with(l.state(), LampTechnology.LED)).toList(),
            List.of());
    Harness harness = Stand.harness(diodes);
    List<Check> checks = CheckSheet.of(diodes, harness, OptionalDouble.of(12.6));
    Fault bulb = Fault.of(Fault.Kind.OTHER_KIND, "lamp_tail_plate", amps);
    FaultyRig rig = FaultyRig.of(diodes, harness, List.of(bulb));
    List<Diagnosis.Seen> seen =
        checks.stream()
            .filter(c -> c.function() == PinFunction.TAIL && c.proves())
            .map(c -> new Diagnosis.Seen(c.id(), rig.read(c)))
            .toList();
    Diagnosis found = Diagnosis.of(Predictions.of(diodes, harness, checks), seen);
    Diagnosis.Group first = found.groups().get(0);
    assertThat(first.leading().words(UnitSystem.METRIC))
        .startsWith("A lamp of the other kind: Plate lamp");
    assertThat(found.fits()).isTrue();
  }
}
