package org.jexel.core.judge;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** Brakes counted by the clamp; {@code ./bench clamp} draws a thousand rigs. */
class ClampTest {
  private static final int RIGS = 150;

  @Test
  void deadBrakesAreCountedRightInNinetySevenOfAHundred() {
    JudgedClamp.Score score = JudgedClamp.of(RIGS, 17);
    assertThat(score.right()).as(score.toString()).isGreaterThanOrEqualTo(97 * RIGS / 100);
    assertThat(score.saidWrong()).as(score.toString()).isLessThanOrEqualTo(score.said() / 20);
  }
}
