package org.jexel.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import org.jexel.core.check.Check;
import org.jexel.core.check.Meter;
import org.jexel.core.quantity.Measure;
import org.junit.jupiter.api.Test;

/** Currents through the same magnets, and one through a lamp; worked by hand. */
class SharedTest {
  private static final double METER = Meter.error(12.5, Measure.VOLTS);

  private final List<Check> checks =
      List.of(
          moved("one", "magnet", 3 * METER),
          moved("two", "magnet", 3 * METER),
          moved("turned", "magnet", -3 * METER),
          moved("lamp", "lamp", 3 * METER),
          Made.volts("bare"));

  private final Shared shared = new Shared(checks);

  private static Check moved(String id, String part, double shift) {
    Check bare = Made.volts(id);
    return new Check(
        bare.key(),
        bare.title(),
        bare.group(),
        bare.function(),
        bare.state(),
        bare.place(),
        bare.red(),
        bare.black(),
        bare.measure(),
        bare.band(),
        bare.why(),
        bare.sum(),
        List.of(new Check.Influence(part, part, shift, true)),
        bare.minutes(),
        bare.probing());
  }

  private double log(int[] places, double... z) {
    double[] whole = new double[z.length];
    Arrays.fill(whole, 1);
    return Shared.log(shared.correlations(places), z, whole);
  }

  /** Of ten squares of spread nine are the part's and one is the meter's. */
  @Test
  void whatOnePartMovesIsMovedTogether() {
    assertThat(shared.correlation(0, 1)).isCloseTo(0.9, within(1e-12));
    assertThat(shared.correlation(1, 2)).isCloseTo(-0.9, within(1e-12));
    assertThat(shared.correlation(0, 3)).isZero();
    assertThat(shared.correlation(3, 4)).isZero();
  }

  /** ρ = 0.9 · 0.9 = 0.81: of (2, 2) Σ z² = 8, zᵀ·R⁻¹·z = 8/1.81 = 4.420, ln |R| = −1.067. */
  @Test
  void theSameNewsTwiceIsHardlyMoreThanOnce() {
    int[] both = {0, 1};
    assertThat(log(both, 2, 2)).isCloseTo((8 - 4.420 + 1.067) / 2, within(1e-3));
    assertThat(log(both, 2, -2)).isCloseTo((8 - 8 / 0.19 + 1.067) / 2, within(1e-3));
    assertThat(log(new int[] {0, 2}, 2, -2))
        .as("the other way")
        .isCloseTo(log(both, 2, 2), within(1e-9));
    assertThat(log(new int[] {0, 1, 3}, 2, 2, 3))
        .as("a lamp besides")
        .isCloseTo(log(both, 2, 2), within(1e-9));
  }

  @Test
  void whatHasNothingInCommonCountsByItself() {
    assertThat(log(new int[] {0, 3}, 2, 2)).isCloseTo(0, within(1e-12));
    assertThat(log(new int[] {0}, 2)).isZero();
    assertThat(log(new int[] {0, 1}, 2, 4)).as("a slip").isZero();
    assertThat(
            Shared.log(
                shared.correlations(new int[] {0, 1}), new double[] {2, 2}, new double[] {1, 0}))
        .as("a fault")
        .isZero();
    double half =
        Shared.log(
            shared.correlations(new int[] {0, 1}), new double[] {2, 2}, new double[] {1, 0.5});
    assertThat(half).isCloseTo((8 - 8 / 1.405 - Math.log(1 - 0.405 * 0.405)) / 2, within(1e-9));
  }
}
