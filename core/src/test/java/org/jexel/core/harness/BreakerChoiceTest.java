package org.jexel.core.harness;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.jexel.core.harness.BreakerChoice.Limit;
import org.jexel.core.quantity.Verdict;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class BreakerChoiceTest {
  private static BreakerChoice of(double load, int axles, double limit) {
    return BreakerChoice.of(load, axles, new Limit(limit, "the brake pin"));
  }

  @ParameterizedTest
  @CsvSource({
    "1, 8, 50, 20, 10, 20, HOLDS",
    "1, 8, 18, 20, 10, 10, HOLDS",
    "2, 16, 35, 30, 20, 30, HOLDS",
    "2, 16, 25, 30, 20, 20, HOLDS",
    "3, 24, 50, 40, 30, 40, HOLDS",
    "3, 24, 25, 40, 30, 25, WATCH",
    "3, 24, 24, 40, 30, 30, FAILS",
    "3, 24, 20, 40, 30, 30, FAILS",
    "1, 17, 50, 20, 25, 25, HOLDS",
    "0, 30, 30, 0, 40, 30, WATCH",
    "0, 45, 50, 0, 50, 50, WATCH",
    "0, 55, 80, 0, 50, 50, FAILS",
    "0, 1, 4, 0, 5, 5, FAILS"
  })
  void theRuleByAxlesSpeaksWhereTheWireAndThePinAllowItAndElseTheLoad(
      int axles,
      double load,
      double limit,
      double byAxles,
      double byLoad,
      double chosen,
      Verdict verdict) {
    BreakerChoice choice = of(load, axles, limit);
    assertThat(choice.byAxles()).isEqualTo(byAxles);
    assertThat(choice.byLoad()).isEqualTo(byLoad);
    assertThat(choice.chosen()).isEqualTo(chosen);
    assertThat(choice.verdict()).isEqualTo(verdict);
  }

  @Test
  void oneThatMayOpenInALongStopSaysSo() {
    assertThat(of(24, 3, 25).reason().orElseThrow())
        .contains("25 A carries the 24 A", "may open in a long stop", "the brake pin");
    assertThat(of(24, 3, 20).reason().orElseThrow()).contains("No breaker fits");
    assertThat(of(16, 2, 25).reason()).isEmpty();
    assertThatThrownBy(() -> of(0, 1, 20)).hasMessageContaining("load 0");
  }

  @Test
  void oneThatIsThereIsHeldToWhatLiesBehindItAndToTheLoad() {
    BreakerChoice choice = of(16, 2, 35);
    assertThat(choice.against(40).orElseThrow()).contains("40 A", "35 A", "At most 30 A");
    assertThat(choice.against(35)).isEmpty();
    assertThat(choice.against(16)).isEmpty();
    assertThat(choice.against(15).orElseThrow()).contains("opens under");
    assertThat(choice.mayOpen(16).orElseThrow()).contains("may open in a long stop");
    assertThat(choice.mayOpen(19.9)).isPresent();
    assertThat(choice.mayOpen(20)).isEmpty();
    assertThat(choice.mayOpen(15)).isEmpty();
  }
}
