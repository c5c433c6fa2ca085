package org.jexel.core.road;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.assertj.core.data.Offset;
import org.jexel.core.braking.Surface;
import org.jexel.core.braking.Train;
import org.junit.jupiter.api.Test;

/**
 * A train whose figures are worked by hand: 2 000 kg in front of 2 000 kg, 1 800 kg of them on four
 * wheels 4 m behind the ball, each with a brake of 5 000 N that goes straight with its output.
 *
 * <pre>
 * z of a mark       4 · 5 000 N / 10 / (2 000 kg · 9.80665 m/s²)        = 0.10197
 * u of a mark       5 000 N / 10 / (1 800 kg · 9.80665 m/s² / 4)        = 0.11330
 * relief            (0.5 · 0.55 m + 0.45 m) / 4 m                       = 0.18125
 * relief of a mark  0.18125 · 20 000 N / 10 / (1 800 kg · 9.80665 m/s²) = 0.020536
 * </pre>
 */
class StrengthByHandTest {
  private static final GainScale TENTHS = new GainScale(0, 10, 1);
  private static final double Z = 0.10197;
  private static final double U = 0.11330;
  private static final double RELIEF = 0.020536;
  private static final double FULL_VOLTS = 12;
  private static final Offset<Double> CLOSE = within(1e-4);

  private static Train train() {
    return new Train(
        2000,
        2000,
        1800,
        4,
        4,
        IntStream.range(0, 4)
            .mapToObj(
                i -> new Train.Brake(i / 2, i % 2 == 0, new double[] {0, 0.5, 1}, false, 5000))
            .toList());
  }

  private static GainStop measured(double gain, double share) {
    return new GainStop(gain, Outcome.FIRM, OptionalDouble.of(share), false);
  }

  private static Optional<Calibration> calibrated(Surface surface, GainStop... stops) {
    return Calibration.of(train(), TENTHS, FULL_VOLTS, surface, List.of(stops));
  }

  @Test
  void theCurveOfATrainOnTheScale() {
    BrakeCurve curve = BrakeCurve.of(train(), TENTHS);
    assertThat(curve.marks()).containsExactly(1, 2, 3, 4, 5, 6, 7, 8, 9, 10);
    for (int i = 0; i < 10; i++) {
      assertThat(curve.shares()[i]).isCloseTo(Z * (i + 1), CLOSE);
      assertThat(curve.uses()[i]).isCloseTo(U * (i + 1), CLOSE);
      assertThat(curve.reliefs()[i]).isCloseTo(RELIEF * (i + 1), CLOSE);
    }
  }

  /** A scale that begins above zero has a mark there; off is none. */
  @Test
  void theLeastMarkIsOneWhereItIsNotOff() {
    BrakeCurve curve = BrakeCurve.of(train(), new GainScale(2, 10, 2));
    assertThat(curve.marks()).containsExactly(2, 4, 6, 8, 10);
    assertThat(curve.shares()[0]).isCloseTo(2 * Z, CLOSE);
    assertThat(curve.place(2)).isZero();
    assertThat(curve.place(6.9)).isEqualTo(2);
    assertThat(curve.place(7.1)).isEqualTo(3);
    assertThat(curve.place(40)).isEqualTo(4);
  }

  /**
   * 0.8 = s·U·g / (1 − s·R·g), so g = 0.8 / (s·(U + 0.8·R)): 6.17 of rated brakes, 7.71 of brakes
   * with 0.8 of that. Between marks it goes straight, which the curve's bend moves by a hundredth.
   */
  @Test
  void aLockLiesWhereAWheelAsksForItsGrip() {
    BrakeCurve curve = BrakeCurve.of(train(), TENTHS);
    assertThat(1 + curve.locksAt(1, 0.8)).isCloseTo(6.166, within(0.02));
    assertThat(1 + curve.locksAt(0.8, 0.8)).isCloseTo(7.708, within(0.02));
    assertThat(1 + curve.locksAt(1, 0.2)).isCloseTo(1.7035, within(0.02));
    assertThat(curve.locksAt(1, 0.05)).as("before the first mark").isBetween(-1.0, 0.0);
    double beyond = curve.locksAt(0.4, 0.8);
    assertThat(beyond).as("past the last").isGreaterThan(9);
    assertThat(curve.locksAt(0.3, 0.8)).as("weaker brakes, further past").isGreaterThan(beyond);
  }

  /** Seven tenths of the wheels' load lifted by brakes of 1/(10·R) times the rated is all of it. */
  @Test
  void wheelsThatAreLiftedOffLock() {
    BrakeCurve curve = BrakeCurve.of(train(), TENTHS);
    double lifts = 1 / RELIEF;
    assertThat(1 + curve.locksAt(lifts, 1000)).isLessThanOrEqualTo(1);
  }

