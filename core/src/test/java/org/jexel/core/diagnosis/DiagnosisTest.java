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
import org.jexel.core.quantity.Measure;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The finder on rigs with hidden faults, by following its next check only. */
class DiagnosisTest {
  private static final Rig BRAKED =
      Rigs.rig(
          Rigs.sheet(
              RigField.AXLE_COUNT, 2,
              RigField.BRAKE_TYPE, "ELECTRIC",
              RigField.TOW_CONNECTOR, "blade-7",
              RigField.TRAILER_CONNECTOR, "blade-7",
              RigField.CONTROLLER_KIND, "UNDER_DASH",
              RigField.ENGINE_OFF_VOLTS, 12.6,
              RigField.FEED_RUN, 6,
              RigField.BREAKAWAY_KIT, "OWN_BATTERY"));
  private static final Harness HARNESS = Stand.harness(BRAKED);
  private static final List<Check> CHECKS = Stand.checks(BRAKED, HARNESS);

  private static Fault named(String label) {
    return FaultCatalog.of(BRAKED, HARNESS).stream()
        .filter(named -> named.label().equals(label))
        .findFirst()
        .orElseThrow(() -> new AssertionError("no fault " + label))
        .fault();
  }

  /** Checks that were taken until one group stands at 90 %, or none would tell more. */
  private static Diagnosis follow(
      List<Fault> hidden, String symptom, long seed, List<Integer> taken) {
    Predictions predictions = Predictions.of(BRAKED, HARNESS, CHECKS);
    Stand stand = new Stand(BRAKED, HARNESS, hidden, new Random(seed));
    List<Diagnosis.Seen> seen = new ArrayList<>();
    CHECKS.stream()
        .filter(check -> check.round().equals(symptom))
        .forEach(check -> seen.add(new Diagnosis.Seen(check.id(), stand.read(check))));
    Diagnosis now = Diagnosis.of(predictions, seen);
    int checks = 0;
    while (now.next().isPresent()
        && (checks == 0 || !now.fits() || now.groups().get(0).probability() < 0.9)
        && checks < 10) {
      now.next().get().checks().forEach(c -> seen.add(new Diagnosis.Seen(c.id(), stand.read(c))));
      checks++;
      now = Diagnosis.of(predictions, seen);
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
    assertThat(found.groups().get(0).labels()).contains(label);
    assertThat(found.fits()).isTrue();
    assertThat(taken.get(0)).isLessThanOrEqualTo(most);
  }

  @Test
  void aSoundRigIsCalledSound() {
    for (long seed = 1; seed <= 5; seed++) {
      Diagnosis found = follow(List.of(), "", seed, new ArrayList<>());
      assertThat(found.groups().get(0).labels()).contains(Hypothesis.NO_FAULT);
    }
  }

  @Test
  void probabilitiesAreSharesAndTheOrderIsTheirs() {
    Predictions predictions = Predictions.of(BRAKED, HARNESS, CHECKS);
    Diagnosis first = Diagnosis.of(predictions, List.of());
    assertThat(first.groups())
        .isSortedAccordingTo((a, b) -> Double.compare(b.probability(), a.probability()));
    assertThat(first.groups().stream().mapToDouble(Diagnosis.Group::probability).sum())
        .isCloseTo(1, within(0.05));
    assertThat(first.next()).isPresent();
    assertThat(first.next().get().gain()).isPositive();
  }

  @Test
  void whenNothingKnownExplainsTheReadingsItSaysSo() {
    Predictions predictions = Predictions.of(BRAKED, HARNESS, CHECKS);
    List<Diagnosis.Seen> absurd = new ArrayList<>();
    for (Check check : predictions.checks()) {
      if (check.measure() == Measure.VOLTS && check.id().startsWith("socket.")) {
        absurd.add(new Diagnosis.Seen(check.id(), absurd.size() % 2 == 0 ? 14.8 : -6));
      }
    }
    Diagnosis diagnosis = Diagnosis.of(predictions, absurd);
    assertThat(diagnosis.fits()).isFalse();
    assertThat(diagnosis.next()).isPresent();
    assertThat(Diagnosis.of(predictions, List.of(new Diagnosis.Seen("anvil", 1))).fits()).isTrue();
  }

  @Test
  void wordsAreHeldAgainstATableOfConfusionsThatSumsToOne() {
    for (Measure measure : List.of(Measure.GLOW, Measure.TURNING, Measure.HUMMING)) {
      for (int truth = 0; truth < measure.words().size(); truth++) {
        double sum = 0;
        for (int said = 0; said < measure.words().size(); said++) {
          sum += Likelihood.word(measure, truth, said);
        }
        assertThat(sum).as("%s %d", measure, truth).isCloseTo(1, within(0.01));
      }
    }
  }
}
