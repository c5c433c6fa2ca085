package org.jexel.core.road;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jexel.core.Rigs;
import org.jexel.core.bench.Stand;
import org.jexel.core.check.Check;
import org.jexel.core.quantity.Verdict;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What keeps a wheel from turning. */
class GateTest {
  private static final LocalDate DAY = LocalDate.of(2026, 5, 4);

  private static final List<Check> CHECKS =
      Stand.checks(Rigs.twoAxles(), Stand.harness(Rigs.twoAxles()));

  private final Map<String, Verdict> verdicts =
      new HashMap<>(
          Map.of(
              "brake.resistance", Verdict.HOLDS,
              "brake.unasked", Verdict.HOLDS,
              "wakes.controller", Verdict.HOLDS,
              "brake.volts", Verdict.WATCH,
              "brake.amps", Verdict.HOLDS));

  private final List<Said> said = new ArrayList<>();
  private Verdict breakaway = Verdict.HOLDS;
  private Verdict load = Verdict.HOLDS;

  @BeforeEach
  void lookedRound() {
    verdicts.put("brake.volts", Verdict.HOLDS);
    for (Said.What what : List.of(Said.What.TYRES, Said.What.NUTS, Said.What.PLACE)) {
      say(what, "", Verdict.HOLDS, DAY);
    }
  }

  private void say(Said.What what, String about, Verdict verdict, LocalDate day) {
    Instant at = day.atTime(9, said.size()).toInstant(ZoneOffset.UTC);
    said.add(new Said(what, about, verdict, "known", 0, day, at, "Somebody"));
  }

  private Gate gate() {
    return Gate.of(
        CHECKS,
        check -> verdicts.getOrDefault(check.id(), Verdict.NOT_YET),
        breakaway,
        load,
        said,
        DAY);
  }

  @Test
  void everyCheckOfTheBrakesIsReadAndNoneFails() {
    assertThat(gate().open()).isTrue();
    assertThat(gate().lines()).hasSize(10);
    for (String check : List.copyOf(verdicts.keySet())) {
      verdicts.remove(check);
      assertThat(gate().open()).as(check + " unread").isFalse();
      assertThat(gate().barred()).isPresent();
      verdicts.put(check, Verdict.FAILS);
      assertThat(gate().open()).as(check + " fails").isFalse();
      verdicts.put(check, Verdict.WATCH);
      assertThat(gate().open()).as(check + " to be watched").isFalse();
      assertThat(gate().barred()).isEmpty();
      say(Said.What.PASSED, check, Verdict.WATCH, DAY);
      assertThat(gate().open()).as(check + " gone past").isTrue();
      verdicts.put(check, Verdict.FAILS);
      assertThat(gate().open()).as("nobody goes past what fails").isFalse();
      verdicts.put(check, Verdict.HOLDS);
    }
  }

  @Test
  void breakawayAndLoadShutItToo() {
    breakaway = Verdict.FAILS;
    assertThat(gate().open()).isFalse();
    breakaway = Verdict.HOLDS;
    load = Verdict.WATCH;
    assertThat(gate().open()).isFalse();
    say(Said.What.PASSED, Gate.LOAD, Verdict.WATCH, DAY);
    assertThat(gate().open()).isTrue();
    load = Verdict.FAILS;
    assertThat(gate().open()).as("over a rating").isFalse();
  }

  /** What was looked at yesterday is looked at again, and a reason was one for its day. */
  @Test
  void wordsHoldForTheirDayAndTheNewestStands() {
    said.clear();
    for (Said.What what : List.of(Said.What.TYRES, Said.What.NUTS, Said.What.PLACE)) {
      say(what, "", Verdict.HOLDS, DAY.minusDays(1));
    }
    assertThat(gate().open()).isFalse();
    assertThat(gate().barred()).isEmpty();
    said.clear();
    lookedRound();
    say(Said.What.TYRES, "", Verdict.FAILS, DAY);
    assertThat(gate().open()).isFalse();
    assertThat(gate().barred()).as("a tyre is not talked sound").isPresent();
    say(Said.What.TYRES, "", Verdict.HOLDS, DAY);
    assertThat(gate().open()).isTrue();
    load = Verdict.WATCH;
    say(Said.What.PASSED, Gate.LOAD, Verdict.WATCH, DAY.minusDays(1));
    assertThat(gate().open()).isFalse();
  }

  /** Nobody is asked to take a drum off for a stop; what was found there has to be mended. */
  @Test
  void whatHandAndEyeFoundAtAWheelShutsItOnceItFails() {
    for (String found : List.of("tyre.magnet_axle1_left", "shoes.magnet_axle2_right")) {
      assertThat(gate().open()).isTrue();
      verdicts.put(found, Verdict.FAILS);
      assertThat(gate().open()).as(found).isFalse();
      assertThat(gate().lines()).extracting(Gate.Line::id).contains(found);
      verdicts.put(found, Verdict.HOLDS);
    }
    verdicts.put("pulls.trailer", Verdict.FAILS);
    assertThat(gate().open()).as("that is what stops are driven for").isTrue();
  }
}
