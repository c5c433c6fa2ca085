package org.jexel.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.OptionalDouble;
import java.util.function.IntPredicate;
import org.jexel.core.check.Check;
import org.jexel.core.network.Fault;
import org.jexel.core.network.FaultFamily;
import org.jexel.core.network.KnownFault;
import org.jexel.core.quantity.UnitSystem;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class AlikeTest {
  private static final List<Check> CHECKS = List.of(Made.volts("one"), Made.volts("two"));

  private static List<List<Integer>> groups(List<Row> rows, double... shares) {
    return groups(h -> false, rows, shares);
  }

  private static List<List<Integer>> groups(
      IntPredicate spokenFor, List<Row> rows, double... shares) {
    return new Alike(CHECKS)
        .groups(rows, group -> group.stream().mapToDouble(h -> shares[h]).sum(), spokenFor);
  }

  @Test
  void whatNoCheckTellsApartIsOneAnswerAndTheLikeliestStandsFirst() {
    List<Row> rows =
        List.of(
            Made.row(Made.open("a", 1), 12, 0.1, 12, 0.1),
            Made.row(Made.open("b", 1), 6, 0.1, 12, 0.1),
            Made.row(Made.open("c", 1), 6.1, 0.1, 12.1, 0.1),
            Made.row(Made.open("d", 1), 12, 0.1, 6, 0.1));
    assertThat(groups(rows, 0.4, 0.3, 0.2, 0.1))
        .containsExactly(List.of(1, 2), List.of(0), List.of(3));
  }

  @Test
  void anotherSeverityGoesWithItsOwn() {
    FaultFamily family = Made.family("joint");
    Hypothesis slight = Made.fault(Fault.of(Fault.Kind.OHMS, "joint", 1), family, 1);
    Hypothesis bad = Made.fault(Fault.of(Fault.Kind.OHMS, "joint", 9), family, 1);
    List<Row> rows =
        List.of(
            Made.row(slight, 11, 0.1, 12, 0.1),
            Made.row(Made.open("a", 1), 3, 0.1, 12, 0.1),
            Made.row(bad, 3, 0.1, 12, 0.1));
    assertThat(groups(rows, 0.5, 0.3, 0.2)).containsExactly(List.of(0, 2), List.of(1));
  }

  /**
   * What is too slight to be seen stands with a sound rig; the same, so bad that it is, does not.
   */
  @Test
  void whatIsSeenDoesNotHideBehindItsOwnThatIsNot() {
    FaultFamily family = Made.family("joint");
    Hypothesis slight = Made.fault(Fault.of(Fault.Kind.OHMS, "joint", 1), family, 1);
    Hypothesis bad = Made.fault(Fault.of(Fault.Kind.OHMS, "joint", 9), family, 1);
    Hypothesis worse = Made.fault(Fault.of(Fault.Kind.OHMS, "joint", 20), family, 1);
    List<Row> rows =
        List.of(
            Made.row(Made.healthy(1), 12, 0.1, 12, 0.1),
            Made.row(slight, 11.99, 0.1, 12, 0.1),
            Made.row(bad, 9, 0.1, 12, 0.1),
            Made.row(Made.open("a", 1), 3, 0.1, 12, 0.1),
            Made.row(worse, 3, 0.1, 12, 0.1));
    assertThat(groups(rows, 0.4, 0.2, 0.15, 0.1, 0.15))
        .containsExactly(List.of(0, 1), List.of(2, 4), List.of(3));
  }

  /** No check tells it from a sound rig for sure, and what was read speaks for it all the same. */
  @Test
  void whatReadingsSpeakForDoesNotHideBehindASoundRig() {
    List<Row> rows =
        List.of(
            Made.row(Made.healthy(1), 12, 0.1, 12, 0.1),
            Made.row(Made.open("a", 1), 11.9, 0.1, 12, 0.1),
            Made.row(Made.open("b", 1), 11.9, 0.1, 12, 0.1),
            Made.row(Made.open("c", 1), 12, 0.1, 12, 0.1));
    assertThat(groups(rows, 0.4, 0.2, 0.2, 0.2)).containsExactly(List.of(0, 1, 2, 3));
    assertThat(groups(h -> h < 3, rows, 0.4, 0.2, 0.2, 0.2))
        .containsExactlyInAnyOrder(List.of(0, 3), List.of(1, 2));
  }

  /** A quarter of all rigs is sound, whatever the faults weigh; two faults multiply. */
  @Test
  void whatAHypothesisWeighs() {
    Hypothesis one = Made.open("a", 3);
    Hypothesis both = one.and(Made.open("b", 5), 0.2 / 15);
    assertThat(both.weight()).isCloseTo(0.2, within(1e-12));
    assertThat(both.faults()).extracting(Fault::part).containsExactly("a", "b");
    assertThat(both.key()).isEqualTo("OPEN.a+OPEN.b");
    assertThat(one.healthy()).isFalse();
    assertThat(Made.healthy(1).words(UnitSystem.METRIC)).isEqualTo("No fault");
  }

  /**
   * Half the way to the next severity, which has twice the ohms: half of ln 2; of what is corroded
   * three times.
   */
  @ParameterizedTest
  @CsvSource({
    "OHMS, 0.55",
    "DRAWS, 0.35",
    "MAGNETS, 0.35",
    "SHORT, 0.35",
    "FLAT, 0.35",
    "LOW, 0.35",
    "PULLED, 0.35",
    "ON_BALL, 0.35",
    "BRIDGE, 0.8",
    "SIGNAL, 0.8",
    "OPEN, 0"
  })
  void howMuchSlighterOrWorseAFaultMayBe(Fault.Kind kind, double graded) {
    assertThat(Made.fault(Fault.of(kind, "a", 1), Made.family("a"), 1).graded()).isEqualTo(graded);
    Hypothesis both =
        new Hypothesis(
            List.of(known(Fault.of(Fault.Kind.OPEN, "b")), known(Fault.of(kind, "a", 1))), 1);
    assertThat(both.graded()).isEqualTo(graded);
  }

  private static KnownFault known(Fault fault) {
    return new KnownFault(fault, Made.family(fault.part()), OptionalDouble.empty(), 1);
  }

  @Test
  void aBreakGoesWithWhatMakesAndBreaksAtTheSamePlace() {
    Hypothesis open = Made.open("a", 1);
    Hypothesis loose = Made.fault(Fault.of(Fault.Kind.LOOSE, "a"), Made.family("a"), 1);
    assertThat(open.breaksWith(loose)).isTrue();
    assertThat(loose.breaksWith(Made.open("b", 1))).isFalse();
    assertThat(loose.breaksWith(Made.fault(Fault.of(Fault.Kind.OHMS, "a", 1), Made.family("a"), 1)))
        .isFalse();
  }
}
