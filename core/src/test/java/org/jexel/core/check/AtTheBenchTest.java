package org.jexel.core.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.jexel.core.Rigs;
import org.jexel.core.bench.Stand;
import org.jexel.core.connector.PinFunction;
import org.jexel.core.diagnosis.Diagnosis;
import org.jexel.core.diagnosis.Predictions;
import org.jexel.core.harness.Harness;
import org.jexel.core.network.Fault;
import org.jexel.core.network.Lit;
import org.jexel.core.network.Readout;
import org.jexel.core.network.RigNetwork;
import org.jexel.core.network.StateWord;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.NoFigure;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.junit.jupiter.api.Test;

/** Meter, tester and order of checks on a braked rig. */
class AtTheBenchTest {
  private static final Rig RIG =
      Rigs.rig(
          Rigs.sheet(
              RigField.AXLE_COUNT, 1,
              RigField.BRAKE_TYPE, "ELECTRIC",
              RigField.TOW_CONNECTOR, "blade-7",
              RigField.TRAILER_CONNECTOR, "blade-7",
              RigField.CONTROLLER_KIND, "UNDER_DASH",
              RigField.ENGINE_OFF_VOLTS, 12.6,
              RigField.FEED_RUN, 6,
              RigField.BREAKAWAY_KIT, "OWN_BATTERY"));
  private static final Harness HARNESS = Stand.harness(RIG);
  private static final List<Check> CHECKS = Stand.checks(RIG, HARNESS);

  private static SimulatedMeter meter(long seed, Fault... faults) {
    return new SimulatedMeter(RIG, HARNESS, List.of(faults), seed, new Random(seed));
  }

  /** Bands are two standard deviations wide: a sound rig lies inside them nearly always. */
  @Test
  void aSoundRigReadsInsideItsBands() {
    int inside = 0;
    int all = 0;
    for (long seed = 1; seed <= 20; seed++) {
      SimulatedMeter meter = meter(seed);
      for (Check check : CHECKS) {
        double shown = meter.read(check);
        assertThat(shown).as(check.id()).isGreaterThan(-20);
        if (check.measure().words().isEmpty()) {
          all++;
          Band band = check.band();
          inside += band.low() <= shown && shown <= band.high() ? 1 : 0;
        }
      }
    }
    assertThat((double) inside / all).isGreaterThan(0.92);
  }

  /** A breakaway switch that has closed feeds the brake circuit from the trailer's own battery. */
  @Test
  void ohmsAreRefusedOnALiveCircuit() {
    Check ohms = check(c -> c.id().equals("brake.resistance"));
    assertThat(meter(1).read(ohms)).isCloseTo(1.6, within(0.4));
    double live = meter(1, Fault.parse("pulled").get(0)).read(ohms);
    assertThat(NoFigure.of(Measure.OHMS, live)).contains(NoFigure.LIVE);
    assertThat(ohms.measure().text(live, UnitSystem.METRIC)).isEqualTo("live");
    assertThat(ohms.meaning(ohms.band().judge(live), live)).contains("breakaway");
  }

  @Test
  void oneSeedIsOneRigAndOnlyTheNoiseDiffers() {
    Check battery = check(c -> c.id().equals("supply.battery"));
    double first = meter(3).read(battery);
    for (int i = 0; i < 20; i++) {
      SimulatedMeter again = new SimulatedMeter(RIG, HARNESS, List.of(), 3, new Random(i));
      assertThat(again.read(battery))
          .isCloseTo(first, within(4 * Meter.error(first, Measure.VOLTS)));
    }
  }

  private static Check check(java.util.function.Predicate<Check> which) {
    return CHECKS.stream().filter(which).findFirst().orElseThrow();
  }

  private static Map<PinFunction, String> tester(Set<StateWord> on, Fault... faults) {
    return PlugTester.lamps(RIG, HARNESS, on, List.of(faults)).stream()
        .collect(Collectors.toMap(l -> l.pin().function(), PlugTester::word));
  }

  @Test
  void aTesterShowsTheVehiclesPinsAndNothingOfTheTrailer() {
    Map<PinFunction, String> tail = tester(Set.of(StateWord.TAIL));
    assertThat(tail)
        .containsEntry(PinFunction.TAIL, "bright")
        .containsEntry(PinFunction.LEFT, "dark")
        .doesNotContainKey(PinFunction.EARTH);
    assertThat(tester(Set.of(StateWord.TAIL), Fault.parse("open:fuse_tail").get(0)))
        .containsEntry(PinFunction.TAIL, "dark");
    String lamp =
        HARNESS.loads().stream()
            .map(load -> load.name())
            .filter(name -> name.startsWith("lamp_"))
            .findFirst()
            .orElseThrow();
    assertThat(tester(Set.of(StateWord.TAIL), Fault.of(Fault.Kind.OPEN, lamp))).isEqualTo(tail);
  }

