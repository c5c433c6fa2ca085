package org.jexel.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import org.jexel.core.check.Band;
import org.jexel.core.check.Check;
import org.jexel.core.check.CheckId;
import org.jexel.core.network.Fault;
import org.jexel.core.network.StateWord;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.UnitSystem;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * A search over a handful of rows, worked by hand: a figure that is met counts 0.998 / (0.1·√2π) +
 * 0.002/15 = 3.9816 for each volt, one that is far off 0.002/15.
 */
class FinderTest {
  private static final double MET = 3.9816;
  private static final double SLIP = 0.002 / 15;

  private final List<Check> checks = new ArrayList<>(List.of(Made.volts("a"), Made.volts("b")));
  private final List<Row> rows = new ArrayList<>();
  private final List<Diagnosis.Seen> seen = new ArrayList<>();

  /** What a hypothesis reads at every check, of 0.1 V, or of words. */
  private void row(Hypothesis hypothesis, double... means) {
    rows.add(
        Made.row(
            hypothesis,
            IntStream.range(0, means.length)
                .boxed()
                .flatMapToDouble(
                    c ->
                        DoubleStream.of(
                            means[c], checks.get(c).measure().words().isEmpty() ? 0.1 : 0))
                .toArray()));
  }

  private void read(String check, double value) {
    seen.add(new Diagnosis.Seen(check + ".box", value));
  }

  private Diagnosis find() {
    return find(both -> Optional.empty());
  }

  private Diagnosis find(Function<Hypothesis, Optional<Row>> pairs) {
    return new Finder(new Predicted(checks, rows, pairs), seen, false).find();
  }

  private static String leading(Diagnosis.Group group) {
    return group.leading().healthy() ? "sound" : group.leading().faults().get(0).part();
  }

  /** Two in a hundred of all weights are on no list: 0.08 against 4. */
  @Test
  void beforeAnythingIsReadTheSharesAreTheWeights() {
    row(Made.healthy(3), 12.5, 12.5);
    row(Made.open("lamp", 1), 6, 12.5);
    Diagnosis found = find();
    double listed = 1 - 0.08 / 4.08;
    assertThat(found.unlisted()).isCloseTo(0.08 / 4.08, within(1e-9));
    assertThat(found.groups()).extracting(FinderTest::leading).containsExactly("sound", "lamp");
    assertThat(found.groups().get(0).probability()).isCloseTo(0.75 * listed, within(1e-9));
    assertThat(found.groups().get(1).probability()).isCloseTo(0.25 * listed, within(1e-9));
    assertThat(found.fits()).isTrue();
  }

  /** A reading is worth what it is likelier under one than under the other. */
  @Test
  void aReadingTurnsTheWeights() {
    row(Made.healthy(3), 12.5, 12.5);
    row(Made.open("lamp", 1), 6, 12.5);
    read("a", 6);
    Diagnosis found = find();
    double listed = MET + 3 * SLIP;
    double other = 0.08 * (0.6 * SLIP + 0.4 / 15);
    assertThat(found.unlisted()).isCloseTo(other / (listed + other), within(1e-5));
    Diagnosis.Group first = found.groups().get(0);
    assertThat(leading(first)).isEqualTo("lamp");
    assertThat(first.probability()).isCloseTo(MET / (listed + other), within(1e-5));
    assertThat(first.present()).isEqualTo(first.probability());
    assertThat(first.sure()).isTrue();
    assertThat(first.explains()).containsExactly("a.box");
    assertThat(first.against()).isEmpty();
    assertThat(found.groups().get(1).against()).containsExactly("a.box");
    assertThat(found.groups().get(1).explains()).isEmpty();
  }

  /** Thirteen of fourteen are enough where the fourteenth is mended with the same tool. */
  @ParameterizedTest
  @CsvSource({"lamp, true", "elsewhere, false"})
  void whatIsMendedAtAnotherPlaceHasToBeRarer(String rival, boolean sure) {
    row(Made.healthy(3), 12.5, 12.5);
    row(Made.open("lamp", 13), 6, 12.5);
    row(Made.fault(Fault.of(Fault.Kind.OHMS, rival), Made.family("rival"), 1), 6, 9);
    read("a", 6);
    Diagnosis.Group first = find().groups().get(0);
    assertThat(first.present()).isCloseTo(13 / 14.0, within(1e-3));
    assertThat(first.here()).isCloseTo(sure ? 1 : 13 / 14.0, within(1e-3));
    assertThat(first.sure()).isEqualTo(sure);
  }

