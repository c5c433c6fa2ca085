package org.jexel.core.trace;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

/** Stops are found in a recording, whatever the instrument, as they were really braked. */
class TraceTest {
  private static void found(Trace trace, Drive drive, double percent) {
    List<BrakePhase> phases = BrakePhase.all(trace);
    assertThat(phases).hasSameSizeAs(drive.stops);
    for (int i = 0; i < phases.size(); i++) {
      Drive.Truth truth = drive.stops.get(i);
      BrakePhase phase = phases.get(i);
      assertThat(phase.stands()).isTrue();
      assertThat(phase.from()).isCloseTo(truth.from(), within(0.35));
      assertThat(phase.deceleration()).isCloseTo(truth.deceleration(), withinPercentage(percent));
      assertThat(phase.speed()).isCloseTo(truth.speed(), withinPercentage(percent));
      assertThat(phase.distance()).isCloseTo(truth.distance(), withinPercentage(2 * percent + 4));
    }
  }

  /** Lain anyhow, shaken, and in either unit. */
  @Property(tries = 40)
  void anAccelerometerMayLieAnyhow(
      @ForAll long seed,
      @ForAll @DoubleRange(min = 1.4, max = 6) double one,
      @ForAll @DoubleRange(min = 1.4, max = 6) double two,
      @ForAll @DoubleRange(min = 8, max = 14) double speed) {
    Drive drive = new Drive(50, speed, one, two);
    Random dice = new Random(seed);
    double unit = dice.nextBoolean() ? 1 : Drive.GRAVITY;
    Trace trace = Trace.ofAxes(drive.seconds, drive.axes(dice, 0.25, unit));
    assertThat(trace.notes()).contains("Gravity was taken out.");
    found(trace, drive, 5);
  }

  /** On a wavy road it goes up and down by more than it brakes: that is no way along it. */
  @Property(tries = 20)
  void whatHeavesIsNotTheWayAlongTheRoad(@ForAll long seed) {
    Drive drive = new Drive(50, 12, 3, 2.5);
    found(
        Trace.ofAxes(drive.seconds, drive.axes(new Random(seed), 0.25, 4, Drive.GRAVITY)),
        drive,
        6);
  }

  /** Slowed down again and again, gently speeding up between: no stand tells the two apart. */
  @Property(tries = 20)
  void brakingsThatNeverEndStandingAreBrakings(@ForAll long seed) {
    Random dice = new Random(seed);
    double[] seconds = IntStream.range(0, 36_000).mapToDouble(i -> i / 100.0).toArray();
    double[][] axes = new double[2][seconds.length];
    for (int i = 0; i < seconds.length; i++) {
      axes[0][i] = (i % 3000 > 2000 && i % 3000 < 2500 ? -2.2 : 0.3) + 0.3 * dice.nextGaussian();
      axes[1][i] = 0.3 * dice.nextGaussian();
    }
    assertThat(BrakePhase.all(Trace.ofAxes(seconds, axes))).hasSize(12);
  }

  @Property(tries = 40)
  void speedOverTimeTellsTheSame(
      @ForAll long seed,
      @ForAll @DoubleRange(min = 1.4, max = 6) double one,
      @ForAll @DoubleRange(min = 8, max = 14) double speed) {
    Drive drive = new Drive(10, speed, one, 2.5);
    Random dice = new Random(seed);
    double[] read =
        Arrays.stream(drive.speed).map(v -> Math.max(0, v + 0.03 * dice.nextGaussian())).toArray();
    found(Trace.ofSpeed(drive.seconds, read), drive, 5);
  }

  /** One fix a second is all that a place gives. */
  @Test
  void oneSampleASecondTellsTheStopRoughly() {
    Drive drive = new Drive(1, 12, 2.4, 3.0);
    List<BrakePhase> phases = BrakePhase.all(Trace.ofSpeed(drive.seconds, drive.speed));
    assertThat(phases).hasSize(2);
    assertThat(phases.get(0).deceleration()).isCloseTo(2.4, within(0.4));
    assertThat(phases.get(0).speed()).isCloseTo(12, within(1.5));
  }

  @Test
  void whatRollsOnTellsNoSpeedUnlessItWasRecorded() {
    double[] t = IntStream.range(0, 1000).mapToDouble(i -> i / 50.0).toArray();
    double[] a = new double[1000];
    for (int i = 0; i < 1000; i++) {
      a[i] = i >= 400 && i < 550 ? 2 : i >= 550 && i < 640 ? -1.6 : 0;
    }
    BrakePhase part = BrakePhase.all(Trace.ofAxes(t, a)).get(0);
    assertThat(part.stands()).isFalse();
    assertThat(part.speed()).isNaN();
    assertThat(part.distance()).isNaN();
    assertThat(part.deceleration()).isCloseTo(2, within(0.1));
  }