  @Test
  void stopsGiveTheStrengthAndTheVoltsOfLockAndEvenPull() {
    Calibration found =
        calibrated(
                Surface.DRY_ASPHALT,
                measured(2, 2 * 0.8 * Z),
                measured(4, 4 * 0.8 * Z),
                measured(6, 6 * 0.8 * Z))
            .orElseThrow();
    assertThat(found.strength()).isCloseTo(0.8, CLOSE);
    assertThat(found.points().get(2).volts()).isCloseTo(7.2, CLOSE);
    assertThat(found.points().get(1).rated()).isCloseTo(4 * Z, CLOSE);
    assertThat(found.line().slope()).as("z for a volt").isCloseTo(0.8 * Z / 1.2, CLOSE);
    assertThat(found.line().offset()).isCloseTo(0, CLOSE);
    assertThat(found.lockVolts().orElseThrow()).isCloseTo(1.2 * 7.708, within(0.03));
    assertThat(found.evenVolts().orElseThrow())
        .as("4 m/s² on a line of 0.06798 for a volt")
        .isCloseTo(4 / 9.80665 / 0.06798, within(0.01));
    assertThat(found.sum().si()).as("in the middle, at 4.8 V").isCloseTo(4 * 0.8 * Z, CLOSE);
  }

  /** Brakes with a threshold: the line does not go through zero, and even pull knows it. */
  @Test
  void theLineBeginsWhereTheBrakesBegin() {
    Calibration found =
        calibrated(
                Surface.DRY_ASPHALT,
                measured(4, 0.10 * 4.8 - 0.2),
                measured(5, 0.10 * 6.0 - 0.2),
                measured(6, 0.10 * 7.2 - 0.2))
            .orElseThrow();
    assertThat(found.line().offset()).isCloseTo(-0.2, CLOSE);
    assertThat(found.evenVolts().orElseThrow())
        .isCloseTo((4 / 9.80665 + 0.2) / 0.10, within(0.001));
  }

  @Test
  void whatFullOutputDoesNotReachIsNotSaid() {
    Calibration weak =
        calibrated(
                Surface.DRY_ASPHALT,
                measured(4, 4 * 0.3 * Z),
                measured(6, 6 * 0.3 * Z),
                measured(8, 8 * 0.3 * Z))
            .orElseThrow();
    assertThat(weak.strength()).isCloseTo(0.3, CLOSE);
    assertThat(weak.lockVolts()).isEmpty();
    assertThat(weak.evenVolts()).isEmpty();
    Calibration snow =
        calibrated(
                Surface.PACKED_SNOW,
                measured(4, 4 * 0.3 * Z),
                measured(6, 6 * 0.3 * Z),
                measured(8, 8 * 0.3 * Z))
            .orElseThrow();
    assertThat(snow.lockVolts().orElseThrow())
        .as("0.2 / (0.3 · (U + 0.2 · R)) of the scale")
        .isCloseTo(1.2 * 0.2 / (0.3 * (U + 0.2 * RELIEF)), within(0.03));
  }

  /** One stop of five that is far off moves neither the line nor the strength. */
  @Test
  void onlyWarmMeasuredStopsThatDidNotLockCount() {
    List<GainStop> good = new ArrayList<>();
    for (double gain : new double[] {2, 4, 6}) {
      good.add(measured(gain, gain * Z));
    }
    GainStop cold = new GainStop(3, Outcome.FIRM, OptionalDouble.of(0.01), true);
    GainStop slid = new GainStop(7, Outcome.LOCKED, OptionalDouble.of(0.01), false);
    GainStop unmeasured = new GainStop(8, Outcome.FIRM);
    List<GainStop> all = new ArrayList<>(good);
    all.addAll(List.of(cold, slid, unmeasured));
    assertThat(
            Calibration.of(train(), TENTHS, FULL_VOLTS, Surface.DRY_ASPHALT, all)
                .orElseThrow()
                .points())
        .hasSize(3);
    all.add(measured(5, 0.9));
    all.add(measured(8, 8 * Z));
    assertThat(
            Calibration.of(train(), TENTHS, FULL_VOLTS, Surface.DRY_ASPHALT, all)
                .orElseThrow()
                .strength())
        .isCloseTo(1, CLOSE);
  }

  @Test
  void tooFewStopsOneGainOrAFallingLineSayNothing() {
    assertThat(calibrated(Surface.DRY_ASPHALT, measured(2, 2 * Z), measured(4, 4 * Z))).isEmpty();
    assertThat(
            calibrated(
                Surface.DRY_ASPHALT, measured(4, 0.40), measured(4, 0.41), measured(4, 0.42)))
        .isEmpty();
    assertThat(
            calibrated(
                Surface.DRY_ASPHALT, measured(4, 0.40), measured(4, 0.41), measured(5, 0.52)))
        .isPresent();
    assertThat(
            calibrated(Surface.DRY_ASPHALT, measured(2, 0.4), measured(4, 0.3), measured(6, 0.2)))
        .isEmpty();
    assertThat(
            calibrated(Surface.DRY_ASPHALT, measured(2, 0.3), measured(4, 0.3), measured(6, 0.3)))
        .as("level")
        .isEmpty();
  }

  /** A mark that puts nothing out says nothing of the brakes' strength. */
  @Test
  void aMarkWithoutOutputIsNoMeasureOfStrength() {
    GainScale late = TENTHS.with(List.of(new GainScale.Share(2, 0), new GainScale.Share(10, 1)));
    Calibration found =
        Calibration.of(
                train(),
                late,
                FULL_VOLTS,
                Surface.DRY_ASPHALT,
                List.of(measured(2, 0.01), measured(6, 0.5 * 10 * Z), measured(8, 0.75 * 10 * Z)))
            .orElseThrow();
    assertThat(found.strength()).isCloseTo(1, CLOSE);
  }
}
