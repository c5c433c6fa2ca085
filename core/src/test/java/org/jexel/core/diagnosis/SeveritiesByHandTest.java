package org.jexel.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;
import java.util.stream.DoubleStream;
import org.jexel.core.network.Fault;
import org.jexel.core.network.FaultFamily;
import org.jexel.core.network.KnownFault;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Which severities of a fault are solved, and what stands for the others: one check of 12 V. */
class SeveritiesByHandTest {
  private static final double[] HEALTHY = {12};

  private final List<Double> asked = new ArrayList<>();
  private double impossible = -1;
  private boolean alike;

  /** Volts below which a fuse is blown. */
  private double blown;

  private static Hypothesis of(Fault fault) {
    FaultFamily family = Made.family(fault.part());
    return new Hypothesis(List.of(new KnownFault(fault, family, OptionalDouble.empty(), 1)), 1);
  }

  private Severities of(Fault.Kind kind, ToDoubleFunction<Double> volts, double... amounts) {
    List<Hypothesis> all =
        DoubleStream.of(amounts).mapToObj(a -> of(Fault.of(kind, "part", a))).toList();
    return new Severities(
        all,
        HEALTHY,
        one -> {
          double amount = one.faults().get(0).amount();
          asked.add(amount);
          return amount == impossible
              ? Optional.empty()
              : Optional.of(new double[] {volts.applyAsDouble(amount)});
        },
        (a, b) -> alike,
        (a, b) -> {
          BitSet apart = new BitSet();
          apart.set(0, blown > 0 && (a[0] < blown) != (b[0] < blown));
          return apart;
        });
  }

  /** 12 V on a load of 4 Ω. */
  private static double divided(double ohms) {
    return 12 * 4 / (4 + ohms);
  }

  @ParameterizedTest
  @CsvSource({"OHMS, 6, 6", "SHORT, 2, 2", "DRAWS, 5, 5"})
  void fewOrOtherwiseGradedOnesAreSolvedOneByOne(Fault.Kind kind, int severities, int solved) {
    alike = true;
    of(kind, a -> 6, DoubleStream.iterate(1, a -> 2 * a).limit(severities).toArray());
    assertThat(asked).hasSize(solved);
  }

  @Test
  void whatNoRigCanStandWithIsLeftOut() {
    impossible = 4;
    Severities met = of(Fault.Kind.OHMS, SeveritiesByHandTest::divided, 1, 2, 4, 8, 16);
    assertThat(met.size()).isEqualTo(4);
    assertThat(met.hypothesis(2).faults().get(0).amount()).isEqualTo(8);
  }

  /** Between 0.1 Ω and 0.9 Ω a quarter of the way at 0.3 Ω. */
  @Test
  void betweenTwoChafesThatReadAlikeItReadsAlike() {
    alike = true;
    Severities met = of(Fault.Kind.SHORT, a -> 2 + a, 0.1, 0.3, 0.5, 0.9);
    assertThat(asked).containsExactly(0.1, 0.9);
    assertThat(met.means(1)[0]).isCloseTo(2.3, within(1e-9));
    assertThat(met.means(2)[0]).isCloseTo(2.5, within(1e-9));
  }

  @Test
  void betweenTwoChafesThatDifferTheMiddleIsSolved() {
    of(Fault.Kind.SHORT, a -> 2 + a, 0.1, 0.3, 0.5, 0.9);
    assertThat(asked).containsExactly(0.1, 0.9, 0.3, 0.5);
  }

  @Test
  void besideAChafeThatNoRigCanStandWithTheMiddleIsSolved() {
    alike = true;
    impossible = 0.9;
    Severities met = of(Fault.Kind.SHORT, a -> 2 + a, 0.1, 0.3, 0.5, 0.9);
    assertThat(asked).containsExactly(0.1, 0.9, 0.3, 0.5);
    assertThat(met.size()).isEqualTo(3);
  }

  /** 11.5, 10 and 4 V: half of 0.5, of 1.5 and of 6; the first is off from sound by no more. */
  @Test
  void aReadingLiesUpToHalfwayToTheNearerNeighbour() {
    Severities met = of(Fault.Kind.DRAWS, a -> a == 1 ? 11.5 : a == 2 ? 10 : 4, 1, 2, 3);
    assertThat(met.spread(0, 0)).isCloseTo(0.25, within(1e-9));
    assertThat(met.spread(1, 0)).isCloseTo(0.75, within(1e-9));
    assertThat(met.spread(2, 0)).isCloseTo(3, within(1e-9));
    asked.clear();
    Severities one = of(Fault.Kind.DRAWS, a -> 6, 1);
    assertThatThrownBy(() -> one.spread(0, 0)).isInstanceOf(IllegalStateException.class);
  }

  /** 0 and 0.2 V with the fuse blown, 11 V and 11.4 V with it whole, and nothing between. */
  @Test
  void acrossAFuseIsNoNeighbour() {
    blown = 1;
    double[] volts = {0, 0.2, 11, 11.4};
    Severities met = of(Fault.Kind.BRIDGE, a -> volts[(int) (double) a], 0, 1, 2, 3);
    assertThat(met.spread(0, 0)).isCloseTo(0.1, within(1e-9));
    assertThat(met.spread(1, 0)).as("beside the fuse").isCloseTo(0.2, within(1e-9));
    assertThat(met.spread(2, 0)).as("beside the fuse").isCloseTo(0.4, within(1e-9));
    assertThat(met.spread(3, 0)).isCloseTo(0.2, within(1e-9));
    Severities two = of(Fault.Kind.BRIDGE, a -> volts[(int) (2 * a)], 0, 1);
    assertThat(two.spread(0, 0)).as("a dead circuit is dead").isZero();
    assertThat(two.spread(1, 0)).as("as far from sound").isCloseTo(0.3, within(1e-9));
  }

  @Test
  void severitiesOfOneFaultStandTogether() {
    Hypothesis none = Made.healthy(1);
    List<Hypothesis> all =
        List.of(
            none,
            of(Fault.of(Fault.Kind.OHMS, "a", 1)),
            of(Fault.of(Fault.Kind.OHMS, "a", 2)),
            of(Fault.of(Fault.Kind.SHORT, "a", 2)),
            of(new Fault(Fault.Kind.BRIDGE, "a", "b", 1)),
            of(new Fault(Fault.Kind.BRIDGE, "a", "c", 1)),
            of(Fault.of(Fault.Kind.OHMS, "b", 1)));
    assertThat(Severities.apart(all))
        .containsExactly(
            all.subList(0, 1),
            all.subList(1, 3),
            all.subList(3, 4),
            all.subList(4, 5),
            all.subList(5, 6),
            all.subList(6, 7));
  }
}
