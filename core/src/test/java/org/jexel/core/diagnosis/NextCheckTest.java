package org.jexel.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Predicate;
import org.jexel.core.Rigs;
import org.jexel.core.check.Band;
import org.jexel.core.check.Check;
import org.jexel.core.check.CheckId;
import org.jexel.core.check.CheckSheet;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.HarnessPlanner;
import org.jexel.core.harness.WireSize;
import org.jexel.core.network.StateWord;
import org.jexel.core.quantity.Measure;
import org.jexel.core.rig.Rig;
import org.junit.jupiter.api.Test;

/** Four rows of a quarter each, or two of a half: one bit, two bits, worked by hand. */
class NextCheckTest {
  private final List<Check> checks = new ArrayList<>();
  private final List<Row> rows = new ArrayList<>();
  private double[] shares = {0.25, 0.25, 0.25, 0.25};
  private Set<Integer> seen = Set.of();
  private String standing = "at the box";
  private boolean alone;
  private Predicate<Check> offered = check -> true;

  /** Rows by what each reads at every check, of 0.1 V. */
  private void rows(double[]... means) {
    for (double[] of : means) {
      double[] both = new double[2 * of.length];
      for (int c = 0; c < of.length; c++) {
        both[2 * c] = of[c];
        both[2 * c + 1] = 0.1;
      }
      rows.add(Made.row(Made.open("part" + rows.size(), 1), both));
    }
  }

  private Optional<Diagnosis.Next> next() {
    return new NextCheck(checks, rows, shares, seen, standing, alone, offered).choose(rows);
  }

  private String id() {
    return next().orElseThrow().first().key().reading();
  }

  @Test
  void theCheckThatTellsMostIsNext() {
    checks.addAll(List.of(Made.volts("halves"), Made.volts("all"), Made.volts("none")));
    rows(
        new double[] {12, 12, 12},
        new double[] {12, 9, 12},
        new double[] {6, 6, 12},
        new double[] {6, 3, 12});
    assertThat(id()).isEqualTo("all");
    assertThat(next().orElseThrow().gain()).isCloseTo(2, within(1e-9));
    seen = Set.of(1);
    assertThat(id()).isEqualTo("halves");
    assertThat(next().orElseThrow().gain()).isCloseTo(1, within(1e-9));
    assertThat(next().orElseThrow().between())
        .containsExactly(rows.get(0).hypothesis(), rows.get(2).hypothesis());
    seen = Set.of(0, 1);
    assertThat(next()).as("nothing more to learn").isEmpty();
  }

  /** Per minute, four of attention with each, and half a minute for going elsewhere. */
  @Test
  void minutesCount() {
    rows(new double[] {12, 12}, new double[] {12, 9}, new double[] {6, 6}, new double[] {6, 3});
    far("at the box", 5.9);
    assertThat(id()).as("2 bit in 9.9 min, 1 bit in 5").isEqualTo("far");
    assertThat(next().orElseThrow().minutes()).isEqualTo(5.9);
    far("at the box", 6.1);
    assertThat(id()).isEqualTo("near");
    far("under the trailer", 5.9);
    assertThat(id()).as("and half a minute to get there").isEqualTo("near");
    assertThat(next().orElseThrow().minutes()).isEqualTo(1);
    standing = "under the trailer";
    assertThat(id()).isEqualTo("far");
    assertThat(next().orElseThrow().minutes()).isEqualTo(5.9);
  }

  /** Before a rig is called sound all of its proof is read, whatever else is. */
  @Test
  void whatTheProofWillAskForAnyhowCostsLessTheSounderTheRigSeems() {
    Check proof = Made.proving(Made.at("at the box", 6, Made.volts("proof")));
    checks.addAll(List.of(Made.volts("closer"), proof));
    rows.add(Made.row(Made.healthy(1), 12, 0.1, 12, 0.1));
    rows.add(Made.row(Made.open("a", 1), 6, 0.1, 6, 0.1));
    shares = new double[] {0.9, 0.1};
    assertThat(id()).as("a tenth of 6 min and 4 against 1 and 4").isEqualTo("proof");
    assertThat(next().orElseThrow().minutes()).as("it takes as long").isEqualTo(6);
    shares = new double[] {0.1, 0.9};
    assertThat(id()).as("nine tenths of 6 min").isEqualTo("closer");
  }

