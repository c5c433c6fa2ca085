package org.jexel.core.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.function.DoubleFunction;
import org.jexel.core.Rigs;
import org.jexel.core.bench.Stand;
import org.jexel.core.harness.Harness;
import org.jexel.core.network.RigNetwork;
import org.jexel.core.network.RigState;
import org.jexel.core.network.Solution;
import org.jexel.core.network.StateWord;
import org.jexel.core.quantity.UnitSystem;
import org.jexel.core.rig.Rig;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Readings of the brakes at less than full output. */
class PartOutputTest {
  private static final Rig RIG = Rigs.twoAxles();
  private static final Harness HARNESS = Stand.harness(RIG);
  private static final List<Check> CHECKS = CheckSheet.of(RIG, HARNESS, OptionalDouble.of(12.6));
  private static final double FULL = 11;

  /** The network itself, at a lower gain, says that the law holds. */
  @ParameterizedTest
  @ValueSource(doubles = {0.3, 0.6, 0.9})
  void whatIsReadAtPartOutputComesToWhatFullOutputGives(double gain) {
    Solution part =
        RigNetwork.of(RIG, HARNESS, RigState.of(StateWord.LEVER).withGain(gain)).network().solve();
    double pin = read(part, PartOutput.FULL);
    double full = check(PartOutput.FULL).band().expected();
    assertThat(pin).isLessThan(0.95 * full);
    int looked = 0;
    for (Check check : CHECKS) {
      if (PartOutput.fits(check)) {
        assertThat(PartOutput.atFull(read(part, check.id()), pin, full))
            .as(check.id())
            .isCloseTo(check.band().expected(), within(0.002 * check.band().expected()));
        looked++;
      }
    }
    assertThat(looked).as("pin, current, each magnet's two").isGreaterThanOrEqualTo(2 + 4 * 2);
  }

  private static Check check(String id) {
    return CHECKS.stream().filter(c -> c.id().equals(id)).findFirst().orElseThrow();
  }

  private static double read(Solution solution, String id) {
    return check(id).probing().read(solution);
  }

  /** Measured from gain 1 on: a volt a step, and one more. */
  private static final DoubleFunction<OptionalDouble> BY_GAIN =
      gain -> gain >= 1 ? OptionalDouble.of(1 + gain) : OptionalDouble.empty();

  @Test
  void aGainIsTheVoltsThatWereMeasuredAtIt() {
    assertThat(
            PartOutput.of("2.1 A at gain 6.5", FULL, BY_GAIN, UnitSystem.METRIC)
                .orElseThrow()
                .volts())
        .isEqualTo(7.5);
    assertThatThrownBy(() -> PartOutput.of("2 at gain 0.5", FULL, BY_GAIN, UnitSystem.METRIC))
        .hasMessageContaining("was not measured yet");
    assertThatThrownBy(() -> PartOutput.of("2 at gain x", FULL, BY_GAIN, UnitSystem.METRIC))
        .hasMessageContaining("such as gain 5");
  }

  @Test
  void onlyWhatTheOutputMovesIsReadAtAnyOutput() {
    assertThat(PartOutput.fits(check("brake.resistance"))).isFalse();
    assertThat(PartOutput.fits(check("brake.unasked"))).isFalse();
    assertThat(PartOutput.fits(check("breakaway.pulled"))).isFalse();
    assertThat(PartOutput.fits(check("loaded.tail"))).isFalse();
  }

  @ParameterizedTest
  @CsvSource({
    "2.1, 7.4, 2.1, 7.4",
    "2.1 A, 7.4 V, 2.1 A, 7.4",
    "2.1 A, 60 %, 2.1 A, 6.6",
    "'2,1', '60%', '2,1', 6.6"
  })
  void theOutputIsVoltsAtThePinOrAShare(String reading, String output, String alone, double volts) {
    PartOutput part =
        PartOutput.of(PartOutput.typed(reading, output), FULL, BY_GAIN, UnitSystem.US)
            .orElseThrow();
    assertThat(part.reading()).isEqualTo(alone);
    assertThat(part.volts()).isCloseTo(volts, within(1e-9));
  }

  @Test
  void noOutputIsFullOutput() {
    assertThat(PartOutput.typed("2.1", " ")).isEqualTo("2.1");
    assertThat(PartOutput.of("2.1 A", FULL, BY_GAIN, UnitSystem.METRIC)).isEmpty();
  }

  @ParameterizedTest
  @CsvSource({"1.9, too little", "15 %, too little", "11.7, engine running", "much, such as 7.4 V"})
  void anOutputThatSaysNothingIsRefusedWithItsReason(String output, String reason) {
    String typed = PartOutput.typed("2.1", output);
    assertThatThrownBy(() -> PartOutput.of(typed, FULL, BY_GAIN, UnitSystem.METRIC))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining(reason);
    assertThat(typed.toLowerCase(Locale.ROOT)).endsWith(output);
  }
}