  @Test
  void aloneWhatNobodyHasToHoldComesFirstAndNothingIsLost() {
    List<Check> alone = Alone.order(CHECKS);
    assertThat(alone).containsExactlyInAnyOrderElementsOf(CHECKS);
    List<Boolean> helped = alone.stream().map(Alone::needsHelper).toList();
    assertThat(helped).isSorted().contains(true, false);
    for (Check check : CHECKS) {
      boolean pedal = check.state().toLowerCase().contains("pedal held");
      boolean inTheCab = check.place().startsWith("In the cab");
      assertThat(!pedal || inTheCab || Alone.needsHelper(check)).as(check.id()).isTrue();
      Round round = new Round(List.of(check));
      double prop = Alone.needsHelper(check) ? 4 : 0;
      assertThat(Alone.minutes(round)).as(check.id()).isEqualTo(round.minutes() + prop);
    }
  }

  /** With nobody in the cab, as much is learnt with fewer walks there. */
  @Test
  void theFinderAsksForHeldStatesLaterWhenAlone() {
    Predictions predictions = Predictions.of(RIG, HARNESS, CHECKS);
    assertThat(helped(predictions, true)).isLessThanOrEqualTo(helped(predictions, false));
    Diagnosis.Next first = Diagnosis.of(predictions, List.of(), true).next().orElseThrow();
    assertThat(Alone.needsHelper(first.first())).isFalse();
  }

  private static long helped(Predictions predictions, boolean alone) {
    SimulatedMeter meter = meter(2);
    List<Diagnosis.Seen> seen = new ArrayList<>();
    long helped = 0;
    for (int i = 0; i < 4; i++) {
      Diagnosis now = Diagnosis.of(predictions, seen, alone);
      if (now.next().isEmpty()) {
        break;
      }
      helped += Alone.needsHelper(now.next().get().first()) ? 1 : 0;
      now.next().get().checks().forEach(c -> seen.add(new Diagnosis.Seen(c.id(), meter.read(c))));
    }
    return helped;
  }

  /** The scale of words goes up with the light and crosses each half where the word changes. */
  @Test
  void theScaleOfGlowAgreesWithItsWords() {
    double before = -1;
    for (double light = 1e-5; light < 2; light *= 1.1) {
      double place = Lit.scale(light);
      assertThat(place).isGreaterThanOrEqualTo(before);
      String word = Measure.GLOW.words().get((int) Math.round(place));
      assertThat(word).as("at %s", light).isEqualTo(Lit.word(light));
      String above = Lit.word(Lit.border(light));
      assertThat(above).as("at %s", light).isEqualTo(Lit.dark(light) ? "glimmers" : word);
      before = place;
    }
    assertThat(Lit.scale(0)).isZero();
    assertThat(Lit.scale(1)).isEqualTo(3);
  }

  /** A setup solved with a fault is what a rig with that fault gives. */
  @Test
  void aSetupSolvesWithFaultsOfPartsThatItHas() {
    Setup tail = Setup.rig(StateWord.TAIL);
    Fault lost = Fault.parse("open:wire_cord_earth").get(0);
    FaultyRig sound = FaultyRig.of(RIG, HARNESS, List.of());
    assertThat(Math.abs(sound.in(tail).amps("wire_cord_earth"))).isGreaterThan(1);
    FaultyRig off = FaultyRig.of(RIG, HARNESS, List.of(lost));
    assertThat(off.in(tail).has("wire_cord_earth")).isFalse();
    assertThat(off.in(tail).amps("wire_cord_earth")).isZero();
    assertThat(off.in(tail).has("wire_cord_tail")).isTrue();
    Fault dead = Fault.of(Fault.Kind.OPEN, RigNetwork.CONTROLLER);
    Setup bench = Setup.bench(PinFunction.TAIL);
    assertThat(FaultyRig.of(RIG, HARNESS, List.of(dead)).in(bench).amps(RigNetwork.BENCH))
        .isCloseTo(sound.in(bench).amps(RigNetwork.BENCH), within(1e-6));
  }

  /** What a chafe blew is dark on the drawing and on the tester, not lit by what it draws. */
  @Test
  void aCircuitWhoseFuseAChafeBlewIsDark() {
    List<Fault> chafed = Fault.parse("short:box_tail:0.05");
    FaultyRig rig = FaultyRig.of(RIG, HARNESS, chafed);
    assertThat(rig.standing()).contains(Fault.of(Fault.Kind.OPEN, "fuse_tail"));
    Readout tail = rig.in(Setup.rig(StateWord.TAIL));
    assertThat(tail.amps("short_box_tail")).isCloseTo(0, within(1e-6));
    assertThat(PlugTester.lamps(RIG, HARNESS, Set.of(StateWord.TAIL), chafed))
        .filteredOn(lamp -> lamp.pin().function() == PinFunction.TAIL)
        .allMatch(PlugTester::dark)
        .isNotEmpty();
  }
}