  private void loose(double made, double off) {
    Hypothesis loose = Made.fault(Fault.of(Fault.Kind.LOOSE, "pin"), Made.family("pin"), 1);
    double[] none = new double[checks.size()];
    double[] means = none.clone();
    double[] gone = none.clone();
    Arrays.fill(means, made);
    Arrays.fill(gone, off);
    Arrays.fill(none, checks.get(0).measure().words().isEmpty() ? 0.1 : 0);
    Row broken = new Row(Made.open("pin", 1), gone, none, true);
    rows.add(new Row(loose, means, none, true, broken));
  }

  /** How likely all of it is with what makes and breaks, against a sound rig. */
  private double ofTheLoose() {
    Readings readings = new Readings(new Predicted(checks, rows, both -> Optional.empty()), seen);
    return Math.exp(readings.log(rows.get(1)) - readings.log(rows.get(0)));
  }

  /** Off at four visits of ten: of two readings at different times on in 0.6 · 0.6 of all. */
  @Test
  void whatMakesAndBreaksIsOnOrOffAtEachVisitAnew() {
    row(Made.healthy(3), 12.5, 12.5);
    loose(12.5, 0);
    read("a", 12.5);
    read("b", 12.5);
    assertThat(ofTheLoose()).isCloseTo(0.36, within(1e-3));
  }

  /** However many lamps are seen on one walk: with one of them all are on. */
  @Test
  void whatIsLookedAtInOneGoIsOnTogether() {
    checks.clear();
    for (String lamp : List.of("left", "right", "plate", "marker")) {
      checks.add(Made.lamp(lamp, StateWord.TAIL));
      seen.add(new Diagnosis.Seen("look." + lamp + "." + lamp, 3));
    }
    row(Made.healthy(3), 3, 3, 3, 3);
    loose(3, 0);
    assertThat(ofTheLoose()).isCloseTo(0.6, within(1e-3));
  }

  /**
   * Dark at one look and bright at the next: in 0.4 · 0.954 of all visits dark, against a word in a
   * hundred that was pressed by mistake; and bright in 0.6.
   */
  @Test
  void whatWasDarkAndIsBrightNowMakesAndBreaksSooner() {
    checks.clear();
    checks.add(Made.lamp("plate", StateWord.TAIL));
    row(Made.healthy(100), 3);
    loose(3, 0);
    seen.add(new Diagnosis.Seen("look.plate.plate", 0));
    seen.add(new Diagnosis.Seen("look.plate.plate", 3));
    assertThat(ofTheLoose()).isCloseTo(0.6 * 0.4 * 0.954 / 0.01, within(0.3));
    assertThat(find().groups().get(0).leading().healthy()).isTrue();
  }

  /** To press once more costs a minute; what goes out twice is not imagined. */
  @Test
  void whatWentOutUnderAHandOnceIsTriedAgain() {
    checks.clear();
    checks.add(Made.check("moved", Measure.MOVING, 0, 0));
    row(Made.healthy(300), 0);
    loose(1, 1);
    read("moved", 1);
    assertThat(find().next().orElseThrow().first()).isEqualTo(checks.get(0));
    double once = ofTheLoose();
    read("moved", 1);
    assertThat(ofTheLoose()).isCloseTo(once * once, within(1e-3));
    assertThat(once).isCloseTo(300, within(1e-6));
    assertThat(find().next()).as("not a third time").isEmpty();
  }

  @Test
  void ofOneCheckTheLastReadingStandsAndOneOfAnotherRigCountsForNothing() {
    row(Made.healthy(1), 12.5, 12.5);
    row(Made.open("lamp", 1), 6, 12.5);
    read("a", 12.5);
    read("a", 6);
    read("nowhere", 12.5);
    assertThat(leading(find().groups().get(0))).isEqualTo("lamp");
    assertThat(find().groups().get(0).against()).isEmpty();
  }

  /**
   * The likelier one leads what no check tells apart; company that nobody would see is not told.
   */
  @Test
  void aGroupIsToldByItsLikeliest() {
    row(Made.healthy(1), 12.5, 12.5);
    row(Made.open("rare", 1), 6, 12.5);
    row(Made.open("common", 3), 6, 12.5);
    row(Made.open("unseen", 1), 12.5, 12.5);
    read("a", 6);
    Diagnosis.Group group =
        find(both -> Optional.of(Made.row(both, 6, 0.1, 12.5, 0.1))).groups().get(0);
    assertThat(leading(group)).isEqualTo("common");
    assertThat(group.hypotheses()).hasSizeGreaterThan(2);
    assertThat(group.words(UnitSystem.METRIC))
        .containsExactly(
            Made.open("common", 3).words(UnitSystem.METRIC),
            Made.open("rare", 1).words(UnitSystem.METRIC));
  }

