package org.jexel.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.jexel.core.check.Check;
import org.jexel.core.check.Meter;
import org.jexel.core.quantity.Measure;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Worked by hand: a band of 12 to 13 V is a quarter of a volt at one deviation. */
class DeviationTest {
  /**
   * √((0.25·scale)² + ((0.5 % + 2 digits)/2)² + …), the scale between a quarter and one and a half;
   * and what is divided between a fault and lamps that draw more or less, 0.106·s·(1 − s)·12.5 V.
   */
  @ParameterizedTest
  @CsvSource({
    "12.5, 0.25, 0.04125, 0",
    "6.25, 0.125, 0.025625, 0.33125",
    "1.25, 0.0625, 0.013125, 0.11925",
    "25, 0.375, 0.0725, 0"
  })
  void aReadingThatShrinksTakesItsBandAlong(
      double mean, double parts, double meter, double divided) {
    double known = Math.sqrt(parts * parts + meter * meter + divided * divided);
    assertThat(Deviation.of(Made.volts("v"), mean, 12.5, 0)).isCloseTo(known, within(1e-9));
    assertThat(Deviation.of(Made.volts("v"), mean, 12.5, 0.4))
        .isCloseTo(Math.hypot(known, 0.4), within(1e-9));
  }

  /** The battery's 1.2 %, and a quarter of s·(1 − s) of 12.6 V on contacts on the way. */
  @Test
  void voltsWhereASoundRigHasNoneHangOnTheBatteryAndOnContacts() {
    Check none = Made.check("rest", Measure.VOLTS, -0.04, 0.04);
    double parts = 0.02;
    double meter = (0.005 * 6.3 + 0.02) / 2;
    double way = 0.25 * 0.5 * 0.5 * 12.6;
    assertThat(Deviation.of(none, 6.3, 0, 0))
        .isCloseTo(
            Math.sqrt(parts * parts + meter * meter + 0.0756 * 0.0756 + way * way), within(1e-9));
    double all = (0.005 * 12.6 + 0.02) / 2;
    assertThat(Deviation.of(none, 12.6, 0, 0))
        .as("nothing is lost where all of it is there")
        .isCloseTo(Math.sqrt(parts * parts + all * all + 0.1512 * 0.1512), within(1e-9));
  }

  /** Of 14 A within a twentieth; what a sound rig does not draw, some lamp does, 7.5 %. */
  @ParameterizedTest
  @CsvSource({"14, 14, 0.35", "140, 14, 3.5", "1.4, 14, 0.0875", "2, 0, 0.3808"})
  void aCurrentIsWideByItsShareHoweverMuchItIs(double mean, double healthy, double parts) {
    Check amps = Made.check("amps", Measure.AMPS, 13.3, 14.7);
    double meter = Meter.error(mean, Measure.AMPS) / 2;
    assertThat(Deviation.of(amps, mean, healthy, 0))
        .isCloseTo(Math.hypot(parts, meter), within(1e-3));
  }

  @Test
  void wordsHaveTheFaultsAloneAndWhatIsLiveTheMeters() {
    assertThat(Deviation.of(Made.check("look", Measure.GLOW, 3, 3), 3, 3, 0.4)).isEqualTo(0.4);
    Check ohms = Made.check("ohms", Measure.OHMS, 1, 2);
    assertThat(Deviation.of(ohms, -14, 1, 5)).isCloseTo((0.005 * 14 + 0.2) / 2, within(1e-9));
    double width = (Math.log(2 + Math.sqrt(5)) - Math.log(1 + Math.sqrt(2))) / 4;
    assertThat(Deviation.of(ohms, 1, 1, 0))
        .isCloseTo(Math.hypot(width, (0.005 + 0.2) / 2), within(1e-9));
  }
}
