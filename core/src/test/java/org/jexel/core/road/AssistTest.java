package org.jexel.core.road;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import org.jexel.core.road.Assist.Feel;
import org.jexel.core.road.Assist.Felt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Start-up assist: by the masses first, then by feel. */
class AssistTest {
  private static final List<String> FOUR = List.of("off", "low", "middle", "high");

  private static Assist felt(Felt... felt) {
    return Assist.of(FOUR, 2000, 1900, Arrays.asList(felt));
  }

  @ParameterizedTest
  @CsvSource({"1500, off", "1700, low", "2400, low", "2500, middle", "9000, middle"})
  void theMassesTellTheFirstLevel(double trailer, String level) {
    Assist assist = Assist.of(FOUR, 2000, trailer, List.of());
    assertThat(assist.levels().get(assist.level())).isEqualTo(level);
    assertThat(assist.right()).isFalse();
    assertThat(Assist.of(List.of("1"), 2000, trailer, List.of()).level()).isZero();
  }

  @Test
  void thenEachTrialMovesItByOneUntilItIsRight() {
    assertThat(felt(new Felt("low", Feel.LATE)).level()).isEqualTo(2);
    assertThat(felt(new Felt("low", Feel.HARSH)).level()).isZero();
    Assist right = felt(new Felt("low", Feel.LATE), new Felt("middle", Feel.RIGHT));
    assertThat(right.level()).isEqualTo(2);
    assertThat(right.right()).isTrue();
    Assist top = felt(new Felt("high", Feel.LATE));
    assertThat(top.level()).isEqualTo(3);
    assertThat(top.why()).contains("the model has no other");
    assertThat(felt(new Felt("turbo", Feel.LATE)).level()).as("no level of this one").isEqualTo(1);
  }

  @Test
  void betweenOneThatPushesAndOneThatTugsTheWeakerStays() {
    for (Assist assist :
        List.of(
            felt(new Felt("low", Feel.LATE), new Felt("middle", Feel.HARSH)),
            felt(new Felt("middle", Feel.HARSH), new Felt("low", Feel.LATE)))) {
      assertThat(assist.level()).isEqualTo(1);
      assertThat(assist.right()).isTrue();
      assertThat(assist.why()).contains("the weaker of the two stays");
    }
  }

  @Test
  void aWordThatIsNoneIsNotFelt() {
    assertThat(Assist.felt("low", "LATE")).contains(new Felt("low", Feel.LATE));
    assertThat(Assist.felt("low", "later")).isEmpty();
  }
}
