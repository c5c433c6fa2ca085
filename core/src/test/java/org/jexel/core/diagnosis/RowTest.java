package org.jexel.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.jexel.core.check.Check;
import org.jexel.core.network.Fault;
import org.jexel.core.quantity.Measure;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RowTest {
  private static final Check VOLTS = Made.volts("v");
  private static final Check GLOW = Made.check("look", Measure.GLOW, 3, 3);

  private static Row one(double mean, double deviation) {
    return Made.row(Made.open("a", 1), mean, deviation);
  }

  /** ln BC of two of 0.1 V is −gap²/0.08, so 0.268 V part them; a vague one by what it is not. */
  @ParameterizedTest
  @CsvSource({
    "12.0, 0.1, 12.27, 0.1, true", "12.0, 0.1, 12.26, 0.1, false",
    "12.0, 0.1, 12.21, 2.0, true", "12.0, 0.1, 12.19, 2.0, false",
    "12.0, 0.1, 12.67, 0.5, true", "12.0, 0.1, 12.65, 0.5, false"
  })
  void figuresAreApartByWhereTheirDensitiesLie(
      double a, double da, double b, double db, boolean apart) {
    assertThat(one(a, da).apart(one(b, db), VOLTS, 0)).isEqualTo(apart);
    assertThat(one(b, db).apart(one(a, da), VOLTS, 0)).isEqualTo(apart);
  }

  @Property
  void whoeverIsAskedSaysTheSame(
      @ForAll @DoubleRange(min = 9, max = 13) double mean,
      @ForAll @DoubleRange(min = 0.02, max = 2) double wide) {
    Row sharp = one(12.6, 0.05);
    Row other = one(mean, wide);
    assertThat(sharp.apart(other, VOLTS, 0)).isEqualTo(other.apart(sharp, VOLTS, 0));
    assertThat(other.apart(other, VOLTS, 0)).isFalse();
  }

  @Test
  void wordsAreApartByHalfTheLight() {
    assertThat(one(2.9, 0).apart(one(2.32, 0), GLOW, 0)).as("half the light").isTrue();
    assertThat(one(2.9, 0).apart(one(2.4, 0), GLOW, 0)).isFalse();
  }

  @Test
  void whatMakesAndBreaksIsReadEitherWay() {
    Row off = one(0, 0.1);
    Row loose =
        new Row(
            Made.fault(Fault.of(Fault.Kind.LOOSE, "b"), Made.family("b"), 1),
            new double[] {12.5},
            new double[] {0.1},
            true,
            off);
    Reading full = Reading.first(VOLTS, 12.5);
    double whole = Math.exp(Likelihood.log(VOLTS, 12.5, 0.1, full));
    double broken = Math.exp(Likelihood.log(VOLTS, 0, 0.1, full));
    assertThat(loose.log(VOLTS, 0, full))
        .isCloseTo(Math.log(0.6 * whole + 0.4 * broken), within(1e-9));
    assertThat(loose.off(VOLTS, 0, 0.1)).isCloseTo(1, within(1e-9));
    assertThat(loose.off(VOLTS, 0, 12.3)).isCloseTo(2, within(1e-9));
    assertThat(loose.apart(one(12.5, 0.1), VOLTS, 0)).as("it may stand whole").isFalse();
    assertThat(loose.apart(one(0, 0.1), VOLTS, 0)).as("it may stand off").isFalse();
    assertThat(loose.apart(one(6, 0.1), VOLTS, 0)).isTrue();
    assertThat(one(6, 0.1).apart(loose, VOLTS, 0)).isTrue();
    Row same = Made.row(Made.open("b", 1), 6, 0.1);
    assertThat(loose.apart(same, VOLTS, 0)).as("the same part, off").isFalse();
    Row healthy = one(12.5, 0.1);
    assertThat(loose.touches(healthy, 0)).isTrue();
    assertThat(one(12.5, 0.1).touches(healthy, 0)).isFalse();
  }

  @ParameterizedTest
  @CsvSource({
    "12.5, 0.1, 12.506, true",
    "12.5, 0.1, 12.504, false",
    "3, 0, 2.94, true",
    "3, 0, 2.96, false"
  })
  void aChangeBelowATwentiethOfADeviationIsNone(
      double healthy, double deviation, double mean, boolean touched) {
    assertThat(one(mean, deviation).touches(one(healthy, deviation), 0)).isEqualTo(touched);
  }

  /** Dividers multiply, what starts from nothing adds, and of words the worse is seen. */
  @ParameterizedTest
  @CsvSource({
    "12, 6, 8, 0.1, 4", "0, 1, 2, 0.1, 3", "0.2, 1, 2, 0.1, 2.8", "12, 12, 8, 0.1, 8",
    "12, 6, 12, 0.1, 6", "3, 1, 2, 0, 1", "3, 2, 1, 0, 1", "0, 0, 3, 0, 3"
  })
  void twoFaultsAtOneCheck(double none, double a, double b, double deviation, double together) {
    Row healthy = one(none, deviation);
    assertThat(one(a, deviation).meanWith(one(b, deviation), healthy, 0))
        .isCloseTo(together, within(1e-9));
    Row both = one(a, deviation).with(one(b, deviation), healthy, Made.open("c", 1));
    assertThat(both.means()[0]).isCloseTo(together, within(1e-9));
    assertThat(both.solved()).isFalse();
  }

  /** The wider of both, and three tenths of the lesser change, since the sum is rough. */
  @Test
  void twoFaultsTogetherAreVaguerThanEach() {
    Row healthy = one(12, 0.1);
    Row a = one(6, 0.2);
    Row b = one(8, 0.3);
    assertThat(a.deviationWith(b, healthy, 0)).isCloseTo(Math.hypot(0.3, 1.2), within(1e-9));
    assertThat(a.deviationWith(one(12, 0.1), healthy, 0)).isEqualTo(0.2);
    assertThat(one(12, 0.1).deviationWith(b, healthy, 0)).isEqualTo(0.3);
    Row look = one(3, 0);
    assertThat(one(1, 0).deviationWith(one(2, 0), look, 0)).isZero();
  }
}
