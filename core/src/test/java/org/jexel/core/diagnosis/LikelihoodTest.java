package org.jexel.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.DoubleRange;
import org.jexel.core.check.Check;
import org.jexel.core.quantity.Measure;
import org.jexel.core.quantity.NoFigure;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LikelihoodTest {
  private static final Check VOLTS = Made.volts("volts");

  @Provide
  static Arbitrary<Measure> said() {
    return Arbitraries.of(
        Arrays.stream(Measure.values()).filter(m -> !m.words().isEmpty()).toList());
  }

  /** Somebody says some word, whatever there is to be seen. */
  @Property
  void theWordsOfAScaleShareAllThereIs(
      @ForAll("said") Measure measure,
      @ForAll @DoubleRange(min = 0, max = 1) double where,
      @ForAll @DoubleRange(min = 0, max = 1) double spread) {
    int last = measure.words().size() - 1;
    double sum = 0;
    for (int word = 0; word <= last; word++) {
      double share = Likelihood.word(measure, where * last, spread, word, 1);
      assertThat(share).isBetween(0.0, 1.0);
      sum += share;
    }
    assertThat(sum).isCloseTo(1, within(1e-9));
  }

  /**
   * Of an eye that draws its borders within 0.2 of a step, 0.62 % lie half a step off; 4 % in
   * passing, 1 % in hand and 0.2 % close by are called by another word, nine of ten by the next.
   */
  @ParameterizedTest
  @CsvSource({
    "GLOW, 3, 3, 0.9540",
    "GLOW, 3, 2, 0.0420",
    "GLOW, 3, 1, 0.0020",
    "GLOW, 3, 0, 0.0020",
    "GLOW, 2, 3, 0.0240",
    "GLOW, 2, 1, 0.0240",
    "GLOW, 2, 0, 0.0040",
    "GLOW, 2.5, 3, 0.4800",
    "GLOW, 0, 0, 0.9540",
    "GLOW, 0, 1, 0.0420",
    "TURNING, 0, 0, 0.9839",
    "TURNING, 0, 1, 0.0161",
    "TURNING, 1, 1, 0.9839",
    "KIND, 0, 1, 0.0161",
    "PLAY, 0, 1, 0.0082",
    "STAMP, 0, 1, 0.0080",
    "STAMP, 0, 2, 0.0002",
    "MAGNET_FACE, 0, 2, 0.0002",
    "HUMMING, 1, 0, 0.0460",
    "MOVING, 1, 1, 0.9",
    "MOVING, 1, 0, 0.1",
    "MOVING, 0, 1, 0.003",
    "MOVING, 0, 0, 0.997",
    "COMING, 0, 0, 0.65",
    "COMING, 0, 1, 0.27",
    "COMING, 0, 2, 0.08",
    "COMING, 2, 0, 0.10",
    "COMING, 2, 1, 0.25",
    "COMING, 2, 2, 0.65"
  })
  void whatIsSaidOfWhatThereIs(Measure measure, double truth, double said, double share) {
    assertThat(Likelihood.word(measure, truth, 0, said, 1)).isCloseTo(share, within(2e-4));
    Check check = Made.check("look", measure, 0, 1);
    assertThat(Likelihood.log(check, truth, 0, Reading.first(check, said)))
        .isCloseTo(Math.log(Likelihood.word(measure, truth, 0, said, 1)), within(1e-12));
  }

  /** Of a place 0.4 off either way, √(0.2² + 0.15²) = 0.25 above a border: one in 19 says below. */
  @Test
  void whereAFaultMayBeSlighterTheOtherWordIsSaidAsWell() {
    assertThat(Likelihood.word(Measure.GLOW, 2.9, 0.15, 2, 1))
        .isCloseTo(0.0548 * 0.96 + 0.04 * 0.9, within(1e-3));
    Check glow = Made.check("look", Measure.GLOW, 3, 3);
    assertThat(Likelihood.off(glow, 2.1, 0, 3)).isPositive();
    assertThat(Likelihood.off(glow, 2.1, 0.4, 3)).isZero();
  }

  /** A normal density, and one in 500 anywhere within 15 V or 20 A. */
  @Test
  void aFigureIsNormalButForSlips() {
    double top = 0.998 / (0.1 * Math.sqrt(2 * Math.PI));
    assertThat(Likelihood.log(VOLTS, 12.5, 0.1, Reading.first(VOLTS, 12.5)))
        .isCloseTo(Math.log(top + 0.002 / 15), within(1e-9));
    assertThat(Likelihood.log(VOLTS, 12.5, 0.1, Reading.first(VOLTS, 12.3)))
        .isCloseTo(Math.log(top * Math.exp(-2) + 0.002 / 15), within(1e-9));
    assertThat(Likelihood.log(VOLTS, 12.5, 0.1, Reading.first(VOLTS, 2)))
        .isCloseTo(Math.log(0.002 / 15), within(1e-9));
    Check amps = Made.check("amps", Measure.AMPS, 1, 2);
    assertThat(Likelihood.log(amps, 1, 0.1, Reading.first(amps, 15)))
        .isCloseTo(Math.log(0.002 / 20), within(1e-9));
  }

  /**
   * Of a word 1 % of 4 %, since the second look is closer, of a figure one in 250 000. A border
   * half a step off lies 0.5 / (0.2 / √2) = 3.54 deviations off for two looks: 1.6 in 10 000.
   */
  @Test
  void whatIsReadTwiceAlikeIsHardlyASlip() {
    Check glow = Made.check("look", Measure.GLOW, 3, 3);
    assertThat(Likelihood.word(Measure.GLOW, 3, 0, 2, 2))
        .isCloseTo(0.00016 + 0.0004 * 0.9, within(1e-5));
    Reading twice = Reading.first(glow, 2).then(glow, 2);
    assertThat(Likelihood.log(glow, 3, 0, twice))
        .isCloseTo(Math.log(Likelihood.word(Measure.GLOW, 3, 0, 2, 2)), within(1e-12));
    Reading volts = Reading.first(VOLTS, 2).then(VOLTS, 2.01);
    assertThat(Likelihood.log(VOLTS, 12.5, 0.1, volts))
        .isCloseTo(Math.log(0.002 * 0.002 / 15), within(1e-9));
  }

  /** Within the meter's error, 0.5 % and two digits; what differs begins anew. */
  @Test
  void theSameIsWhatTheMeterCannotTell() {
    assertThat(Reading.first(VOLTS, 12).then(VOLTS, 12.15).times()).isEqualTo(2);
    assertThat(Reading.first(VOLTS, 12).then(VOLTS, 12.17).times()).isEqualTo(1);
    assertThat(Reading.first(VOLTS, 12).then(VOLTS, 9).then(VOLTS, 12).times()).isEqualTo(1);
    Check ohms = Made.check("ohms", Measure.OHMS, 0, 1);
    assertThat(Reading.first(ohms, 100).then(ohms, 101.3).times()).isEqualTo(2);
    assertThat(Reading.first(ohms, 100).then(ohms, 101.5).times()).isEqualTo(1);
    assertThat(Reading.first(ohms, 100).value()).isCloseTo(5.298, within(1e-3));
    assertThat(Reading.first(VOLTS, 12).fails()).isFalse();
    assertThat(Reading.first(VOLTS, 9).then(VOLTS, 9).fails()).isTrue();
  }

  /** Six readings of ten are as on a sound rig; the others are anything. */
  @Test
  void whatNobodyListedMakesAnythingOfFourReadingsInTen() {
    assertThat(Likelihood.logOfAnything(VOLTS, Math.log(3)))
        .isCloseTo(Math.log(1.8 + 0.4 / 15), within(1e-9));
    Check glow = Made.check("look", Measure.GLOW, 3, 3);
    assertThat(Likelihood.logOfAnything(glow, Math.log(0.02)))
        .isCloseTo(Math.log(0.012 + 0.1), within(1e-9));
  }

  /** No figure: the fuse of the lead blows where it must, but for slips, and nowhere else. */
  @Test
  void thatAFuseBlewIsAWord() {
    Check amps = Made.check("amps", Measure.AMPS, 1, 2);
    Reading blown = Reading.first(amps, NoFigure.BLOWN.si());
    assertThat(Likelihood.log(amps, NoFigure.BLOWN.si(), 2500, blown))
        .isCloseTo(Math.log(0.998), within(1e-9));
    assertThat(Likelihood.log(amps, 1.5, 0.1, blown)).isCloseTo(Math.log(0.002), within(1e-9));
    assertThat(Likelihood.log(amps, NoFigure.BLOWN.si(), 2500, Reading.first(amps, 1.5)))
        .isCloseTo(Math.log(0.002 / 20), within(1e-9));
  }

  @Test
  void howFarOffAReadingIs() {
    assertThat(Likelihood.off(VOLTS, 12.5, 0.1, 12.2)).isCloseTo(3, within(1e-9));
    assertThat(Likelihood.off(VOLTS, 12.2, 0.1, 12.5)).isCloseTo(3, within(1e-9));
    Check glow = Made.check("look", Measure.GLOW, 3, 3);
    assertThat(Likelihood.off(glow, 2.3, 0, 3)).isZero();
    assertThat(Likelihood.off(glow, 2.19, 0, 3)).isEqualTo(3);
    assertThat(Likelihood.off(glow, 1.21, 0, 3)).isEqualTo(3);
    assertThat(Likelihood.off(glow, 1.19, 0, 3)).isEqualTo(6);
  }
}
