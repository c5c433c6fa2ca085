package org.jexel.core.judge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.stream.IntStream;
import org.jexel.core.braking.Stop;
import org.jexel.core.braking.Surface;
import org.jexel.core.road.Calibration;
import org.jexel.core.road.GainStop;
import org.jexel.core.road.Outcome;
import org.junit.jupiter.api.Test;

/** What the stops say of the brakes, on a road of another make than the product's. */
class CalibrationTest {
  private static final double FULL_V = 11.6;
  private static final int RIGS = 60;

  private static GainStop stop(double gain, double share) {
    return new GainStop(gain, Outcome.FIRM, OptionalDouble.of(share), false);
  }

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

  /** z = 0.06·V − 0.1, one stop of five far off it: a firm stop's 0.408 is reached at 8.46 V. */
  @Test
  void oneWrongStopOfFiveMovesNothing() {
    JudgedGain.Drawn rig = JudgedGain.drawn(new Random(1));
    List<GainStop> stops = new ArrayList<>();
    for (int gain : new int[] {3, 4, 5, 6}) {
      stops.add(stop(gain, 0.06 * FULL_V * gain / 10 - 0.1));
    }
    stops.add(stop(4, 0.9));
    Calibration found = of(rig, stops).orElseThrow();
    assertThat(found.line().slope()).isCloseTo(0.06, within(1e-9));
    assertThat(found.line().offset()).isCloseTo(-0.1, within(1e-9));
    assertThat(found.evenVolts().orElseThrow()).isCloseTo((4 / Stop.G + 0.1) / 0.06, within(1e-9));
  }

  @Test
  void coldStopsLocksAndTooFewStopsSayNothing() {
    JudgedGain.Drawn rig = JudgedGain.drawn(new Random(1));
    List<GainStop> two = List.of(stop(3, 0.1), stop(4, 0.2));
    assertThat(of(rig, two)).isEmpty();
    List<GainStop> more = new ArrayList<>(two);
    more.add(new GainStop(5, Outcome.FIRM, OptionalDouble.of(0.3), true));
    more.add(new GainStop(6, Outcome.LOCKED, OptionalDouble.of(0.4), false));
    assertThat(of(rig, more)).isEmpty();
    more.add(stop(5, 0.3));
    assertThat(of(rig, more)).isPresent();
    assertThat(of(rig, List.of(stop(3, 0.3), stop(4, 0.2), stop(5, 0.1))))
        .as("less with more volts")
        .isEmpty();
  }
}
