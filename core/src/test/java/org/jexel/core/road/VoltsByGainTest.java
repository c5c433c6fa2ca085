package org.jexel.core.road;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.jexel.core.braking.Train;
import org.junit.jupiter.api.Test;

/** What a controller really puts out. */
class VoltsByGainTest {
  private static VoltsByGain.Reading at(double gain, double volts) {
    return new VoltsByGain.Reading(gain, volts);
  }

  @Property(tries = 100)
  void oneWrongReadingOfSevenMovesTheLineLittleAndIsNamed(
      @ForAll long seed,
      @ForAll @DoubleRange(min = 0.7, max = 1.2) double slope,
      @ForAll @IntRange(min = 0, max = 6) int wrong,
      @ForAll @DoubleRange(min = 1.5, max = 4) double off) {
    Random dice = new Random(seed);
    List<VoltsByGain.Reading> read = new ArrayList<>();
    for (int i = 0; i < 7; i++) {
      double gain = 1 + 1.5 * i;
      double noise = 0.1 * (dice.nextDouble() - 0.5);
      read.add(at(gain, 0.3 + slope * gain + noise + (i == wrong ? off : 0)));
    }
    VoltsByGain line = VoltsByGain.of(read);
    assertThat(line.slope()).isCloseTo(slope, within(0.05));
    assertThat(line.offset()).isCloseTo(0.3, within(0.3));
    assertThat(IntStream.range(0, 7).filter(line::odd)).containsExactly(wrong);
    assertThat(line.curve()).hasSize(6).extracting(VoltsByGain.Reading::gain).isSorted();
  }

  @Test
  void whatIsKeptNeverFallsAndIsTheMeanOfEachGain() {
    VoltsByGain line =
        VoltsByGain.of(List.of(at(2, 2.1), at(2, 1.9), at(4, 4.1), at(6, 4.0), at(8, 8)));
    assertThat(line.curve()).extracting(VoltsByGain.Reading::gain).startsWith(2.0, 4.0);
    assertThat(line.curve().get(0).volts()).isCloseTo(2.0, within(1e-12));
    assertThat(line.curve()).extracting(VoltsByGain.Reading::volts).isSorted();
  }

  @Test
  void twoGainsMakeNoLine() {
    List<VoltsByGain.Reading> two = List.of(at(2, 2), at(4, 4), at(4, 4.1));
    assertThat(VoltsByGain.gains(two)).isEqualTo(2);
    assertThatThrownBy(() -> VoltsByGain.of(two)).hasMessageContaining("make no line");
  }

  /** Half of the way from off to the first mark, between two marks, and beyond the last. */
  @Test
  void aScaleGoesByWhatWasMeasuredOfIt() {
    GainScale straight = new GainScale(0, 10, 0.5);
    GainScale bent =
        straight.with(List.of(new GainScale.Share(4, 0.2), new GainScale.Share(8, 0.9)));
    assertThat(straight.share(6)).isEqualTo(0.6);
    assertThat(bent.share(0)).isZero();
    assertThat(bent.share(2)).isCloseTo(0.1, within(1e-12));
    assertThat(bent.share(6)).isCloseTo(0.55, within(1e-12));
    assertThat(bent.share(10)).isCloseTo(0.9, within(1e-12));
    assertThat(straight.with(List.of(new GainScale.Share(10, 1.04))).share(10)).isEqualTo(1);
    Train train = RigTrain.ofPlates(2300, 1900, 2, 2, 1600);
    double[] weak = BrakeCurve.of(train, bent).shares();
    double[] even = BrakeCurve.of(train, straight).shares();
    assertThat(weak[7]).as("gain 4").isLessThan(even[7]);
    assertThat(weak[15]).as("gain 8").isGreaterThan(even[15]);
  }
}
