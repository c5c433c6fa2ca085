package org.jexel.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.OptionalDouble;
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
import org.jexel.core.rig.LampTechnology;
import org.jexel.core.rig.Rig;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What a lamp is, by its stamp or through its lens, where volts and light say that all is well. */
class LampByEyeTest {
  private static final Rig RIG = Rigs.unbraked();
  private static final Harness HARNESS = Stand.harness(RIG);
  private static final List<Check> CHECKS = CheckSheet.of(RIG, HARNESS, OptionalDouble.of(12.6));

  private static Check check(String id) {
    return CHECKS.stream().filter(c -> c.id().equals(id)).findFirst().orElseThrow();
  }

  /** Which of two bulbs behind one lens has the more watts is not to be seen from outside. */
  @ParameterizedTest
  @CsvSource({
    "stamp.lamp_tail_rear_left, '', these watts",
    "stamp.lamp_tail_rear_left, open:lamp_tail_rear_left, these watts",
    "stamp.lamp_tail_rear_left, ohms:wire_cord_tail:3, these watts",
    "stamp.lamp_tail_rear_left, draws:lamp_tail_rear_left:0.5, other watts",
    "stamp.lamp_tail_rear_left, draws:lamp_tail_rear_left:2, other watts",
    "stamp.lamp_tail_rear_left, draws:lamp_tail_rear_right:2, these watts",
    "stamp.lamp_tail_rear_left, draws:lamp_left_rear_left:2, these watts",
    "stamp.lamp_tail_rear_left, other_kind:lamp_tail_rear_left:0.05, other kind",
    "kind.lamp_tail_plate, '', as listed",
    "kind.lamp_tail_plate, draws:lamp_tail_plate:2, as listed",
    "kind.lamp_tail_plate, other_kind:lamp_tail_front_left:0.06, as listed",
    "kind.lamp_tail_plate, other_kind:lamp_tail_plate:0.06, other kind"
  })
  void theEyeSaysWhatItIsWhateverItsVolts(String check, String fault, String word) {
    double place = FaultyRig.of(RIG, HARNESS, Fault.parse(fault)).read(check(check));
    assertThat(check(check).measure().text(place, UnitSystem.METRIC)).isEqualTo(word);
  }

  /** Nobody enters the watts of a bulb, so other watts need not be a fault; its kind is entered. */
  @Test
  void whatWasAssumedIsSaidToBe() {
    assertThat(check("stamp.lamp_tail_rear_left").meaning(Verdict.FAILS, 1))
        .contains("assumed, not entered", "no fault");
    assertThat(check("stamp.lamp_tail_rear_left").meaning(Verdict.FAILS, 2))
        .isEqualTo(check("kind.lamp_tail_plate").meaning(Verdict.FAILS, 1))
        .contains("enter the other kind on the rig");
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
    assertThat(check("stamp.lamp_tail_rear_left").title()).endsWith("tail, 8.0 W assumed");
    assertThat(check("kind.lamp_tail_plate").title()).endsWith("listed as a bulb");
  }

  /** With every volt in its band and every lamp lit, the word says what is wrong, and where. */
  @ParameterizedTest
  @CsvSource({
    "draws:lamp_tail_rear_left:2, stamp.lamp_tail_rear_left, 'Wrong lamp: Rear lamp, left, tail', true",
    "other_kind:lamp_tail_plate:0.06, kind.lamp_tail_plate, 'A lamp of the other kind: Plate lamp', false"
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
