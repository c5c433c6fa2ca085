package org.jexel.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jexel.core.check.Band;
import org.jexel.core.check.Check;
import org.jexel.core.check.CheckId;
import org.jexel.core.quantity.Measure;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class OfferedTest {
  private static final Check BOX = of(Check.Group.BOX, Measure.VOLTS);
  private static final Check WHEEL = of(Check.Group.WHEELS, Measure.VOLTS);
  private static final Check DRUM = of(Check.Group.DRUM, Measure.VOLTS);
  private static final Check DRIVEN = of(Check.Group.DRIVEN, Measure.VOLTS);
  private static final Check OHMS = of(Check.Group.TRAILER, Measure.OHMS);
  private static final Check AMPS = of(Check.Group.BRAKES, Measure.AMPS);
  private static final Predicted RIG =
      new Predicted(
          List.of(BOX, WHEEL, DRUM, DRIVEN, OHMS, AMPS),
          List.of(Made.row(Made.healthy(1))),
          both -> Optional.empty());

  private static Check of(Check.Group group, Measure measure) {
    return Made.check(
        new CheckId(group.name(), "part"), group, "place", measure, new Band(2, 1, 3), 1);
  }

  @Test
  void withoutSuspicionNoWheelIsRaised() {
    Offered offered = new Offered(RIG, read(2, 2), false);
    assertThat(RIG.checks()).filteredOn(offered).containsExactly(BOX, OHMS, AMPS);
  }

  /** The band of 1 to 3: of ohms on the scale asinh R, of amperes as it stands, both ends in. */
  @ParameterizedTest
  @CsvSource({
    "1, 3, true",
    "3, 1, true",
    "0.99, 2, false",
    "3.01, 2, false",
    "2, 0.99, false",
    "2, 3.01, false",
    "-1, 2, false",
    "2, -1, false"
  })
  void nobodyDrivesBeforeOhmsAndAmperesHold(double ohms, double amps, boolean driven) {
    Offered offered = new Offered(RIG, read(ohms, amps), true);
    assertThat(offered.test(DRIVEN)).isEqualTo(driven);
    assertThat(offered.test(WHEEL)).isTrue();
    assertThat(offered.test(DRUM)).isTrue();
  }

  @Test
  void whatWasNotReadDoesNotHold() {
    assertThat(new Offered(RIG, Map.of(5, Reading.first(AMPS, 2)), true).test(DRIVEN)).isFalse();
    assertThat(new Offered(RIG, Map.of(4, Reading.first(OHMS, 2)), true).test(DRIVEN)).isFalse();
  }

  private static Map<Integer, Reading> read(double ohms, double amps) {
    return Map.of(4, Reading.first(OHMS, ohms), 5, Reading.first(AMPS, amps));
  }
}
