package org.jexel.core.care;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.IntStream;
import org.jexel.core.Rigs;
import org.jexel.core.rig.RigField;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class WheelNutsTest {
  @ParameterizedTest
  @ValueSource(ints = {3, 4, 5, 6, 7, 8, 9, 10})
  void everyNutOnceAndNoTwoNeighboursInTurn(int count) {
    List<Integer> order = WheelNuts.crosswise(count);
    assertThat(order)
        .containsExactlyInAnyOrderElementsOf(IntStream.rangeClosed(1, count).boxed().toList());
    for (int i = 1; i < count && count > 4; i++) {
      int apart = Math.abs(order.get(i) - order.get(i - 1));
      assertThat(Math.min(apart, count - apart)).as("%s", order).isGreaterThan(1);
    }
  }

  @Test
  void aThickerStudTakesMoreAndEachAxleHasItsOwn() {
    var rig = Rigs.twoAxles(RigField.STUD_SIZE, "M12", "STUD_SIZE.1", "NINE_SIXTEENTHS");
    assertThat(WheelNuts.of(rig, 0)).matches(n -> n.least() == 90 && n.greatest() == 110);
    assertThat(WheelNuts.of(rig, 1)).matches(n -> n.least() == 160 && n.greatest() == 190);
    assertThat(WheelNuts.of(rig)).containsExactly(WheelNuts.of(rig, 0), WheelNuts.of(rig, 1));
    assertThat(WheelNuts.of(Rigs.twoAxles())).hasSize(1);
    assertThat(WheelNuts.of(rig, 0).order()).containsExactly(1, 3, 5, 2, 4);
  }
}