  private void far(String place, double minutes) {
    checks.clear();
    checks.addAll(List.of(Made.volts("near"), Made.at(place, minutes, Made.volts("far"))));
  }

  @Test
  void supplyComesFirstAndOnlyFirst() {
    CheckId battery = new CheckId("supply", "battery");
    Check supply =
        Made.check(
            battery, Check.Group.SUPPLY, "vehicle", Measure.VOLTS, new Band(12.6, 12, 13), 1);
    checks.addAll(List.of(Made.volts("all"), supply));
    rows(new double[] {12, 12, 12}, new double[] {9, 12, 12});
    shares = new double[] {0.5, 0.5};
    assertThat(id()).isEqualTo("supply");
    checks.add(Made.volts("read"));
    seen = Set.of(2);
    assertThat(id()).isEqualTo("all");
    seen = Set.of();
    offered = check -> !check.equals(supply);
    assertThat(id()).isEqualTo("all");
  }

  /** One in ten looks is miscalled, as a round is worth; its words are taken together. */
  @Test
  void aRoundIsWorthWhatItsWordsTellTogether() {
    Check left = Made.check(new CheckId("look", "left"), Measure.GLOW, 3, 3);
    Check right = Made.check(new CheckId("look", "right"), Measure.GLOW, 3, 3);
    checks.addAll(List.of(left, right));
    rows(new double[] {3, 3}, new double[] {0, 3}, new double[] {3, 0}, new double[] {0, 0});
    assertThat(next().orElseThrow().checks()).containsExactly(left, right);
    assertThat(next().orElseThrow().gain()).isCloseTo(0.9 * 2, within(1e-9));
  }

  /** Circuit after circuit on one walk, half a minute more for each; two together by themselves. */
  @Test
  void lampsOfOneCircuitAfterTheOtherAreOneWalk() {
    Check tail = Made.lamp("tail", StateWord.TAIL);
    Check left = Made.lamp("left", StateWord.LEFT);
    Check stop = Made.lamp("stop", StateWord.STOP);
    Check both = Made.lamp("both", StateWord.TAIL, StateWord.LEFT);
    checks.addAll(List.of(tail, left, stop, both));
    rows(
        new double[] {3, 3, 3, 3},
        new double[] {0, 3, 3, 3},
        new double[] {3, 0, 3, 3},
        new double[] {3, 3, 0, 0});
    standing = "round the rig";
    assertThat(next().orElseThrow().checks()).containsExactly(tail, left, stop);
    assertThat(next().orElseThrow().minutes()).isEqualTo(2.5);
    seen = Set.of(0);
    assertThat(next().orElseThrow().checks()).containsExactly(left, stop);
    alone = true;
    assertThat(next().orElseThrow().checks()).as("nobody holds the pedal").containsExactly(left);
    seen = Set.of(0, 1, 3);
    assertThat(next().orElseThrow().minutes())
        .as("one lamp, with a prop, and the walk")
        .isEqualTo(4.5);
  }

  @Test
  void onePropHoldsTheLeverForEveryMagnet() {
    Rig rig = Rigs.oneAxle();
    Harness harness = HarnessPlanner.plan(rig, WireSize.GAUGES);
    CheckSheet.of(rig, harness, OptionalDouble.of(12.6)).stream()
        .filter(check -> check.walk().equals("magnet.volts"))
        .forEach(checks::add);
    rows(new double[] {12, 12}, new double[] {0, 12}, new double[] {12, 0}, new double[] {0, 0});
    alone = true;
    assertThat(next().orElseThrow().checks()).hasSize(2).containsExactlyElementsOf(checks);
    assertThat(next().orElseThrow().minutes()).as("8 at the wheels, and the prop").isEqualTo(12.5);
  }

  /** Of a driver's word about a third is left: 0.34 of one bit. */
  @Test
  void whatADriverTellsIsWorthLess() {
    checks.add(told());
    rows(new double[] {0}, new double[] {2});
    shares = new double[] {0.5, 0.5};
    assertThat(next().orElseThrow().gain()).isCloseTo(0.34, within(1e-9));
  }

