package org.jexel.core.road;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class CoastDownTest {
  private static final double STEP_S = 1e-3;

  /** A rig that rolls out, step by step, by the law of Drag written here once more. */
  private static CoastDown rolled(
      double k, double vehicle, double trailer, double from, double to) {
    double mass = vehicle + trailer;
    double speed = from;
    double seconds = 0;
    while (speed > to) {
      speed -= k * (0.012 * mass * 9.80665 + 0.6 * 2.2 * speed * speed) / mass * STEP_S;
      seconds += STEP_S;
    }
    return new CoastDown(from, to, seconds, vehicle, trailer);
  }

  @Property(tries = 60)
  void whatARollingRigLosesIsFoundAgain(
      @ForAll @DoubleRange(min = 0.6, max = 3.5) double k,
      @ForAll @DoubleRange(min = 700, max = 3500) double trailer,
      @ForAll @DoubleRange(min = 11, max = 25) double from,
      @ForAll @DoubleRange(min = 0.6, max = 0.8) double left) {
    CoastDown rolled = rolled(k, 2300, trailer, from, from * left);
    assertThat(rolled.drag().orElseThrow().factor()).isCloseTo(k, within(0.03 * k));
    assertThat(rolled.drags()).isEqualTo(rolled.drag().orElseThrow().factor() > 2);
  }

  /** Twice the drag is taken twice off what the trailer braked with. */
  @Test
  void aStopIsHeldAgainstIt() {
    TestStop stop =
        new TestStop(
            6,
            TestStop.Way.LEVER,
            40 / 3.6,
            org.jexel.core.braking.Surface.DRY_ASPHALT,
            Outcome.FIRM,
            30.0,
            null,
            2400,
            2600,
            "");
    var usual = stop.analysed(org.jexel.core.braking.Drag.USUAL).orElseThrow();
    var found = rolled(2, 2400, 2600, 14, 11).drag().orElseThrow();
    // v²/(2d) of 5 000 kg
    double both = 40 / 3.6 * 40 / 3.6 / 60 * 5000;
    assertThat(both - stop.analysed(found).orElseThrow().trailerForce())
        .isCloseTo(2 * (both - usual.trailerForce()), within(15.0));
    assertThat(stop.gainStop(found).orElseThrow().share().orElseThrow())
        .isLessThan(
            stop.gainStop(org.jexel.core.braking.Drag.USUAL).orElseThrow().share().orElseThrow());
  }

  /** Rolled downhill, or with the brakes on. */
  @Test
  void whatNoRigDoesCountsForNothing() {
    assertThat(new CoastDown(14, 11, 60, 2300, 1900).drag()).isEmpty();
    assertThat(new CoastDown(14, 11, 2, 2300, 1900).drag()).isEmpty();
  }

  @Test
  void itIsKeptAsWritten() {
    CoastDown one = new CoastDown(13.889, 11.111, 12.34, 2300, 1900.5);
    assertThat(CoastDown.parse(one.text())).contains(one);
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "fast", "13 14 10 2300 1900", "13 11 0 2300 1900", "13 11 10 2300"})
  void otherWordsAreNone(String words) {
    assertThat(CoastDown.parse(words)).isEmpty();
  }
}