  /** Below 2 in 100 000 nothing is told. */
  @ParameterizedTest
  @CsvSource({"1.9e-5, 1", "2.1e-5, 2"})
  void whatIsNextToImpossibleIsNotTold(double weight, int told) {
    row(Made.healthy(1), 12.5, 12.5);
    row(Made.open("lamp", weight), 6, 12.5);
    assertThat(find().groups()).hasSize(told);
  }

  /**
   * Beside 4 and 3 a third of 3 weighs 0.2/10 of itself in company with the second: 0.18 to 3. The
   * second is there in both.
   */
  @Test
  void aFaultIsThereAloneOrInCompany() {
    row(Made.healthy(4), 12.5, 12.5);
    row(Made.open("lamp", 3), 6, 12.5);
    row(Made.open("cord", 3), 12.5, 6);
    read("a", 6);
    Diagnosis found = find(both -> Optional.of(Made.row(both, 6, 0.1, 6, 0.1)));
    Diagnosis.Group lamp = found.groups().get(0);
    double listed = 1 - found.unlisted();
    assertThat(leading(lamp)).isEqualTo("lamp");
    assertThat(lamp.probability() / listed).isCloseTo(3 / 3.18, within(1e-3));
    assertThat(lamp.present() / listed).isCloseTo(1, within(1e-3));
    Diagnosis.Group both = found.groups().get(1);
    assertThat(both.leading().faults()).hasSize(2);
    assertThat(both.probability() / listed).isCloseTo(0.18 / 3.18, within(1e-3));
    assertThat(both.present()).isEqualTo(both.probability());
  }

  /** What no check of the proof would show goes with soundness, unless a reading speaks for it. */
  @Test
  void soundnessIsWhatTheProofFindsSound() {
    checks.set(0, Made.proving(Made.volts("a")));
    row(Made.healthy(6), 12.5, 12.5);
    row(Made.open("shown", 2), 6, 12.5);
    row(Made.open("hidden", 2), 12.5, 6);
    Diagnosis.Group sound = find().groups().get(0);
    assertThat(sound.probability()).isCloseTo(0.6 / 1.02, within(1e-9));
    assertThat(sound.present()).isCloseTo(0.8 / 1.02, within(1e-9));
    assertThat(sound.earned()).as("not read yet").isFalse();
    assertThat(sound.sure()).isFalse();
    read("a", 12.5);
    sound = find().groups().get(0);
    assertThat(sound.earned()).isTrue();
    assertThat(sound.present()).isGreaterThan(0.97);
    assertThat(sound.sure()).isTrue();
  }

  /** Of 12.5 and 12.1 V, by 1.2 against 2.8 deviations: e^3.2 = 24 times; at 12.23 V 16 times. */
  @ParameterizedTest
  @CsvSource({"12.22, false", "12.23, true"})
  void whatAReadingSpeaksForIsNotSound(double volts, boolean sound) {
    checks.set(0, Made.proving(Made.volts("a")));
    row(Made.healthy(400), 12.5, 12.5);
    row(Made.open("hidden", 1), 12.5, 12.1);
    read("a", 12.5);
    read("b", volts);
    Diagnosis.Group first = find().groups().get(0);
    assertThat(first.leading().healthy()).isTrue();
    assertThat(first.present() > first.probability()).isEqualTo(sound);
  }

  /**
   * 1.8 deviations apart no check tells the two for sure. Twice 12.3 V is e^4 = 52 times likelier
   * of the slight fault, twice 12.36 V six times.
   */
  @ParameterizedTest
  @CsvSource({"12.30, false", "12.36, true"})
  void whatNoCheckTellsFromSoundIsSoundUntilTheReadingsSpeakForIt(double volts, boolean sound) {
    row(Made.healthy(400), 12.5, 12.5);
    row(Made.open("slight", 1), 12.32, 12.32);
    assertThat(find().groups()).hasSize(1);
    read("a", volts);
    read("b", volts);
    Diagnosis found = find();
    assertThat(leading(found.groups().get(0))).isEqualTo("sound");
    assertThat(found.groups()).hasSize(sound ? 1 : 2);
  }

  @Test
  void withoutAProofNothingIsProved() {
    row(Made.healthy(1), 12.5, 12.5);
    assertThat(find().groups().get(0).earned()).isFalse();
  }

