package org.jexel.core.braking;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;

class StopRunTest {
  private static final double G = 9.80665;
  private static final double[] TO_THREE_AMPS = {0, 0.8, 1.6, 2.4, 3.2};

  /** One axle, two wheels, everything on it but a tenth. */
  private static Train train(double vehicle, double trailer, double force) {
    return new Train(vehicle, trailer, 0.9 * trailer, 3.5, 2, brakes(force, force));
  }

  private static List<Train.Brake> brakes(double left, double right) {
    return List.of(
        new Train.Brake(0, true, TO_THREE_AMPS, true, left),
        new Train.Brake(0, false, TO_THREE_AMPS, true, right));
  }

  private static Drive pedal(double speed, Surface surface, double asked, Control control) {
    return new Drive(speed, surface, surface, 0, asked, 0, control);
  }

  private static Control inertia(double gain) {
    return Control.of(Control.Law.INERTIA, gain);
  }

  @Test
  void withoutTrailerBrakesTheWayIsTheOneOfAConstantForceAndAir() {
    // (m_v + m_t)·dv/dt = −(A + B·v²) has the way m/(2·B)·ln(1 + B·v0²/A).
    StopRun run =
        StopRun.of(train(2000, 1500, 5000), pedal(25, Surface.DRY_ASPHALT, 6, inertia(0)));
    double a = 6 * 2000 + 0.012 * 3500 * G;
    double b = 0.6 * (1.0 + 1.2);
    double metres = 3500 / (2 * b) * Math.log(1 + b * 625 / a);
    double seconds = 3500 / Math.sqrt(a * b) * Math.atan(25 * Math.sqrt(b / a));
    assertThat(run.metres()).isCloseTo(metres, within(1e-5));
    assertThat(run.seconds()).isCloseTo(seconds, within(1e-5));
    assertThat(run.stands()).isTrue();
    for (StopRun.Moment moment : run.series()) {
      double drag = 0.012 * 1500 * G + 0.72 * moment.speed() * moment.speed();
      double pushed = 1500 * moment.deceleration() - drag;
      assertThat(moment.coupler()).isCloseTo(pushed, within(1e-9 * pushed));
    }
  }

  @Test
  void aVehicleAsksForNoMoreThanItsTyresGive() {
    StopRun run =
        StopRun.of(train(2000, 1500, 5000), pedal(20, Surface.PACKED_SNOW, 6, inertia(0)));
    assertThat(run.series().get(0).vehicle()).isCloseTo(0.20 * 2000 * G, within(1e-9));
  }

  @Property(tries = 60)
  void whatTheMotionLosesIsWhatBrakesDragAndSlopeTake(
      @ForAll @DoubleRange(min = 900, max = 3500) double vehicle,
      @ForAll @DoubleRange(min = 300, max = 3500) double trailer,
      @ForAll @DoubleRange(min = 5, max = 30) double speed,
      @ForAll @DoubleRange(min = -0.05, max = 0.15) double slope,
      @ForAll @DoubleRange(min = 0, max = 1) double gain,
      @ForAll @IntRange(min = 0, max = 2) int law,
      @ForAll Surface surface) {
    Control control = Control.of(Control.Law.values()[law], gain);
    Drive drive = new Drive(speed, surface, Surface.GRAVEL, slope, 4, 0, control);
    Train train = train(vehicle, trailer, trailer * 4);
    StopRun run = StopRun.of(train, drive);
    StopRun.Work work = run.work();
    // What turns a kinetic energy of its own into heat: from the forces of the series, apart.
    double heat = 0;
    for (int i = 1; i < run.series().size(); i++) {
      StopRun.Moment was = run.series().get(i - 1);
      StopRun.Moment is = run.series().get(i);
      double way = is.metres() - was.metres();
      heat += way * (was.trailer() + was.vehicle() + is.trailer() + is.vehicle()) / 2;
    }
    double taken = work.trailer() + work.vehicle() + work.drag() + work.slope();
    assertThat(taken).isCloseTo(work.lost(), within(0.001 * work.lost()));
    assertThat(heat).isCloseTo(work.trailer() + work.vehicle(), within(0.02 * work.lost()));
    StopRun finer = StopRun.of(train, drive, 0.5e-8);
    assertThat(finer.metres()).isCloseTo(run.metres(), within(0.001));
  }

