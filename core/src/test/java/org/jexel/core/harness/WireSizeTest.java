package org.jexel.core.harness;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WireSizeTest {
  @ParameterizedTest
  @CsvSource({"10, 3.277", "12, 5.211", "14, 8.285", "16, 13.17"})
  void gaugesAgreeWithTheTableAtTwentyDegrees(int gauge, double milliohmsPerMetre) {
    assertThat(WireSize.gauge(gauge, 10).ohmsPerMetre(20) * 1000)
        .isCloseTo(milliohmsPerMetre, within(milliohmsPerMetre * 5e-4));
  }

  @Test
  void copperGrowsByALittleUnderFourTenthsOfAPercentForEachDegree() {
    WireSize wire = WireSize.gauge(12, 25);
    assertThat(wire.ohmsPerMetre(40) / wire.ohmsPerMetre(20)).isCloseTo(1.0786, within(1e-9));
  }

  @Property
  void resistanceIsProportionalToLength(@ForAll @DoubleRange(min = 0.1, max = 50) double metres) {
    for (WireSize size : WireSize.METRIC) {
      assertThat(size.ohms(2 * metres)).isCloseTo(2 * size.ohms(metres), within(1e-12));
    }
  }

  @Test
  void stocksAreListedThinnestFirstAndThickerCarriesNoLess() {
    for (var stock : java.util.List.of(WireSize.GAUGES, WireSize.METRIC)) {
      for (int i = 1; i < stock.size(); i++) {
        assertThat(stock.get(i).area()).isGreaterThan(stock.get(i - 1).area());
        assertThat(stock.get(i).amps()).isGreaterThanOrEqualTo(stock.get(i - 1).amps());
      }
    }
    assertThat(WireSize.METRIC).extracting(WireSize::label).contains("1.5 mm²", "4 mm²", "1.0 mm²");
  }

  @Test
  void aWireWithoutAreaIsRefused() {
    assertThatThrownBy(() -> new WireSize("none", 0, 5)).hasMessageContaining("none");
  }

  @ParameterizedTest
  @CsvSource({"0.5, 5", "4, 5", "4.1, 7.5", "12, 15", "16, 20", "16.1, 25", "31, 40", "45, 50"})
  void protectionIsTheLeastStandardRatingAboveOneAndAQuarterTimesTheLoad(
      double load, double rating) {
    assertThat(Protection.leastFor(load)).isEqualTo(rating);
  }
}
