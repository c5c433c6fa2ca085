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
      @ForAll("said") Measure measure, @ForAll @DoubleRange(min = 0, max = 1) double where) {
    int last = measure.words().size() - 1;
    double sum = 0;
    for (int word = 0; word <= last; word++) {
      double share = Likelihood.word(measure, where * last, word);
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
    "PLAY, 0, 1, 0.0082",
    "MAGNET_FACE, 0, 2, 0.0002",
    "HUMMING, 1, 0, 0.0460",
    "MOVING, 1, 1, 0.9",
    "MOVING, 1, 0, 0.1",
    "MOVING, 0, 1, 0.0002",
    "MOVING, 0, 0, 0.9998"
  })
  void whatIsSaidOfWhatThereIs(Measure measure, double truth, double said, double share) {
    assertThat(Likelihood.word(measure, truth, said)).isCloseTo(share, within(2e-4));
    Check check = Made.check("look", measure, 0, 1);
    assertThat(Likelihood.log(check, truth, 0, said))
        .isCloseTo(Math.log(Likelihood.word(measure, truth, said)), within(1e-12));
  }

  /** A normal density, and one in 500 anywhere within 15 V or 20 A. */
  @Test
  void aFigureIsNormalButForSlips() {
    double top = 0.998 / (0.1 * Math.sqrt(2 * Math.PI));
    assertThat(Likelihood.log(VOLTS, 12.5, 0.1, 12.5))
        .isCloseTo(Math.log(top + 0.002 / 15), within(1e-9));
    assertThat(Likelihood.log(VOLTS, 12.5, 0.1, 12.3))
        .isCloseTo(Math.log(top * Math.exp(-2) + 0.002 / 15), within(1e-9));
    assertThat(Likelihood.log(VOLTS, 12.5, 0.1, 2)).isCloseTo(Math.log(0.002 / 15), within(1e-9));
    assertThat(Likelihood.log(Made.check("amps", Measure.AMPS, 1, 2), 1, 0.1, 15))
        .isCloseTo(Math.log(0.002 / 20), within(1e-9));
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
