package org.jexel.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.OptionalDouble;
import org.jexel.core.Rigs;
import org.jexel.core.harness.HarnessPlanner;
import org.jexel.core.harness.WireSize;
import org.jexel.core.quantity.Verdict;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A failed reading is told in words that say where to look. */
class CheckMeaningTest {
  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "supply.battery; 10.9; Charge it first",
        "supply.battery; 14.3; charger or the engine",
        "socket.tail; 0.0; the fuse",
        "socket.tail; 9.2; poor joint",
        "socket.left; 14.4; engine running",
        "brake.resistance; 0.3; shorted",
        "brake.resistance; 60; Open",
        "brake.resistance; 1.6; magnet or a wheel's joint",
        "brake.volts; 0.2; controller's output",
        "brake.volts; 8.0; volts are lost",
        "draws.lamp_tail_plate; 0.0; burnt out",
        "draws.lamp_tail_plate; 0.2; too little",
        "draws.lamp_tail_plate; 0.9; too much",
        "brake.amps; 7.0; magnet is off",
        "brake.amps; 22.0; shorted"
      })
  void eachWayOfFailingPointsSomewhereElse(String id, double reading, String words) {
    Check check =
        CheckSheet.of(
                Rigs.twoAxles(),
                HarnessPlanner.plan(Rigs.twoAxles(), WireSize.GAUGES),
                OptionalDouble.of(12.6))
            .stream()
            .filter(c -> c.id().equals(id))
            .findFirst()
            .orElseThrow();
    boolean supply = id.startsWith("supply");
    Verdict verdict = supply ? Verdict.FAILS : check.band().judge(reading);
    assertThat(verdict).isEqualTo(Verdict.FAILS);
    assertThat(check.meaning(verdict, reading)).contains(words);
  }
}