  @Test
  void aWheelSlidesOnceItsBrakeAsksForMoreThanItsTyreGives() {
    Train train = train(2000, 1500, 7000);
    StopRun run = StopRun.of(train, Drive.lever(12, Surface.DRY_ASPHALT, 1));
    assertThat(run.locks()).extracting(StopRun.Lock::brake).containsExactly(0, 1);
    // Before it slides the relief of its load follows the force: T = μ·(W/2 − k·T) a wheel.
    double relief = (1500 / 3500.0 * 0.55 + 0.45) / 3.5;
    double carried = 0.9 * 1500 * G / 2;
    double drag = (0.012 * 3500 * G + 1.32 * 144) * 1500 / 3500.0 * 0.55 / 3.5 / 2;
    double at = 0.8 * (carried - drag) / (1 + 0.8 * relief);
    double amps = 0.3 + 2.9 * at / 7000;
    double seconds = -0.15 * Math.log(1 - amps / 3.2);
    assertThat(run.locks().get(0).seconds()).isCloseTo(seconds, within(2e-3));
    StopRun.Moment later = run.series().get(run.series().size() / 2);
    assertThat(later.slides(0)).isTrue();
    assertThat(later.trailer()).isLessThan(0.65 * 0.9 * 1500 * G);
  }

  @Test
  void aSlipperySideSlidesAlone() {
    Drive split = new Drive(12, Surface.DRY_ASPHALT, Surface.PACKED_SNOW, 0, 0, 1, inertia(1));
    StopRun run = StopRun.of(train(2000, 1500, 4000), split);
    assertThat(run.locks()).extracting(StopRun.Lock::brake).containsExactly(1);
  }

  @Test
  void ofAWeakAndAStrongBrakeTheStrongOneSlides() {
    Train train = new Train(2000, 1500, 1350, 3.5, 2, brakes(3000, 8000));
    StopRun run = StopRun.of(train, Drive.lever(12, Surface.DRY_ASPHALT, 1));
    assertThat(run.locks()).extracting(StopRun.Lock::brake).containsExactly(1);
  }

  @Test
  void noLawEasesABrakeSoFarThatItsWheelTurnsAgain() {
    Train heavy = train(900, 3500, 13_500);
    for (Surface surface : Surface.values()) {
      for (Control.Law law : Control.Law.values()) {
        Control control = new Control(law, 1, 0.2, 0, 0);
        StopRun run = StopRun.of(heavy, pedal(20, surface, 5, control));
        for (StopRun.Lock lock : run.locks()) {
          assertThat(run.series())
              .filteredOn(m -> m.seconds() > lock.seconds())
              .allMatch(m -> m.slides(lock.brake()));
        }
      }
    }
  }

  @Test
  void moreGainStopsSoonerUntilItSlides() {
    double[] ways =
        IntStream.rangeClosed(1, 4)
            .mapToDouble(
                k ->
                    StopRun.of(
                            train(2000, 1500, 4000),
                            pedal(22, Surface.DRY_ASPHALT, 5, inertia(k / 4.0)))
                        .metres())
            .toArray();
    assertThat(ways[0]).isGreaterThan(ways[1]);
    assertThat(ways[1]).isGreaterThan(ways[2]);
    assertThat(ways[2]).isGreaterThan(ways[3]);
  }

  @Test
  void aRiseStopsSoonerAndAFallThatNothingHoldsNever() {
    Train train = train(2000, 1500, 4000);
    Drive up = new Drive(12, Surface.DRY_ASPHALT, Surface.DRY_ASPHALT, 0.08, 0, 1, inertia(0.5));
    Drive down = new Drive(12, Surface.DRY_ASPHALT, Surface.DRY_ASPHALT, -0.08, 0, 1, inertia(0));
    Drive level = Drive.lever(12, Surface.DRY_ASPHALT, 0.5);
    assertThat(StopRun.of(train, up).metres()).isLessThan(StopRun.of(train, level).metres());
    StopRun run = StopRun.of(train, down);
    assertThat(run.stands()).isFalse();
    assertThat(run.seconds()).isEqualTo(60);
    assertThat(run.series().get(run.series().size() - 1).speed()).isGreaterThan(12);
  }

