package org.jexel.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.jexel.core.Rigs;
import org.jexel.core.bench.Stand;
import org.jexel.core.check.Check;
import org.jexel.core.harness.Harness;
import org.jexel.core.network.Fault;
import org.jexel.core.network.FaultCatalog;
import org.jexel.core.network.FaultFamily;
import org.jexel.core.network.KnownFault;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The finder on rigs with hidden faults, by following its next check only. */
class DiagnosisTest {
  private static final Rig BRAKED =
      Rigs.twoAxles(
          RigField.ENGINE_OFF_VOLTS,
          12.6,
          RigField.FEED_RUN,
          6,
          RigField.BREAKAWAY_KIT,
          "OWN_BATTERY");
  private static final Harness HARNESS = Stand.harness(BRAKED);
  private static final List<Check> CHECKS = Stand.checks(BRAKED, HARNESS);
  private static final Predictions PREDICTIONS = Predictions.of(BRAKED, HARNESS, CHECKS);

  private static Fault named(String label) {
    return FaultCatalog.of(BRAKED, HARNESS).stream()
        .filter(named -> named.words(UnitSystem.METRIC).equals(label))
        .findFirst()
        .orElseThrow(() -> new AssertionError("no fault " + label))
        .fault();
  }

  /** Checks that were taken until one group stands at 90 %, or none would tell more. */
  private static Diagnosis follow(
      List<Fault> hidden, String symptom, long seed, List<Integer> taken) {
    Stand stand = new Stand(BRAKED, HARNESS, hidden, new Random(seed));
    List<Diagnosis.Seen> seen = new ArrayList<>();
    CHECKS.stream()
        .filter(check -> check.round().equals(symptom))
        .forEach(check -> seen.add(new Diagnosis.Seen(check.id(), stand.read(check))));
    Diagnosis now = Diagnosis.of(PREDICTIONS, seen);
    int checks = 0;
    while (now.next().isPresent()
        && (checks == 0 || !now.fits() || now.groups().get(0).present() < 0.9)
        && checks < 10) {
      now.next().get().checks().forEach(c -> seen.add(new Diagnosis.Seen(c.id(), stand.read(c))));
      checks++;
      now = Diagnosis.of(PREDICTIONS, seen);
    }
    taken.add(checks);
    return now;
  }

  @ParameterizedTest
  @CsvSource({
    "'Return lost: Rear lamp, left', '', 5",
    "'Exchanged at the box: tail and right', '', 5",
    "'Open: Magnet, axle 1 left', hums, 6",
    "'No contact: tail pin', '', 5",
    "'Breakaway pin part-way out', turns, 5",
    "'Fuse open: charge', socket.charge, 5"
  })
  void aHiddenFaultIsFoundByFollowingTheNextCheckOnly(String label, String symptom, int most) {
    List<Integer> taken = new ArrayList<>();
    Diagnosis found = follow(List.of(named(label)), symptom, 11, taken);
    assertThat(found.groups().get(0).words(UnitSystem.METRIC)).contains(label);
    assertThat(found.fits()).isTrue();
    assertThat(taken.get(0)).isLessThanOrEqualTo(most);
  }

  /** The commonest fault of all, and none that the trailer can show by itself. */
  @Test
  void aPoorEarthInTheVehicleIsFoundByFollowingTheNextCheckOnly() {
    List<KnownFault> poor =
        FaultCatalog.of(BRAKED, HARNESS).stream()
            .filter(f -> f.family().trouble() == FaultFamily.Trouble.POOR_EARTH_IN_VEHICLE)
            .toList();
    assertThat(poor).hasSize(3);
    for (KnownFault known : poor) {
      Diagnosis found = follow(List.of(known.fault()), "", 3, new ArrayList<>());
      assertThat(found.groups().get(0).words(UnitSystem.METRIC))
          .as(known.key())
          .contains("Poor earth in the vehicle");
      assertThat(found.fits()).isTrue();
    }
  }

  @Test
  void aSoundRigIsCalledSound() {
    for (long seed = 1; seed <= 5; seed++) {
      Diagnosis found = follow(List.of(), "", seed, new ArrayList<>());
      assertThat(found.groups().get(0).words(UnitSystem.METRIC)).contains("No fault");
    }
  }

