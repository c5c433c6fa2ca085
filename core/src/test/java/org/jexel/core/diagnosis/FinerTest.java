package org.jexel.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jexel.core.check.Check;
import org.jexel.core.network.Fault;
import org.jexel.core.network.KnownFault;
import org.junit.jupiter.api.Test;

/** A pin of 1, 9 or 81 Ω before a lamp that draws by a curve: at 3 Ω it reads 9 V, and not 8. */
class FinerTest {
  private static final List<Check> CHECKS = List.of(Made.volts("a"), Made.volts("b"));

  private final List<List<Row>> solved = new ArrayList<>();
  private final List<Diagnosis.Seen> seen = new ArrayList<>();
  private final List<Row> singles =
      new ArrayList<>(
          List.of(
              Made.row(Made.healthy(4), 12.5, 0.1, 12.5, 0.1),
              pin(1, 11),
              pin(9, 5),
              pin(81, 1),
              Made.row(Made.open("rival", 1), 8.6, 0.25, 8.6, 0.25)));

  private static Row pin(double ohms, double volts) {
    double loss = ohms / (ohms + 9);
    KnownFault fault =
        new KnownFault(
            Fault.of(Fault.Kind.OHMS, "pin", ohms),
            Made.family("pin"),
            OptionalDouble.of(loss),
            0.6);
    return Made.row(new Hypothesis(List.of(fault), 0.6), volts, 1, volts, 1);
  }

  private Predicted predicted() {
    return new Predicted(
        CHECKS,
        singles,
        both -> Optional.empty(),
        (one, two) -> {
          solved.add(List.of(one, two));
          Hypothesis middle = one.hypothesis().halfWay(two.hypothesis());
          return Optional.of(Made.row(middle, 9, 0.5, 9, 0.5));
        },
        new Shared(CHECKS));
  }

  private List<Row> finer() {
    Predicted predicted = predicted();
    return new Finer(predicted, new Readings(predicted, seen)).predicted().singles();
  }

  private void read(double volts) {
    for (Check check : CHECKS) {
      seen.add(new Diagnosis.Seen(check.id(), volts));
    }
  }

  @Test
  void aPlaceIsNotRuledOutSinceItsGridIsWide() {
    read(9.2);
    Predicted coarse = new Predicted(CHECKS, singles, both -> Optional.empty());
    assertThat(leading(coarse)).isEqualTo("rival");
    assertThat(leading(predicted())).isEqualTo("pin");
  }

  private String leading(Predicted predicted) {
    Diagnosis.Group first = new Finder(predicted, seen, false).find().groups().get(0);
    return first.leading().faults().get(0).part();
  }

  /** 3 Ω loses 3 of 12; of 0.6 and 0.6 it takes a quarter each. */
  @Test
  void theOneBetweenTakesItsWeightFromItsNeighbours() {
    read(9.2);
    List<Row> finer = finer();
    assertThat(finer).hasSize(singles.size() + 1);
    KnownFault middle = finer.get(2).hypothesis().known().get(0);
    assertThat(middle.fault()).isEqualTo(Fault.of(Fault.Kind.OHMS, "pin", 3));
    assertThat(middle.loses().orElseThrow()).isCloseTo(0.25, within(1e-9));
    assertThat(finer.stream().map(row -> row.hypothesis().weight()))
        .usingComparatorForType((a, b) -> Math.abs(a - b) < 1e-9 ? 0 : 1, Double.class)
        .containsExactly(4.0, 0.45, 0.3, 0.45, 0.6, 1.0);
  }

  /** Of the two on either side of the best the one that the readings like better. */
  @Test
  void itLiesBetweenTheBestAndItsBetterNeighbour() {
    read(4.2);
    finer();
    read(6.4);
    finer();
    read(1);
    finer();
    assertThat(solved)
        .containsExactly(
            List.of(singles.get(2), singles.get(3)),
            List.of(singles.get(1), singles.get(2)),
            List.of(singles.get(2), singles.get(3)));
  }

  @Test
  void whatIsFarBelowTheBestOrReadsAlikeIsLeftAsItIs() {
    Predicted predicted = predicted();
    assertThat(new Finer(predicted, new Readings(predicted, List.of())).predicted())
        .as("nothing is read")
        .isSameAs(predicted);
    singles.set(1, pin(1, 7));
    read(12.5);
    assertThat(finer()).as("a sound rig").isEqualTo(singles);
    singles.set(1, pin(1, 11));
    singles.set(2, pin(9, 10.6));
    read(10.8);
    assertThat(finer()).as("nearer than one deviation").isEqualTo(singles);
    assertThat(solved).isEmpty();
  }
}