  /** One slip of the eye and one more for every twenty words. */
  @ParameterizedTest
  @CsvSource({"3, 1, true", "3, 2, false", "19, 2, false", "20, 2, true", "20, 3, false"})
  void soManySlipsOfTheEyeAreExplained(int words, int slips, boolean fits) {
    checks.clear();
    for (int w = 0; w < words; w++) {
      checks.add(Made.check(new CheckId("look" + w, "box"), Measure.GLOW, 3, 3));
    }
    double[] bright = new double[words];
    Arrays.fill(bright, 3);
    row(Made.healthy(1), bright);
    for (int w = 0; w < words; w++) {
      read("look" + w, w < slips ? 2 : 3);
    }
    assertThat(find().fits()).isEqualTo(fits);
    assertThat(find().groups().get(0).against()).hasSize(slips);
  }

  /** Said once, a lamp that is dim may be a slip of the eye; said twice, it is dim. */
  @Test
  void anOddWordIsLookedAtAgainBeforeAnythingIsCalledSound() {
    Check look = Made.proving(Made.check(new CheckId("look", "box"), Measure.GLOW, 3, 3));
    checks.set(0, look);
    row(Made.healthy(100), 3, 12.5);
    row(Made.open("half the watts", 1), 2, 12.5);
    read("b", 12.5);
    read("look", 2);
    Diagnosis once = find();
    assertThat(once.groups().get(0).leading().healthy()).isTrue();
    assertThat(once.groups().get(0).earned()).isFalse();
    assertThat(once.doubtful()).containsExactly(look);
    assertThat(once.next().orElseThrow().checks()).containsExactly(look);
    read("look", 2);
    Diagnosis twice = find();
    assertThat(leading(twice.groups().get(0))).isEqualTo("half the watts");
    assertThat(twice.doubtful()).isEmpty();
    assertThat(twice.next()).isEmpty();
    read("look", 3);
    Diagnosis corrected = find();
    assertThat(corrected.groups().get(0).sure()).isTrue();
    assertThat(corrected.next()).isEmpty();
  }

  /** Nothing explains both; the one that fails was read twice, and the other one holds. */
  @Test
  void whatHoldsIsNotReadAgainToFindOut() {
    row(Made.healthy(1), 12.5, 12.5);
    row(Made.open("both", 1), 6, 6);
    read("a", 6);
    read("b", 12.5);
    assertThat(find().fits()).isFalse();
    assertThat(find().doubtful()).extracting(Check::id).contains("a.box", "b.box");
    assertThat(find().next().orElseThrow().first().key().reading()).isEqualTo("a");
    read("a", 6);
    assertThat(find().fits()).isFalse();
    assertThat(find().next()).isEmpty();
  }

  /** While more of the proof is open, it comes when it tells most for its minutes. */
  @Test
  void anOddWordIsLookedAtAgainWhereNothingElseWouldTellMore() {
    Check look = Made.proving(Made.check(new CheckId("look", "box"), Measure.GLOW, 3, 3));
    checks.set(0, look);
    checks.set(1, Made.proving(Made.volts("b")));
    row(Made.healthy(100), 3, 12.5);
    row(Made.open("half the watts", 1), 2, 12.5);
    read("look", 2);
    assertThat(find().doubtful()).as("not all is read").isEmpty();
    assertThat(find().next().orElseThrow().checks()).containsExactly(look);
  }

  /** Three deviations off, twice: each is within reach of a figure, and no slip of an eye. */
  @Test
  void figuresThatAreALittleOffAreNoSlips() {
    row(Made.healthy(1), 12.5, 12.5);
    read("a", 12.8);
    read("b", 12.8);
    assertThat(find().fits()).isTrue();
  }

  /** Wheels are suspect by the first reading; the gate is what the second one opens. */
  @ParameterizedTest
  @CsvSource({"12.5, true", "11.9, false"})
  void aDriveIsOfferedOnceTheGateHolds(double gate, boolean driven) {
    checks.set(1, of(Check.Group.BRAKES, Measure.VOLTS, new Band(12.5, 12, 13)));
    checks.add(of(Check.Group.DRIVEN, Measure.HEAT, new Band(1, 1, 1)));
    row(Made.healthy(1), 12.5, gate, 1);
    row(Made.mechanical("magnet", 1), 12.1, gate, 0);
    read("a", 12.1);
    seen.add(new Diagnosis.Seen("BRAKES.box", gate));
    assertThat(find().next().isPresent()).isEqualTo(driven);
  }

  private static Check of(Check.Group group, Measure measure, Band band) {
    return Made.check(new CheckId(group.name(), "box"), group, "at the box", measure, band, 1);
  }

  @Test
  void whatIsSaidTwiceAndNobodyExplainsIsNotKnown() {
    checks.set(0, Made.check(new CheckId("look", "box"), Measure.GLOW, 3, 3));
    row(Made.healthy(1), 3, 12.5);
    read("look", 2);
    assertThat(find().fits()).isTrue();
    read("look", 2);
    assertThat(find().fits()).isFalse();
    assertThat(find().doubtful()).containsExactly(checks.get(0));
  }

