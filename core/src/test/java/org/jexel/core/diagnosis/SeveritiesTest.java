package org.jexel.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import org.jexel.core.Rigs;
import org.jexel.core.check.Check;
import org.jexel.core.check.CheckSheet;
import org.jexel.core.harness.Harness;
import org.jexel.core.harness.HarnessPlanner;
import org.jexel.core.harness.WireSize;
import org.jexel.core.network.Fault;
import org.jexel.core.network.FaultFamily;
import org.jexel.core.rig.Rig;
import org.jexel.core.rig.RigField;
import org.junit.jupiter.api.Test;

/** Severities between two solved ones, against the network solved with them. */
class SeveritiesTest {
  private static final Rig RIG = Rigs.twoAxles(RigField.ENGINE_OFF_VOLTS, 12.6);
  private static final Harness HARNESS = HarnessPlanner.plan(RIG, WireSize.GAUGES);
  private static final List<Check> CHECKS = CheckSheet.of(RIG, HARNESS, OptionalDouble.of(12.6));

  /** Every severity solved by itself, by a list in which it has no neighbour. */
  @Test
  void severitiesThatAreNotSolvedLieWhereTheNetworkPutsThem() {
    List<Hypothesis> all = Hypothesis.of(RIG, HARNESS);
    List<Row> together = Predictions.of(RIG, HARNESS, CHECKS, all).predicted().singles();
    Map<Fault, Row> met =
        together.stream()
            .filter(row -> !row.hypothesis().healthy())
            .collect(
                Collectors.toMap(row -> row.hypothesis().faults().get(0), row -> row, (a, b) -> a));
    int looked = 0;
    for (int i = 1; i < all.size(); i += 7) {
      Hypothesis own = all.get(i);
      Row alone =
          Predictions.of(RIG, HARNESS, CHECKS, List.of(all.get(0), own))
              .predicted()
              .singles()
              .get(1);
      Row row = met.get(own.faults().get(0));
      for (int c = 0; c < CHECKS.size(); c++) {
        double off = Math.abs(row.means()[c] - alone.means()[c]);
        assertThat(off)
            .as(own.words(org.jexel.core.quantity.UnitSystem.METRIC) + ", " + CHECKS.get(c).id())
            .isLessThanOrEqualTo(near(CHECKS.get(c), row.deviations()[c]));
        looked++;
      }
    }
    assertThat(looked).isGreaterThan(5000);
  }

  /**
   * Filaments bend it by half a deviation at most, and where a magnet just hums, either is said.
   */
  private static double near(Check check, double deviation) {
    return switch (check.measure()) {
      case GLOW -> 0.4;
      case HUMMING, TURNING, GRIPPING, HEAT, PULLING -> 0.5;
      default -> Math.max(0.5 * deviation, 1e-6);
    };
  }

  @Test
  void aFaultIsToldFromNoneByHalfOfWhatItChangesAtMost() {
    List<Row> rows = Predictions.of(RIG, HARNESS, CHECKS).predicted().singles();
    Row healthy = rows.get(0);
    for (Row row : rows) {
      boolean graded =
          row.hypothesis().known().stream()
              .anyMatch(k -> k.family().trouble() == FaultFamily.Trouble.CORRODED);
      for (int c = 0; graded && c < CHECKS.size(); c++) {
        double moved = Math.abs(row.means()[c] - healthy.means()[c]);
        double sharp = Math.max(row.deviations()[c] - 1.5 * healthy.deviations()[c], 0);
        assertThat(sharp).isLessThanOrEqualTo(0.5 * moved + 1e-9);
      }
    }
  }
}
