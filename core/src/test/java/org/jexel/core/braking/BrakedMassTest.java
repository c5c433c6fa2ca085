package org.jexel.core.braking;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

class BrakedMassTest {
  private static BrakedMass of(double mass, double force) {
    BrakedMass.Wheel wheel = new BrakedMass.Wheel(force, mass * 9.80665 / 4);
    return new BrakedMass(mass, List.of(wheel, wheel));
  }

  /** Step by step, a tenth of a millisecond each: the brake follows its magnet with its lag. */
  @Property(tries = 40)
  void itComesToRestAsStepsOfTheMotionShow(
      @ForAll @DoubleRange(min = 500, max = 3500) double mass,
      @ForAll @DoubleRange(min = 600, max = 2500) double force,
      @ForAll @DoubleRange(min = 2, max = 25) double speed) {
    double brake = 0;
    double v = speed;
    double x = 0;
    double t = 0;
    double step = 1e-4;
    while (v > 0) {
      brake += step * (2 * force - brake) / 0.15;
      x += v * step;
      v -= step * brake / mass;
      t += step;
    }
    BrakedMass rig =
        new BrakedMass(
            mass, List.of(new BrakedMass.Wheel(force, 1e5), new BrakedMass.Wheel(force, 1e5)));
    BrakedMass.Rest rest = rig.from(speed, Surface.DRY_ASPHALT);
    assertThat(rest.seconds()).isCloseTo(t, within(0.002 * t));
    assertThat(rest.metres()).isCloseTo(x, within(0.002 * x));
  }

  /** 2 · 1 000 N on 1 000 kg: sin θ = 2 000 / 9 807, a rise of one in five. */
  @Test
  void itStandsWhereItsBrakesHoldItsWeightAlongTheSlope() {
    assertThat(Math.sin(of(1000, 1000).slope(Surface.DRY_ASPHALT)))
        .isCloseTo(2000 / 9806.65, within(1e-9));
  }

  /** Locked wheels hold by grip: tan θ = 0.20 · 2/4 on snow, whatever the brake. */
  @Test
  void lockedWheelsSlideAtTheGripOfTheirSurface() {
    assertThat(Math.tan(of(1000, 90_000).slope(Surface.PACKED_SNOW))).isCloseTo(0.1, within(1e-9));
    double sliding = 0.65 * 9.80665 / 2;
    assertThat(of(1000, 90_000).from(20, Surface.DRY_ASPHALT).seconds())
        .isCloseTo(20 / sliding + 0.15, within(0.001));
  }

  @Test
  void nothingThatBrakesNeitherStandsNorStops() {
    BrakedMass free = new BrakedMass(1000, List.of());
    assertThat(free.slope(Surface.DRY_ASPHALT)).isZero();
    assertThat(free.from(10, Surface.DRY_ASPHALT).seconds()).isNaN();
  }
}
