package org.jexel.core.judge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.jexel.core.braking.Control;
import org.jexel.core.braking.Drive;
import org.jexel.core.braking.RatedBrake;
import org.jexel.core.braking.StopRun;
import org.jexel.core.braking.Surface;
import org.jexel.core.braking.Train;
import org.junit.jupiter.api.Test;

/** The product's stops beside those of the judge's road. */
class StopsTest {
  private static final double SPEED = 40 / 3.6;

  @Test
  void randomTrainsStopWhereStepsOfTheirMotionSay() {
    Random dice = new Random(18);
    int slid = 0;
    for (int i = 0; i < 60; i++) {
      int axles = 1 + dice.nextInt(3);
      double rating = 900 + 900 * dice.nextDouble();
      double trailer = axles * rating * (0.3 + 0.7 * dice.nextDouble());
      double vehicle = 1500 + 1500 * dice.nextDouble();
      double amps = 1 + 2.4 * dice.nextDouble();
      double strength = 0.7 + 0.6 * dice.nextDouble();
      boolean lever = dice.nextBoolean();
      Surface road = Surface.values()[dice.nextInt(2)];
      Track track =
          new Track(
              vehicle,
              trailer,
              0.12,
              rating,
              axles,
              3.5,
              strength,
              road.peak(),
              road.slide(),
              1.0,
              0.45,
              0.012,
              1.32);
      Track.Seen seen = lever ? track.lever(amps, SPEED) : track.pedal(amps, SPEED, 4);
      Train train = train(vehicle, trailer, axles, rating, amps).stronger(strength);
      Control control = Control.of(Control.Law.INERTIA, 1);
      StopRun run =
          StopRun.of(train, new Drive(SPEED, road, road, 0, lever ? 0 : 4, lever ? 1 : 0, control));
      assertThat(!run.locks().isEmpty()).as("rig %d", i).isEqualTo(seen.locked());
      assertThat(run.metres()).as("rig %d", i).isCloseTo(seen.distance(), within(0.06));
      assertThat(run.push()).as("rig %d", i).isCloseTo(Math.max(0, seen.push()), within(60.0));
      slid += seen.locked() ? 1 : 0;
    }
    assertThat(slid).isBetween(10, 50);
  }

  private static Train train(
      double vehicle, double trailer, int axles, double rating, double amps) {
    List<Train.Brake> brakes =
        IntStream.range(0, 2 * axles)
            .mapToObj(
                i ->
                    new Train.Brake(
                        i / 2, i % 2 == 0, new double[] {0, amps}, true, RatedBrake.force(rating)))
            .toList();
    return new Train(vehicle, trailer, 0.88 * trailer, 3.5, 2 * axles, brakes);
  }
}
