package org.jexel.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

class UnitTest {
  @Property
  void thereAndBackIsTheSameFigure(
      @ForAll Unit unit, @ForAll @DoubleRange(min = -1e4, max = 1e4) double written) {
    assertThat(unit.fromSi(unit.toSi(written))).isCloseTo(written, within(1e-9));
  }

  @Test
  void aSpellingBelongsToItsDimensionOnly() {
    assertThat(Unit.of(Unit.Dimension.LENGTH, "M")).contains(Unit.METRE);
    assertThat(Unit.of(Unit.Dimension.VOLTAGE, "mv")).contains(Unit.MILLIVOLT);
    assertThat(Unit.of(Unit.Dimension.VOLTAGE, "kg")).isEmpty();
    assertThat(UnitSystem.METRIC.other().other()).isEqualTo(UnitSystem.METRIC);
  }
}
