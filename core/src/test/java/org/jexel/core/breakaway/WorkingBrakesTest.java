package org.jexel.core.breakaway;

import static org.assertj.core.api.Assertions.assertThat;

import org.jexel.core.Rigs;
import org.jexel.core.harness.HarnessPlanner;
import org.jexel.core.harness.WireSize;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.junit.jupiter.api.Test;

class WorkingBrakesTest {
  private static final Rig RIG = Rigs.twoAxles(RigField.BREAKAWAY_KIT, "OWN_BATTERY");

  private static WorkingBrakes told(double amps, double deviation) {
    return WorkingBrakes.of(RIG, HarnessPlanner.plan(RIG, WireSize.GAUGES), amps, deviation)
        .orElseThrow();
  }

  /** Four magnets of 3.2 Ω on 12.6 V behind a tenth of an ohm draw about 14 A, three 10.7 A. */
  @Test
  void aQuarterMissingIsOneDeadBrakeAndNoneIsNone() {
    assertThat(told(13.8, 0.5)).matches(WorkingBrakes::said).extracting("working").isEqualTo(4);
    assertThat(told(10.7, 0.5).words()).startsWith("3 of 4 brakes draw their current, over 99 %");
    assertThat(told(0, 0.5).working()).isZero();
  }

  @Test
  void whatLiesBetweenTwoNumbersIsNotSaid() {
    WorkingBrakes between = told(12.3, 0.9);
    assertThat(between.said()).isFalse();
    assertThat(between.words()).contains("clamp each wheel");
  }

  /** A shorted magnet, or something else on the circuit. */
  @Test
  void moreThanAllBrakesDrawIsExplainedByNoNumber() {
    assertThat(told(19, 0.5).fits()).isFalse();
    assertThat(told(19, 0.5).words()).startsWith("No number");
  }

  @Test
  void aTrailerWithoutMagnetsHasNothingToCount() {
    Rig unbraked = Rigs.unbraked();
    assertThat(WorkingBrakes.of(unbraked, HarnessPlanner.plan(unbraked, WireSize.GAUGES), 5, 0.5))
        .isEmpty();
  }
}