  @Test
  void aPartIsChosenByHandAndNotAcrossAGap() {
    Drive drive = new Drive(20, 11, 3);
    Trace whole = Trace.ofSpeed(drive.seconds, drive.speed);
    double from = drive.stops.get(0).from();
    assertThat(BrakePhase.of(whole, from + 0.5, from + 2.5).deceleration())
        .isCloseTo(3, within(0.05));
    assertThatThrownBy(() -> BrakePhase.of(whole, from, from + 0.4))
        .hasMessageContaining("at least one second");
    int[] kept =
        IntStream.range(0, drive.seconds.length)
            .filter(i -> drive.seconds[i] < from + 1 || drive.seconds[i] > from + 2.6)
            .toArray();
    Trace torn =
        Trace.ofSpeed(
            Arrays.stream(kept).mapToDouble(i -> drive.seconds[i]).toArray(),
            Arrays.stream(kept).mapToDouble(i -> drive.speed[i]).toArray());
    assertThat(torn.notes()).anyMatch(note -> note.startsWith("1 gap in the recording"));
    assertThat(BrakePhase.all(torn)).isEmpty();
    assertThatThrownBy(() -> BrakePhase.of(torn, from, from + 3)).hasMessageContaining("A gap");
  }

  @Test
  void whatIsNoDriveIsToldInWords() {
    double[] t = IntStream.range(0, 100).mapToDouble(i -> i / 10.0).toArray();
    assertThatThrownBy(() -> Trace.ofSpeed(new double[] {1, 2}, new double[] {1, 2}))
        .hasMessageContaining("Only 2 rows");
    double[] back = t.clone();
    back[50] = 1;
    assertThatThrownBy(() -> Trace.ofSpeed(back, t))
        .hasMessageContaining("does not rise at row 51");
    double[] same = new double[100];
    assertThatThrownBy(() -> Trace.ofAxes(t, same, same)).hasMessageContaining("no braking at all");
    double[] heavy = new double[100];
    Arrays.fill(heavy, 7);
    assertThatThrownBy(() -> Trace.ofAxes(t, heavy, same)).hasMessageContaining("gravity is 9.8");
  }

  /** However few columns: the hardest braking stays in the drawing, and the order of time. */
  @Property(tries = 60)
  void thinningLosesNoPeak(@ForAll long seed, @ForAll @DoubleRange(min = 1, max = 300) double few) {
    Random dice = new Random(seed);
    int n = 200 + dice.nextInt(2000);
    double[] t = new double[n];
    double[] a = new double[n];
    for (int i = 0; i < n; i++) {
      t[i] = (i == 0 ? 0 : t[i - 1]) + 0.005 + dice.nextDouble() / 50;
      a[i] = 5 * dice.nextGaussian();
    }
    Trace trace = Trace.ofAxes(t, a);
    List<Thinned.Point> points = Thinned.of(trace, t[0], t[n - 1], (int) few);
    assertThat(points).hasSizeLessThanOrEqualTo(4 * (int) few);
    assertThat(points.stream().mapToDouble(Thinned.Point::deceleration).max())
        .isEqualTo(IntStream.range(0, n).mapToDouble(trace::deceleration).max());
    assertThat(points.stream().mapToDouble(Thinned.Point::deceleration).min())
        .isEqualTo(IntStream.range(0, n).mapToDouble(trace::deceleration).min());
    assertThat(points.stream().mapToDouble(Thinned.Point::seconds).toArray()).isSorted();
  }

  /** A step of 3 from one place to another, in noise. */
  private record Step(double[] values, int from, int to) {
    static Step drawn(Random dice, double noise) {
      double[] values = new double[24];
      int from = 3 + dice.nextInt(8);
      int to = from + 2 + dice.nextInt(10);
      for (int i = 0; i < values.length; i++) {
        values[i] = (i >= from && i <= to ? 3 : 0) + noise * dice.nextGaussian();
      }
      return new Step(values, from, to);
    }
  }

  /** Against every pair whose middle slows down, in noise that hides the step at times as well. */
  @Property(tries = 60)
  void theChangePointsAreTheBestPair(
      @ForAll long seed, @ForAll @DoubleRange(min = 0.1, max = 1.5) double noise) {
    double[] values = Step.drawn(new Random(seed), noise).values;
    int[] found = BrakePhase.changes(values);
    double least = Double.POSITIVE_INFINITY;
    for (int i = 0; i < values.length - 1; i++) {
      for (int j = i + 1; j < values.length; j++) {
        if (Arrays.stream(values, i, j + 1).sum() > 0) {
          least = Math.min(least, squares(values, i, j));
        }
      }
    }
    assertThat(squares(values, found[0], found[1])).isCloseTo(least, within(1e-9));
  }

  /** The step itself, where no value lies nearer to its other side: seven deviations off. */
  @Property(tries = 60)
  void aStepThatNoNoiseHidesIsFoundToItsPlace(@ForAll long seed) {
    Step step = Step.drawn(new Random(seed), 0.2);
    assertThat(BrakePhase.changes(step.values)).containsExactly(step.from, step.to);
  }

  private static double squares(double[] values, int i, int j) {
    return about(values, 0, i) + about(values, i, j + 1) + about(values, j + 1, values.length);
  }

  private static double about(double[] values, int from, int to) {
    double mean = IntStream.range(from, to).mapToDouble(i -> values[i]).average().orElse(0);
    return IntStream.range(from, to).mapToDouble(i -> Math.pow(values[i] - mean, 2)).sum();
  }
}
