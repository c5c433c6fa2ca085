package org.jexel.core.judge;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import org.jexel.core.braking.Surface;
import org.jexel.core.road.Calibration;
import org.jexel.core.road.GainStop;
import org.junit.jupiter.api.Test;

/** What the stops say of the brakes, on a road of another make than the product's. */
class CalibrationTest {
  private static final double FULL_V = 11.6;
  private static final int RIGS = 60;

  private static Optional<Calibration> of(JudgedGain.Drawn rig, List<GainStop> stops) {
    return Calibration.of(rig.train(), JudgedGain.HALVES, FULL_V, Surface.DRY_ASPHALT, stops);
  }

  @Test
  void theStrengthOfTheBrakesIsFoundWithinTheErrorOfTheMeasures() {
    int right = 0;
    int near = 0;
    int judged = 0;
    int locks = 0;
    for (int i = 0; i < RIGS; i++) {
      Random dice = new Random(i);
      JudgedGain.Drawn rig = JudgedGain.drawn(dice);
      List<GainStop> stops =
          IntStream.of(3, 4, 5, 6)
              .mapToObj(gain -> JudgedGain.drive(rig, gain, dice, true))
              .filter(stop -> !stop.outcome().locked() && stop.share().isPresent())
              .toList();
      Optional<Calibration> found = of(rig, stops);
      if (found.isPresent()) {
        judged++;
        right += Math.abs(found.get().strength() / rig.strength() - 1) < 0.12 ? 1 : 0;
        // Between the highest mark that holds and the next; the road's own grip is nobody's to
        // know.
        double volts = FULL_V * (JudgedGain.truth(rig) + 0.25) / 10;
        if (found.get().lockVolts().isPresent()) {
          locks++;
          near += Math.abs(found.get().lockVolts().getAsDouble() / volts - 1) < 0.2 ? 1 : 0;
        }
      }
    }
    assertThat(judged).isGreaterThan(RIGS / 3);
    assertThat(right).as("of " + judged).isGreaterThanOrEqualTo(9 * judged / 10);
    assertThat(locks).isGreaterThan(RIGS / 4);
    assertThat(near).as("of " + locks).isGreaterThanOrEqualTo(8 * locks / 10);
  }
}