  /** A second fault is weighed before anything has shown it, and is looked for. */
  @ParameterizedTest
  @CsvSource({
    "'Return lost: Rear lamp, left', 'Open: Magnet, axle 2 right', 12",
    "'No contact: tail pin', 'Fuse open: charge', 12"
  })
  void twoHiddenFaultsAreBothNamed(String one, String two, int most) {
    Stand stand = new Stand(BRAKED, HARNESS, List.of(named(one), named(two)), new Random(4));
    List<Diagnosis.Seen> seen = new ArrayList<>();
    Diagnosis now = Diagnosis.of(PREDICTIONS, seen);
    for (int taken = 0; taken < most && now.next().isPresent(); taken++) {
      now.next().get().checks().forEach(c -> seen.add(new Diagnosis.Seen(c.id(), stand.read(c))));
      now = Diagnosis.of(PREDICTIONS, seen);
    }
    List<String> named =
        now.groups().stream()
            .limit(3)
            .flatMap(g -> g.hypotheses().stream())
            .flatMap(h -> h.families().stream())
            .map(family -> family.words(UnitSystem.METRIC))
            .toList();
    assertThat(named).contains(one, two);
    assertThat(now.fits()).isTrue();
  }

  /** What two faults do to checks that only one of them touches needs no solution of both. */
  @Test
  void twoFaultsThatShareNoCheckReadAsEachDoesAlone() {
    Row healthy = PREDICTIONS.singles().get(0);
    Row lamp = row("Burnt out: Rear lamp, left, left");
    Row magnet = row("Open: Magnet, axle 1 left");
    Hypothesis both = lamp.hypothesis().and(magnet.hypothesis(), 0.1);
    Row guessed = lamp.with(magnet, healthy, both);
    Row solved = PREDICTIONS.pair(both).orElseThrow();
    assertThat(guessed.solved()).isFalse();
    for (int c = 0; c < CHECKS.size(); c++) {
      if (!lamp.touches(healthy, c) || !magnet.touches(healthy, c)) {
        assertThat(guessed.means()[c])
            .as(CHECKS.get(c).id())
            .isCloseTo(
                solved.means()[c],
                within(healthy.deviations()[c] == 0 ? 0.06 : 0.1 * healthy.deviations()[c]));
      }
    }
    assertThat(both.weight())
        .isCloseTo(0.1 * lamp.hypothesis().weight() * magnet.hypothesis().weight(), within(1e-12));
  }

  private static Row row(String label) {
    return PREDICTIONS.singles().stream()
        .filter(row -> row.hypothesis().words(UnitSystem.METRIC).equals(label))
        .findFirst()
        .orElseThrow(() -> new AssertionError("no fault " + label));
  }

  /** A fault that may be slight or bad is vague; a reading still tells it from a sound rig. */
  @Test
  void whatIsVagueIsToldFromWhatIsSharpByWhatItsReadingsWouldBe() {
    Check check =
        CHECKS.stream().filter(c -> c.id().equals("lamp.lamp_tail_plate")).findFirst().get();
    Row sharp = one(12.6, 0.05);
    assertThat(sharp.apart(one(12.6, 0.05), check, 0)).isFalse();
    assertThat(sharp.apart(one(12.5, 0.05), check, 0)).isFalse();
    assertThat(sharp.apart(one(12.3, 0.05), check, 0)).isTrue();
    assertThat(sharp.apart(one(10.6, 1.2), check, 0)).isTrue();
    assertThat(sharp.apart(one(12.5, 1.2), check, 0)).isFalse();
    for (double mean = 9; mean < 13; mean += 0.1) {
      for (double wide = 0.02; wide < 2; wide *= 2) {
        Row other = one(mean, wide);
        assertThat(sharp.apart(other, check, 0)).isEqualTo(other.apart(sharp, check, 0));
      }
    }
  }

  private static Row one(double mean, double deviation) {
    Hypothesis any = PREDICTIONS.hypotheses().get(0);
    return new Row(any, new double[] {mean}, new double[] {deviation}, true);
  }

