package org.jexel.core.road;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.jexel.core.braking.Drag;
import org.jexel.core.braking.Surface;
import org.jexel.core.braking.Train;
import org.jexel.core.rig.ControllerKind;
import org.junit.jupiter.api.Test;

/** The road on which the station is walked without driving. */
class SimulatedRoadTest {
  private static final GainScale HALVES = new GainScale(0, 10, 0.5);
  private static final Train TRAIN = RigTrain.ofPlates(2300, 1900, 2, 2, 1600);
  private static final double[] SOUND = {1, 1, 1, 1};

  private static StopTrial at(double gain, TestStop.Way way) {
    return StopTrial.of(
        gain, 40 / 3.6, Surface.DRY_ASPHALT, way, ControllerKind.UNDER_DASH, TRAIN.trailerMass());
  }

  private static SimulatedRoad.Seen lever(SimulatedRoad road, double gain, Random chance) {
    return road.drive(at(gain, TestStop.Way.LEVER), HALVES, chance);
  }

  @Test
  void moreGainBrakesHarderUntilItLocks() {
    SimulatedRoad road = SimulatedRoad.of(TRAIN, SOUND, 4);
    Random chance = new Random(1);
    List<Outcome> outcomes =
        IntStream.rangeClosed(1, 20).mapToObj(k -> lever(road, k / 2.0, chance).outcome()).toList();
    assertThat(outcomes.get(0)).isEqualTo(Outcome.NOTHING);
    assertThat(outcomes.get(19)).isEqualTo(Outcome.LOCKED);
    assertThat(outcomes).contains(Outcome.LIGHT, Outcome.FIRM);
    assertThat(lever(road, 4, chance).metres()).isGreaterThan(lever(road, 6, chance).metres());
    assertThat(lever(road, 0.5, chance).metres()).as("it hardly brakes").isNaN();
  }

  @Test
  void aRoadThatGripsMoreLocksLater() {
    double slippery = locksFrom(new SimulatedRoad(TRAIN, 0.85));
    double usual = locksFrom(new SimulatedRoad(TRAIN, 1));
    double rough = locksFrom(new SimulatedRoad(TRAIN, 1.15));
    assertThat(slippery).isLessThan(usual);
    assertThat(usual).isLessThan(rough);
  }

  private static double locksFrom(SimulatedRoad road) {
    Random chance = new Random(2);
    return IntStream.rangeClosed(1, 20)
            .filter(k -> lever(road, k / 2.0, chance).outcome().locked())
            .findFirst()
            .orElseThrow()
        / 2.0;
  }

  @Test
  void aDeadBrakeIsSeenAtItsWheelAndFeltToTheOtherSide() {
    SimulatedRoad road = SimulatedRoad.of(TRAIN, new double[] {0, 1, 1, 1}, 4);
    SimulatedRoad.Seen seen = lever(road, 4, new Random(1));
    assertThat(seen.observed().pull()).isEqualTo(Observed.Pull.RIGHT);
    assertThat(seen.observed().wheels().get(0).outcome()).isEqualTo(Outcome.NOTHING);
    assertThat(seen.observed().wheels().get(1).outcome()).isEqualTo(Outcome.FIRM);
    assertThat(lever(SimulatedRoad.of(TRAIN, SOUND, 4), 4, new Random(1)).observed().pull())
        .isEqualTo(Observed.Pull.STRAIGHT);
  }

  @Test
  void byThePedalPushTurnsToTugAsTheGainRises() {
    SimulatedRoad road = SimulatedRoad.of(TRAIN, SOUND, 4);
    Random chance = new Random(1);
    assertThat(road.drive(at(1, TestStop.Way.PEDAL), HALVES, chance).observed().feel())
        .isEqualTo(Observed.Feel.PUSH);
    assertThat(road.drive(at(10, TestStop.Way.PEDAL), HALVES, chance).observed().feel())
        .isEqualTo(Observed.Feel.TUG);
  }

  /** Followed as somebody would follow it, with all that is seen. */
  @Test
  void theSearchSettlesOnItAndSoundBrakesAreNeverSentToTheBench() {
    for (int seed = 0; seed < 8; seed++) {
      SimulatedRoad road = SimulatedRoad.of(TRAIN, SOUND, seed);
      Random chance = new Random(seed);
      List<TestStop> stops = new ArrayList<>();
      GainAdvice advice = advise(stops);
      while (!Double.isNaN(advice.gain()) && advice.act() != GainAdvice.Act.SETTLE) {
        SimulatedRoad.Seen seen = lever(road, advice.gain(), chance);
        stops.add(driven(advice.gain(), seen));
        advice = advise(stops);
      }
      assertThat(advice.act())
          .as("seed %d, %s", seed, advice.reason())
          .isEqualTo(GainAdvice.Act.SETTLE);
      assertThat(StopAndLook.of(stops)).as("seed %d", seed).isEmpty();
      assertThat(stops).hasSizeLessThanOrEqualTo(GainFinder.MOST_STOPS);
      assertThat(lever(road, advice.gain() + 1, chance).outcome().locked())
          .as("seed %d settles on %s near the lock", seed, advice.gain())
          .isTrue();
    }
  }

  private static TestStop driven(double gain, SimulatedRoad.Seen seen) {
    return new TestStop(
        gain,
        TestStop.Way.LEVER,
        40 / 3.6,
        Surface.DRY_ASPHALT,
        seen.outcome(),
        seen.metres() < 300 ? seen.metres() : null,
        null,
        null,
        TRAIN.vehicleMass(),
        TRAIN.trailerMass(),
        "",
        seen.observed(),
        false,
        Instant.EPOCH);
  }

  private static GainAdvice advise(List<TestStop> stops) {
    return GainFinder.advise(
        HALVES,
        BrakeCurve.of(TRAIN, HALVES),
        Surface.DRY_ASPHALT,
        stops.stream().flatMap(stop -> stop.gainStop(Drag.USUAL).stream()).toList());
  }
}
