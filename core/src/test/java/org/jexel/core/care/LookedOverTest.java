package org.jexel.core.care;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.Map;
import org.jexel.core.quantity.Verdict;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class LookedOverTest {
  private final Map<BeforeTow.Part, Verdict> seen = new EnumMap<>(BeforeTow.Part.class);

  LookedOverTest() {
    Arrays.stream(BeforeTow.Part.values()).forEach(part -> seen.put(part, Verdict.HOLDS));
  }

  private LookedOver list(String wrong) {
    return new LookedOver(Instant.EPOCH, LocalDate.EPOCH, "Somebody", seen, wrong);
  }

  /** One that nobody looked at is enough, whichever it is. */
  @ParameterizedTest
  @EnumSource(BeforeTow.Part.class)
  void itHoldsOnlyIfAllOfItWasLookedAtAndRight(BeforeTow.Part part) {
    assertThat(list("").verdict()).isEqualTo(Verdict.HOLDS);
    assertThat(list("").words()).isEqualTo("all 12 in order");
    seen.put(part, Verdict.NOT_YET);
    assertThat(list("").verdict()).isEqualTo(Verdict.NOT_YET);
    assertThat(list("").words())
        .isEqualTo("11 of 12 in order; not looked at: " + part.label().toLowerCase());
    seen.put(part, Verdict.FAILS);
    assertThat(list("it hangs").verdict()).isEqualTo(Verdict.FAILS);
    assertThat(list("it hangs").words())
        .isEqualTo(
            "11 of 12 in order; not in order: " + part.label().toLowerCase() + " (it hangs)");
  }

  @Test
  void whatIsWrongOutweighsWhatNobodyLookedAt() {
    seen.put(BeforeTow.Part.TYRES, Verdict.FAILS);
    seen.put(BeforeTow.Part.LOAD, Verdict.NOT_YET);
    assertThat(list("a cut").verdict()).isEqualTo(Verdict.FAILS);
    assertThat(list("a cut").words())
        .isEqualTo("10 of 12 in order; not in order: tyres (a cut); not looked at: load");
  }

  @Test
  void aListOfNothingSaysNothing() {
    seen.clear();
    assertThat(list("").verdict()).isEqualTo(Verdict.NOT_YET);
    assertThat(list("").words()).isEqualTo("0 of 0 in order");
  }

  @Test
  void nothingIsHalfRight() {
    seen.put(BeforeTow.Part.TYRES, Verdict.WATCH);
    assertThatThrownBy(() -> list("")).isInstanceOf(IllegalArgumentException.class);
  }
}