  /** Else a rival's slight severity beside the leader would make the answer look sure. */
  @Test
  void oneFaultStandsInOneGroupInAllItsSeverities() {
    Stand stand = new Stand(BRAKED, HARNESS, List.of(named("Fuse open: tail")), new Random(6));
    List<Diagnosis.Seen> seen = new ArrayList<>();
    for (Check check : CHECKS.subList(0, 12)) {
      seen.add(new Diagnosis.Seen(check.id(), stand.read(check)));
      List<String> labels =
          Diagnosis.of(PREDICTIONS, seen).groups().stream()
              .flatMap(
                  group ->
                      group.hypotheses().stream().map(h -> h.words(UnitSystem.METRIC)).distinct())
              .toList();
      assertThat(labels).doesNotHaveDuplicates();
    }
  }

  @Test
  void probabilitiesAreSharesAndTheOrderIsTheirs() {
    Diagnosis first = Diagnosis.of(PREDICTIONS, List.of());
    assertThat(first.groups())
        .isSortedAccordingTo((a, b) -> Double.compare(b.probability(), a.probability()));
    assertThat(first.groups().stream().mapToDouble(Diagnosis.Group::probability).sum())
        .isCloseTo(1, within(0.05));
    assertThat(first.next()).isPresent();
    assertThat(first.next().get().gain()).isPositive();
  }

  @Test
  void whenNothingKnownExplainsTheReadingsItSaysSo() {
    List<Diagnosis.Seen> absurd = new ArrayList<>();
    for (Check check : PREDICTIONS.checks()) {
      if (check.measure() == Measure.VOLTS && check.id().startsWith("socket.")) {
        absurd.add(new Diagnosis.Seen(check.id(), absurd.size() % 2 == 0 ? 14.8 : -6));
      }
    }
    Diagnosis diagnosis = Diagnosis.of(PREDICTIONS, absurd);
    assertThat(diagnosis.fits()).isFalse();
    assertThat(diagnosis.next()).isPresent();
    assertThat(Diagnosis.of(PREDICTIONS, List.of(new Diagnosis.Seen("anvil", 1))).fits()).isTrue();
  }

  /** A lamp that is dark with the tails on, and bright once an indicator is added to them. */
  @Test
  void ofTwoReadingsThatContradictEachOtherBothAreDoubtful() {
    List<Diagnosis.Seen> seen = new ArrayList<>();
    for (String round : List.of("look.tail", "look.tail+left")) {
      CHECKS.stream()
          .filter(check -> check.round().equals(round))
          .forEach(check -> seen.add(new Diagnosis.Seen(check.id(), check.band().expected())));
    }
    assertThat(Diagnosis.of(PREDICTIONS, seen).doubtful()).isEmpty();
    for (String lamp : List.of("lamp_tail_rear_left", "lamp_tail_rear_right")) {
      List<Diagnosis.Seen> torn = new ArrayList<>(seen);
      torn.add(new Diagnosis.Seen("look.tail." + lamp, 0));
      Diagnosis diagnosis = Diagnosis.of(PREDICTIONS, torn);
      assertThat(diagnosis.fits()).isFalse();
      assertThat(diagnosis.doubtful())
          .extracting(Check::id)
          .contains("look.tail." + lamp, "look.tail+left." + lamp);
      torn.removeIf(reading -> reading.check().endsWith(lamp));
      assertThat(Diagnosis.of(PREDICTIONS, torn).fits()).isTrue();
    }
  }

  @Test
  void wordsAreHeldAgainstATableOfConfusionsThatSumsToOne() {
    for (Measure measure : List.of(Measure.GLOW, Measure.TURNING, Measure.HUMMING)) {
      for (double truth = 0; truth < measure.words().size(); truth += 0.25) {
        double sum = 0;
        for (int said = 0; said < measure.words().size(); said++) {
          sum += Likelihood.word(measure, truth, said);
        }
        assertThat(sum).as("%s %s", measure, truth).isCloseTo(1, within(0.01));
      }
    }
  }
}