  /**
   * Half a bit of 1 min and 4 of attention, against 0.34 of 1 min and 2: nothing is set or held.
   */
  @Test
  void aQuestionTakesLessAttentionThanAReading() {
    checks.addAll(List.of(Made.volts("v"), told()));
    rows(new double[] {12, 0}, new double[] {12, 2}, new double[] {6, 0}, new double[] {6, 2});
    shares = new double[] {0.445, 0.445, 0.055, 0.055};
    assertThat(id()).isEqualTo("told");
    checks.set(1, Made.at("at the box", 3, told()));
    assertThat(id()).as("of 3 min").isEqualTo("v");
  }

  private static Check told() {
    return Made.check(new CheckId("told", "coming"), Measure.COMING, 0, 1);
  }

  /** The word is worth 0.34 bit beside whatever the battery tells, and costs half a minute. */
  @Test
  void whoeverDrivesItIsAskedWhileTheMeterIsOnTheBattery() {
    Check supply =
        Made.check(
            new CheckId("supply", "battery"),
            Check.Group.SUPPLY,
            "at the box",
            Measure.VOLTS,
            new Band(12.6, 12, 13),
            1);
    checks.addAll(List.of(Made.volts("v"), supply, told()));
    rows(new double[] {12, 12, 0}, new double[] {12, 12, 2});
    shares = new double[] {0.5, 0.5};
    assertThat(next().orElseThrow().checks()).containsExactly(supply, told());
    assertThat(next().orElseThrow().gain()).isCloseTo(0.34, within(1e-9));
    assertThat(next().orElseThrow().minutes()).isEqualTo(1.5);
    rows.clear();
    rows(new double[] {12, 12, 0}, new double[] {12, 9, 2});
    assertThat(next().orElseThrow().gain()).isCloseTo(1.34, within(1e-9));
  }

  /** A tenth of 6.5 min and 4 of attention against 1 and 4, as if nobody were asked beside it. */
  @Test
  void theBatteryIsOwedToTheProofThoughAWordGoesWithIt() {
    Band band = new Band(12.6, 12, 13);
    CheckId battery = new CheckId("supply", "battery");
    checks.addAll(
        List.of(
            Made.volts("v"),
            Made.check(battery, Check.Group.SUPPLY, "at the box", Measure.VOLTS, band, 6),
            told(),
            Made.volts("read")));
    seen = Set.of(3);
    rows.add(Made.row(Made.healthy(1), 12, 0.1, 12, 0.1, 0, 0, 12, 0.1));
    rows.add(Made.row(Made.open("a", 1), 6, 0.1, 6, 0.1, 0, 0, 12, 0.1));
    shares = new double[] {0.9, 0.1};
    assertThat(id()).isEqualTo("supply");
    shares = new double[] {0.1, 0.9};
    assertThat(id()).isEqualTo("v");
  }

  /** 0.16 bit of 3 min and 2 against 0.47 of 8 and 4; were it owed, 3 min would count 0.6. */
  @Test
  void aDriversWordIsOwedToNoProof() {
    checks.addAll(
        List.of(Made.at("at the box", 8, Made.volts("v")), Made.at("at the box", 3, told())));
    rows.add(Made.row(Made.healthy(1), 12, 0.1, 0, 0));
    rows.add(Made.row(Made.open("a", 1), 12, 0.1, 2, 0));
    rows.add(Made.row(Made.open("b", 1), 6, 0.1, 0, 0));
    shares = new double[] {0.8, 0.1, 0.1};
    assertThat(id()).isEqualTo("v");
  }

  /** 0.003 bit is what a walk must tell: a share of 2·10⁻⁴ tells 0.0027, of 3·10⁻⁴ 0.0039. */
  @Test
  void whatTellsNextToNothingIsNoWalk() {
    checks.add(Made.volts("v"));
    rows(new double[] {12}, new double[] {6});
    shares = new double[] {0.9998, 0.0002};
    assertThat(next()).isEmpty();
    shares = new double[] {0.9997, 0.0003};
    assertThat(next()).isPresent();
  }
}
