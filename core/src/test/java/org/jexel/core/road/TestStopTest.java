package org.jexel.core.road;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.OptionalDouble;
import org.jexel.core.braking.Drag;
import org.jexel.core.braking.Stop;
import org.jexel.core.braking.Surface;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

/** What one stop tells, and the corners of the search that random rigs seldom meet. */
class TestStopTest {
  private static final GainScale HALVES = new GainScale(0, 10, 0.5);

  private static TestStop stop(
      TestStop.Way way, @Nullable Double metres, @Nullable Double seconds) {
    return new TestStop(
        6, way, 40 / 3.6, Surface.DRY_ASPHALT, Outcome.FIRM, metres, seconds, 2400, 2600, "");
  }

  /**
   * From 40 km/h in 30 m less 0.15 s of way: a = 2.179 m/s², less 670 N of drag z = 0.401; in 9 m
   * no tyre does it.
   */
  @Test
  void whatAStopMeasuredCountsForTheGainUnlessNoTyreGivesIt() {
    assertThat(share(30.0, null).orElseThrow()).isCloseTo(0.401, within(0.0005));
    assertThat(share(9.0, null)).isEmpty();
    assertThat(share(1.0, null)).as("shorter than the brakes take to come on").isEmpty();
  }

  /**
   * From 40 km/h in 5.25 s, 0.15 s of which the brakes take to come on: a = 11.11/5.1 = 2.179 m/s²,
   * as in 30 m. Where both were measured, the distance counts.
   */
  @Test
  void aStopThatWasTimedCountsAsOneOverItsDistance() {
    assertThat(share(null, 5.25).orElseThrow()).isCloseTo(0.401, within(0.002));
    assertThat(share(null, 0.15)).as("before the brakes are on").isEmpty();
    assertThat(share(30.0, 3.0).orElseThrow()).isCloseTo(0.401, within(0.002));
    assertThat(share(1.0, 5.25)).as("shorter than the brakes take to come on").isEmpty();
  }

  private static OptionalDouble share(@Nullable Double metres, @Nullable Double seconds) {
    return stop(TestStop.Way.LEVER, metres, seconds).gainStop(Drag.USUAL).orElseThrow().share();
  }

  /**
   * v²/(2d) = 123.5/60 m/s² on 5 000 kg is 10 288 N; rolling takes 0.012 · m · g = 588 N of it and
   * air on the mean 0.6 · 2.2 m² · v²/2 = 81 N; the rest over 2 600 kg · g.
   */
  @Test
  void aLeverStopOverADistanceTellsForceAndShare() {
    Stop told = stop(TestStop.Way.LEVER, 30.0, null).analysed(Drag.USUAL).orElseThrow();
    assertThat(told.deceleration()).isCloseTo(2.058, within(0.001));
    assertThat(told.trailerForce()).isCloseTo(9_618, within(1.0));
    assertThat(told.share()).isCloseTo(0.3772, within(0.0001));
  }

  @Test
  void aDistanceGoesBeforeATimeAndATimeIsEnough() {
    double byTime =
        stop(TestStop.Way.LEVER, null, 5.0).analysed(Drag.USUAL).orElseThrow().deceleration();
    assertThat(byTime).isCloseTo(2.222, within(0.001));
    assertThat(
            stop(TestStop.Way.LEVER, 30.0, 5.0).analysed(Drag.USUAL).orElseThrow().deceleration())
        .isCloseTo(2.058, within(0.001));
    assertThat(stop(TestStop.Way.LEVER, null, null).analysed(Drag.USUAL)).isEmpty();
  }

  @Test
  void aPedalStopTellsNoForceAndSaysNothingOfTheGain() {
    TestStop pedal = stop(TestStop.Way.PEDAL, 30.0, null);
    assertThat(pedal.analysed(Drag.USUAL).orElseThrow().trailerForce()).isNaN();
    assertThat(pedal.gainStop(Drag.USUAL)).isEmpty();
    assertThat(stop(TestStop.Way.LEVER, null, null).gainStop(Drag.USUAL))
        .contains(new GainStop(6, Outcome.FIRM));
  }

  @Test
  void aScaleMayBeginAboveZero() {
    GainScale odd = new GainScale(1, 9, 2);
    for (double mark : new double[] {1, 3, 5, 7, 9}) {
      assertThat(odd.isMark(mark)).as("mark " + mark).isTrue();
      assertThat(odd.down(mark)).isEqualTo(mark);
    }
    for (double none : new double[] {-1, 0, 2, 4.5, 8.9, 10, 11}) {
      assertThat(odd.isMark(none)).as("no mark " + none).isFalse();
    }
    assertThat(odd.down(4.99)).isEqualTo(3);
    assertThat(odd.down(0)).isEqualTo(1);
    assertThat(odd.down(100)).isEqualTo(9);
    assertThat(odd.middle()).isEqualTo(5);
    assertThat(new GainScale(2, 4, 2).middle()).isEqualTo(2);
    assertThatThrownBy(() -> new GainScale(-1, 4, 1)).hasMessageContaining("-1");
  }

  /** 2 m/s² on 5 000 kg less 670 N of drag, of 2 600 kg: z = 0.366, whatever distance was typed. */
  @Test
  void whatAnInstrumentToldGoesBeforeTheDistance() {
    TestStop read =
        new TestStop(
            6,
            TestStop.Way.LEVER,
            40 / 3.6,
            Surface.DRY_ASPHALT,
            Outcome.FIRM,
            100.0,
            null,
            2.0,
            2400,
            2600,
            "",
            Observed.NOTHING,
            false,
            Instant.EPOCH);
    assertThat(read.gainStop(Drag.USUAL).orElseThrow().share().orElseThrow())
        .isCloseTo(0.366, within(0.0005));
    assertThat(read.analysed(Drag.USUAL).orElseThrow().deceleration()).isEqualTo(2);
  }
}
