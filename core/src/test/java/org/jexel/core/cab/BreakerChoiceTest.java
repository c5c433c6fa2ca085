package org.jexel.core.cab;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.jexel.core.quantity.Verdict;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class BreakerChoiceTest {
  @ParameterizedTest
  @CsvSource({"1, 8, 20, 10, 10", "2, 16, 30, 20, 20", "3, 24, 40, 30, 30", "1, 17, 20, 25, 25"})
  void theSmallerThatStillCarriesTheLoadIsTaken(
      int axles, double load, double byAxles, double byLoad, double chosen) {
    BreakerChoice choice = BreakerChoice.of(axles, load, 50);
    assertThat(choice.byAxles()).isEqualTo(byAxles);
    assertThat(choice.byLoad()).isEqualTo(byLoad);
    assertThat(choice.chosen()).isEqualTo(chosen);
  }

  @Test
  void aWireThinnerThanItsBreakerFails() {
    assertThat(BreakerChoice.of(2, 16, 18).verdict()).isEqualTo(Verdict.FAILS);
    assertThat(BreakerChoice.of(2, 16, 25).verdict()).isEqualTo(Verdict.HOLDS);
    assertThatThrownBy(() -> BreakerChoice.of(0, 1, 10)).hasMessageContaining("no braked axle");
  }
}
