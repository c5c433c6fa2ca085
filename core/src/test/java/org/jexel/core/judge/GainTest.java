package org.jexel.core.judge;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** The gain finder on the judge's road; {@code ./bench gain} drives a thousand rigs. */
class GainTest {
  private static final int RIGS = 150;

  @Test
  void fromLockOutcomesAloneItIsWithinAStepAndHardlyEverAbove() {
    JudgedGain.Score score = JudgedGain.of(RIGS, 3, false);
    assertThat(score.share()).as(score.toString()).isGreaterThanOrEqualTo(0.92);
    assertThat(score.tooHigh()).as(score.toString()).isLessThanOrEqualTo(0.01);
    assertThat(score.median()).as(score.toString()).isLessThanOrEqualTo(6);
    assertThat(score.most()).isLessThanOrEqualTo(12);
  }

  @Test
  void withStoppingDistancesItNeedsFewerStops() {
    JudgedGain.Score score = JudgedGain.of(RIGS, 3, true);
    assertThat(score.share()).as(score.toString()).isGreaterThanOrEqualTo(0.96);
    assertThat(score.tooHigh()).as(score.toString()).isLessThanOrEqualTo(0.01);
    assertThat(score.median()).as(score.toString()).isLessThanOrEqualTo(4);
    assertThat(score.most()).isLessThanOrEqualTo(12);
  }
}
