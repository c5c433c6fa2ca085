package org.jexel.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import net.jqwik.api.Assume;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class QuantityParserTest {
  private static double value(String typed, Measure measure, UnitSystem system) {
    Parsed parsed = QuantityParser.parse(typed, measure, system);
    assertThat(parsed).as(typed).isInstanceOf(Parsed.Value.class);
    return ((Parsed.Value) parsed).si();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "12.4; VOLTS; 12.4",
        "12,4; VOLTS; 12.4",
        "12.4 V; VOLTS; 12.4",
        "12.4v; VOLTS; 12.4",
        "850 mV; VOLTS; 0.85",
        "-0.3; VOLTS; -0.3",
        "−0,3 V; VOLTS; -0.3",
        "3.2 ohm; OHMS; 3.2",
        "3,2 Ω; OHMS; 3.2",
        "850 mohm; OHMS; 0.85",
        "10k; OHMS; 10000",
        "450 mA; AMPS; 0.45",
        "1 250; MASS; 1250",
        "1250 kg; MASS; 1250",
        "1.25 t; MASS; 1250",
        "2.4; LENGTH; 2.4",
        "240 cm; LENGTH; 2.4",
        "1 3/8 in; SMALL_LENGTH; 0.034925",
        "3/4 in; SMALL_LENGTH; 0.01905",
        "7'6\"; LENGTH; 2.286",
        "7' 6\"; LENGTH; 2.286",
        "7 ft 6 in; LENGTH; 2.286",
        "7'; LENGTH; 2.1336",
        "7’6”; LENGTH; 2.286",
        "6'3 1/2\"; LENGTH; 1.9177",
        "25 mph; SPEED; 11.176",
        "40; SPEED; 11.1111111",
        "40 km/h; SPEED; 11.1111111",
        "10 %; SHARE; 0.1",
        "5 Ah; CAPACITY; 18000",
        "200 l; VOLUME; 0.2",
        "1,5 m3; VOLUME; 1.5"
      })
  void readsTheSpellingsOfAYard(String typed, Measure measure, double si) {
    assertThat(value(typed, measure, UnitSystem.METRIC)).isCloseTo(si, within(1e-6));
  }

  @ParameterizedTest
  @CsvSource({
    "2755, MASS, 1249.647",
    "7.5, LENGTH, 2.286",
    "25, SPEED, 11.176",
    "1.5, SMALL_LENGTH, 0.0381"
  })
  void aBareNumberHasThePersonsOwnUnit(String typed, Measure measure, double si) {
    assertThat(value(typed, measure, UnitSystem.US)).isCloseTo(si, within(1e-3));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "twelve",
        "12.4.1",
        "12 kg",
        "1/0",
        "3/0 V",
        "--3",
        "12 V 3",
        "1e999999",
        "NaN",
        "Infinity",
        "<script>",
        "0x1F",
        "12..4",
        "V",
        ".",
        ",",
        "1 2 3"
      })
  void refusesNonsenseWithWhatWouldBeUnderstood(String typed) {
    Parsed parsed = QuantityParser.parse(typed, Measure.VOLTS, UnitSystem.METRIC);
    assertThat(parsed).as(typed).isInstanceOf(Parsed.Misread.class);
    assertThat(((Parsed.Misread) parsed).message()).containsPattern("\\d");
  }

  @ParameterizedTest
  @ValueSource(strings = {"1,200", "12,500 kg", "1,200 kg"})
  void asksWhenACommaCouldMeanAThousandOrADecimal(String typed) {
    Parsed parsed = QuantityParser.parse(typed, Measure.MASS, UnitSystem.METRIC);
    assertThat(parsed).isInstanceOf(Parsed.Misread.class);
    assertThat(((Parsed.Misread) parsed).message()).contains("could be");
  }

  @Property
  void whatIsPrintedReadsBackToTheSameFigure(
      @ForAll @DoubleRange(min = 0.01, max = 9999) double si,
      @ForAll Measure measure,
      @ForAll UnitSystem system) {
    // A day is told to the day: see CalendarDayTest.
    Assume.that(measure.words().isEmpty() && measure != Measure.DATE);
    String printed = measure.text(si, system);
    double back = value(printed, measure, system);
    double step = measure.unit(system).toSi(1);
    assertThat(measure.number(back, system)).isEqualTo(measure.number(si, system));
    assertThat(back).isCloseTo(si, within(0.51 * step));
  }

  @Test
  void everyWordReadsBackToItsPlaceAndOthersAreToldTheList() {
    for (Measure measure : Measure.values()) {
      for (int i = 0; i < measure.words().size(); i++) {
        assertThat(value(measure.text(i, UnitSystem.METRIC), measure, UnitSystem.METRIC))
            .isEqualTo(i);
      }
    }
    assertThat(value("OUT", Measure.GLOW, UnitSystem.METRIC)).isZero();
    assertThat(value("lit", Measure.GLOW, UnitSystem.METRIC)).isEqualTo(3);
    Parsed parsed = QuantityParser.parse("12 V", Measure.GLOW, UnitSystem.METRIC);
    assertThat(((Parsed.Misread) parsed).message()).contains("dark, glimmers, dim, bright");
  }

  @Test
  void whatAnOhmmeterSaysInsteadOfAFigureReadsBackAndIsNothingElsesReading() {
    for (NoFigure said : List.of(NoFigure.OPEN, NoFigure.LIVE)) {
      String word = Measure.OHMS.text(said.si(), UnitSystem.METRIC);
      assertThat(word).isEqualTo(said.word());
      assertThat(value(word + " circuit", Measure.OHMS, UnitSystem.US)).isEqualTo(said.si());
      assertThat(QuantityParser.parse(word, Measure.VOLTS, UnitSystem.METRIC))
          .isInstanceOf(Parsed.Misread.class);
    }
    assertThat(value("blown", Measure.AMPS, UnitSystem.METRIC)).isEqualTo(NoFigure.BLOWN.si());
    assertThat(Measure.AMPS.text(NoFigure.BLOWN.si(), UnitSystem.US)).isEqualTo("blown");
    assertThat(value("O.L", Measure.OHMS, UnitSystem.METRIC)).isEqualTo(NoFigure.OPEN.si());
  }

  /** Whoever is told how to write a figure is understood when it is written so. */
  @Test
  void everyExampleIsUnderstoodItself() {
    for (Measure measure : Measure.values()) {
      for (UnitSystem system : UnitSystem.values()) {
        String told =
            ((Parsed.Misread) QuantityParser.parse("nonsense", measure, system)).message();
        if (measure.words().isEmpty() && measure != Measure.DATE) {
          String examples = told.replaceAll(".*as in ", "").replaceAll("\\.$", "");
          Stream.of(examples.split(", (?!\\d+ [VAo])|,? or |; or "))
              .map(example -> example.replaceAll("^or ", ""))
              .forEach(
                  example ->
                      assertThat(QuantityParser.parse(example, measure, system))
                          .as(measure + ": " + example + " of " + told)
                          .isInstanceOf(Parsed.Value.class));
        }
      }
    }
  }

  @Property
  void noResistanceThatAMeterShowsIsTakenForOpenOrLive(
      @ForAll @DoubleRange(min = -10, max = 999_000) double ohms) {
    assertThat(NoFigure.of(Measure.OHMS, ohms)).isEmpty();
    assertThat(Measure.OHMS.text(ohms, UnitSystem.METRIC)).endsWith("Ω");
    assertThat(NoFigure.of(Measure.VOLTS, ohms * 1e3)).isEmpty();
  }

  @Property
  void feetAndInchesAreTheirSum(
      @ForAll @IntRange(max = 40) int feet,
      @ForAll @IntRange(max = 11) int inches,
      @ForAll @IntRange(min = 1, max = 15) int sixteenths) {
    String typed = "%d' %d %d/16\"".formatted(feet, inches, sixteenths);
    assertThat(value(typed, Measure.LENGTH, UnitSystem.METRIC))
        .isCloseTo(feet * 0.3048 + (inches + sixteenths / 16.0) * 0.0254, within(1e-12));
  }

  @Property
  void noTextEverThrows(@ForAll String typed, @ForAll Measure measure) {
    assertThat(QuantityParser.parse(typed, measure, UnitSystem.US)).isNotNull();
  }

  @Property
  void commaAndPointAreOneDecimalMark(@ForAll @DoubleRange(min = 0.01, max = 99) double x) {
    String point = String.format(Locale.ROOT, "%.2f", x);
    assertThat(value(point.replace('.', ','), Measure.VOLTS, UnitSystem.METRIC))
        .isEqualTo(value(point, Measure.VOLTS, UnitSystem.METRIC));
  }
}