  @Test
  void aWordThatIsFarOffIsNoSlip() {
    checks.set(0, Made.check(new CheckId("look", "box"), Measure.GLOW, 3, 3));
    row(Made.healthy(1), 3, 12.5);
    read("look", 0);
    assertThat(find().fits()).isFalse();
    assertThat(find().doubtful()).containsExactly(checks.get(0));
    assertThat(find().next().orElseThrow().checks())
        .as("looked at again first")
        .containsExactly(checks.get(0));
    read("look", 0);
    assertThat(find().next()).as("twice is enough").isEmpty();
  }

  /** 4.5 deviations: inside, the reading is not doubted. */
  @ParameterizedTest
  @CsvSource({"12.94, 0", "12.96, 1"})
  void aFigureIsExplainedWithinItsReach(double volts, int doubted) {
    row(Made.healthy(1), 12.5, 12.5);
    read("a", volts);
    assertThat(find().doubtful()).hasSize(doubted);
  }

  /** Each row leaves one of four readings unexplained; the likelier row frees its own first. */
  @Test
  void theReadingThatFreesTheLikeliestIsDoubtedFirstAndThreeAtMost() {
    checks.addAll(List.of(Made.volts("c"), Made.volts("d")));
    row(Made.healthy(1), 0, 0, 0, 0);
    row(Made.open("one", 1), 6, 12.5, 12.5, 12.5);
    row(Made.open("two", 4), 12.5, 6, 12.5, 12.5);
    row(Made.open("three", 2), 12.5, 12.5, 6, 12.5);
    row(Made.open("four", 3), 12.5, 12.5, 12.5, 6);
    for (String check : List.of("a", "b", "c", "d")) {
      read(check, 12.5);
    }
    Diagnosis found = find();
    assertThat(found.doubtful())
        .extracting(check -> check.key().reading())
        .containsExactly("b", "d", "c");
    assertThat(found.fits()).isFalse();
  }

  /** A wheel is asked for once a reading is twenty times likelier with it: 2.45 deviations. */
  @ParameterizedTest
  @CsvSource({"12.25, true", "12.26, false"})
  void wheelsAreSuspectWhereAReadingSpeaksForOne(double volts, boolean asked) {
    checks.add(of(Check.Group.WHEELS, Measure.PLAY, new Band(0, 0, 0)));
    row(Made.healthy(1), 12.5, 12.5, 0);
    row(Made.mechanical("magnet", 1), volts, 12.5, 1);
    read("a", volts);
    assertThat(find().next().isPresent()).isEqualTo(asked);
  }

  /** Half a minute to walk elsewhere, none where the last reading was taken. */
  @Test
  void theNextCheckStartsFromWhereTheLastWasTaken() {
    checks.set(1, Made.at("under the trailer", 3, Made.volts("b")));
    row(Made.healthy(1), 12.5, 12.5);
    row(Made.open("lamp", 1), 12.5, 6);
    read("a", 12.5);
    assertThat(find().next().orElseThrow().minutes()).isEqualTo(3.5);
    checks.set(0, Made.at("under the trailer", 1, Made.volts("a")));
    assertThat(find().next().orElseThrow().minutes()).isEqualTo(3);
  }

  /**
   * One eye draws one border: lamps a little above it are called dim by so many eyes as draw it
   * higher, about one in six, and not each by itself. Of plainly bright ones that is no excuse.
   */
  @Test
  void lampsBetweenTwoWordsAreMisjudgedTogether() {
    checks.clear();
    IntStream.range(0, 11).forEach(i -> checks.add(Made.lamp("lamp" + i, StateWord.TAIL)));
    for (double place : new double[] {2.65, 3}) {
      row(Made.healthy(1), DoubleStream.generate(() -> place).limit(11).toArray());
    }
    checks.forEach(check -> seen.add(new Diagnosis.Seen(check.id(), 2)));
    Readings readings = new Readings(new Predicted(checks, rows, both -> Optional.empty()), seen);
    double alone = Likelihood.word(Measure.GLOW, 2.65, 0, 2, 1);
    assertThat(readings.log(rows.get(0)))
        .isBetween(Math.log(1 / 6.0) + 11 * Math.log(0.6), Math.log(1 / 6.0))
        .isGreaterThan(5 + 11 * Math.log(alone));
    assertThat(readings.log(rows.get(1))).isLessThan(11 * Math.log(0.05));
  }
}
