package org.jexel.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class SumTest {
  private static final Sum FORCE =
      new Sum(
          "Braking force",
          "F_t = a · (m_v + m_t) − F_d",
          List.of(
              Term.computed("a", "deceleration", 2.058, Measure.FINE),
              Term.computed("m_v", "vehicle", 2400, Measure.COUNT),
              Term.computed("m_t", "trailer", 2600, Measure.COUNT),
              Term.computed("F_d", "drag", 0, Measure.COUNT)),
          10_290,
          Measure.FORCE);

  @Test
  void everySymbolGivesWayToThisJobsNumber() {
    assertThat(FORCE.substituted(UnitSystem.METRIC)).isEqualTo("F_t = 2.058 · (2400 + 2600) − 0");
  }

  @Test
  void theResultStandsInThePersonsUnit() {
    assertThat(FORCE.result(UnitSystem.METRIC)).isEqualTo("10.29 kN");
    assertThat(FORCE.result(UnitSystem.US)).isEqualTo("2313 lbf");
  }

  @Test
  void aMarkOfAScaleHasNoIdleDecimals() {
    assertThat(Measure.GAIN.number(6.50, UnitSystem.METRIC)).isEqualTo("6.5");
    assertThat(Measure.GAIN.number(10, UnitSystem.METRIC)).isEqualTo("10");
    assertThat(Measure.GAIN.number(0, UnitSystem.METRIC)).isEqualTo("0");
  }

  @Test
  void nothingIsWrittenAsMinusZeroOrAsNoNumber() {
    assertThat(Measure.VOLTS.number(-0.0001, UnitSystem.METRIC)).isEqualTo("0.00");
    assertThat(Measure.VOLTS.number(Double.NaN, UnitSystem.METRIC)).isEqualTo("–");
  }
}