  @Test
  void aControllerTurnedAsideFeelsLessAndOneNoseUpMore() {
    Control aside = new Control(Control.Law.INERTIA, 1, 0, Math.toRadians(30), 0);
    Control nose = new Control(Control.Law.INERTIA, 1, 0, 0, Math.toRadians(10));
    assertThat(aside.output(0, 3, 4, 0))
        .isCloseTo(3 * Math.cos(Math.PI / 6) / (0.6 * G), within(1e-12));
    assertThat(nose.output(0, 0, 4, 0))
        .isCloseTo(Math.sin(Math.toRadians(10)) / 0.6, within(1e-12));
    assertThat(nose.output(0, 0, 0, 0)).isZero();
  }

  @Test
  void theGreaterOfPedalAndLeverWinsAndGainScalesBoth() {
    Control timed = Control.of(Control.Law.TIMED, 0.5);
    assertThat(timed.output(0.75, 0, 3, 0)).isCloseTo(0.25, within(1e-12));
    assertThat(timed.output(0.75, 0, 3, 0.8)).isCloseTo(0.4, within(1e-12));
    assertThat(timed.output(9, 0, 3, 0)).isCloseTo(0.5, within(1e-12));
    assertThat(Control.of(Control.Law.PEDAL, 1).output(0, 0, 0.3 * G, 0))
        .isCloseTo(0.5, within(1e-12));
  }

  /** Its axles so near to the coupling that a hard stop lifts them. */
  @Test
  @Timeout(value = 20, threadMode = Timeout.ThreadMode.SEPARATE_THREAD)
  void wheelsThatTheRoadDoesNotBearNeitherBrakeNorHoldTheStopUp() {
    Train lifted = new Train(2000, 1500, 0.9 * 1500, 0.2, 2, brakes(4000, 4000));
    StopRun alone = StopRun.of(lifted, pedal(20, Surface.DRY_ASPHALT, 8, inertia(0)));
    assertThat(alone.stands()).isTrue();
    assertThat(alone.locks()).as("nothing is asked of them").isEmpty();
    assertThat(alone.seconds())
        .isCloseTo(
            StopRun.of(train(2000, 1500, 4000), pedal(20, Surface.DRY_ASPHALT, 8, inertia(0)))
                .seconds(),
            within(1e-6));
    StopRun braked = StopRun.of(lifted, pedal(20, Surface.DRY_ASPHALT, 8, inertia(1)));
    assertThat(braked.locks()).as("they slide as soon as something is").hasSize(2);
    assertThat(braked.series()).allMatch(moment -> moment.trailer() < 0.8 * 0.1 * 1500 * G);
  }

  @Test
  void aTrailerByItselfBrakesItsOwnMass() {
    Train alone = train(0, 1500, 3000);
    StopRun run = StopRun.of(alone, Drive.lever(14, Surface.DRY_ASPHALT, 0.5));
    StopRun.Moment late = run.series().get(run.series().size() - 2);
    double force = 2 * 3000 * (1.6 - 0.3) / 2.9;
    double drag = 0.012 * 1500 * G + 0.72 * late.speed() * late.speed();
    assertThat(late.deceleration()).isCloseTo((force + drag) / 1500, within(1e-3));
    assertThat(late.coupler()).isCloseTo(0, within(1e-6));
  }

  /** 2 · 1 000 N on 1 000 kg: sin θ = 2 000 / 9 807, a rise of one in five. */
  @Test
  void aTrailerStandsWhereItsBrakesHoldItsWeightAlongTheSlope() {
    double full = 2.9 / (3.2 - 0.3) * 1000;
    assertThat(Math.sin(train(0, 1000, full).slope(Surface.DRY_ASPHALT)))
        .isCloseTo(2000 / 9806.65, within(1e-9));
  }

  /** Wheels that slide hold by grip: tan θ = 0.20 · 0.9 on snow, whatever the brake. */
  @Test
  void onSnowItsTyresEndWhatItsBrakesCouldHold() {
    assertThat(Math.tan(train(0, 1000, 90_000).slope(Surface.PACKED_SNOW)))
        .isCloseTo(0.18, within(1e-9));
  }
}
