package org.jexel.core.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.Size;

class SeriesTest {
  /** The median was read, and as many rows lie on either side of it. */
  @Property(tries = 300)
  void theMedianIsOneOfTheRowsWithAsManyOnEitherSide(
      @ForAll @Size(min = 1, max = 60) List<@DoubleRange(min = -30, max = 30) Double> rows) {
    Series series = new Series();
    rows.forEach(series::add);
    double median = series.median();
    assertThat(rows).contains(median);
    assertThat(rows.stream().filter(v -> v < median).count()).isLessThanOrEqualTo(rows.size() / 2);
    assertThat(rows.stream().filter(v -> v > median).count()).isLessThanOrEqualTo(rows.size() / 2);
    assertThat(rows).allMatch(v -> v >= series.least() && v <= series.greatest());
    assertThat(series.count()).isEqualTo(rows.size());
  }

  @Property(tries = 1)
  void nothingHasNoMedian() {
    assertThatThrownBy(new Series()::median).isInstanceOf(IllegalStateException.class);
  }
}
