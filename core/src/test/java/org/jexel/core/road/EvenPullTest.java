package org.jexel.core.road;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.jexel.core.braking.Control;
import org.jexel.core.braking.StopRun;
import org.jexel.core.braking.Surface;
import org.jexel.core.braking.Train;
import org.jexel.core.rig.ControllerKind;
import org.junit.jupiter.api.Test;

/** The gain at which the trailer neither pushes nor tugs. */
class EvenPullTest {
  private static final GainScale HALVES = new GainScale(0, 10, 0.5);
  static final Train TRAIN = RigTrain.ofPlates(2300, 1900, 2, 2, 1600);

  private static StopTrial trial(double gain, double trailer) {
    return new StopTrial(
        gain,
        20,
        Surface.DRY_ASPHALT,
        0,
        TestStop.Way.PEDAL,
        StopTrial.FIRM,
        Control.Law.INERTIA,
        0,
        0,
        trailer);
  }

  /** Half way through the stop, at the marks on both sides. */
  private static double pushAt(double gain) {
    StopRun run = trial(gain, TRAIN.trailerMass()).run(TRAIN, HALVES);
    return run.at(run.seconds() / 2).coupler();
  }

  @Test
  void belowItTheTrailerPushesAndAboveItItTugs() {
    EvenPull even = EvenPull.of(TRAIN, HALVES, trial(0, TRAIN.trailerMass()));
    assertThat(even.reached()).isTrue();
    assertThat(pushAt(even.gain() - 0.5)).isPositive();
    assertThat(pushAt(even.gain() + 0.5)).isNegative();
    assertThat(Math.abs(pushAt(even.gain())))
        .isLessThan(Math.min(pushAt(even.gain() - 0.5), -pushAt(even.gain() + 0.5)));
  }

  @Test
  void aTrailerTooHeavyForItsBrakesHasNone() {
    EvenPull even = EvenPull.of(TRAIN, HALVES, trial(0, 9000));
    assertThat(even.reached()).isFalse();
    assertThat(even.force()).isPositive();
    assertThat(even.gain()).isEqualTo(10);
  }

  @Test
  void withTheLeverAloneTheTrailerTugsAndByItselfTheVehicleIsPushed() {
    StopTrial lever =
        new StopTrial(
            6,
            11,
            Surface.DRY_ASPHALT,
            0,
            TestStop.Way.LEVER,
            StopTrial.FIRM,
            Control.Law.INERTIA,
            0,
            0,
            1900);
    StopRun run = lever.run(TRAIN, HALVES);
    assertThat(run.at(run.seconds() / 2).coupler()).isNegative();
    assertThat(run.at(run.seconds() / 2).vehicle()).isZero();
    StopRun bare = lever.unbraked(TRAIN);
    assertThat(bare.at(1).coupler()).isPositive();
    assertThat(bare.at(1).trailer()).isZero();
  }

  @Test
  void eachKindOfControllerGoesByWhatItSenses() {
    assertThat(
            List.of(ControllerKind.UNDER_DASH, ControllerKind.REMOTE_KNOB, ControllerKind.WIRELESS))
        .allMatch(kind -> StopTrial.law(kind) == Control.Law.INERTIA);
    assertThat(StopTrial.law(ControllerKind.TIMED)).isEqualTo(Control.Law.TIMED);
    assertThat(List.of(ControllerKind.BUILT_IN, ControllerKind.PRESSURE))
        .allMatch(kind -> StopTrial.law(kind) == Control.Law.PEDAL);
  }
}
