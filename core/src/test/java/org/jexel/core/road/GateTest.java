package org.jexel.core.road;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jexel.core.Rigs;
import org.jexel.core.bench.Stand;
import org.jexel.core.check.Check;
import org.jexel.core.quantity.Verdict;
import org.junit.jupiter.api.Test;

/** What keeps a wheel from turning. */
class GateTest {
  private static final List<Check> CHECKS =
      Stand.checks(Rigs.twoAxles(), Stand.harness(Rigs.twoAxles()));

  private final Map<String, Verdict> verdicts =
      new HashMap<>(
          Map.of(
              "brake.resistance", Verdict.HOLDS,
              "brake.rest", Verdict.HOLDS,
              "wakes.controller", Verdict.HOLDS,
              "brake.volts", Verdict.WATCH,
              "brake.amps", Verdict.HOLDS));

  private Gate gate() {
    return Gate.of(CHECKS, check -> verdicts.getOrDefault(check.id(), Verdict.NOT_YET));
  }

  @Test
  void everyCheckOfTheBrakesIsReadAndNoneFails() {
    assertThat(gate().open()).isTrue();
    assertThat(gate().lines()).hasSize(5);
    for (String check : List.copyOf(verdicts.keySet())) {
      verdicts.remove(check);
      assertThat(gate().open()).as(check + " unread").isFalse();
      verdicts.put(check, Verdict.FAILS);
      assertThat(gate().open()).as(check + " fails").isFalse();
      verdicts.put(check, Verdict.WATCH);
      assertThat(gate().open()).as(check + " to be watched").isTrue();
    }
  }

  /** Nobody is asked to take a drum off for a stop; what was found there has to be mended. */
  @Test
  void whatHandAndEyeFoundAtAWheelShutsItOnceItFails() {
    for (String found : List.of("tyre.magnet_axle1_left", "shoes.magnet_axle2_right")) {
      assertThat(gate().open()).isTrue();
      verdicts.put(found, Verdict.FAILS);
      assertThat(gate().open()).as(found).isFalse();
      assertThat(gate().lines()).extracting(line -> line.check().id()).contains(found);
      verdicts.put(found, Verdict.HOLDS);
    }
    verdicts.put("pulls.trailer", Verdict.FAILS);
    assertThat(gate().open()).as("that is what stops are driven for").isTrue();
  }
}
