package org.jexel.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class CalendarDayTest {
  /** Week 11 of 2021 begins on 15 March, by any calendar that counts weeks. */
  @ParameterizedTest
  @CsvSource({
    "2021-03-15, 15 Mar 2021",
    "2021-03, 1 Mar 2021",
    "Mar 2021, 1 Mar 2021",
    "7 march 2021, 7 Mar 2021",
    "1121, 15 Mar 2021",
    "5320, 28 Dec 2020",
    "0120, 30 Dec 2019"
  })
  void aDayAMonthAndAStampedCodeAreUnderstood(String typed, String shown) {
    assertThat(QuantityParser.parse(typed, Measure.DATE, UnitSystem.METRIC))
        .isInstanceOfSatisfying(
            Parsed.Value.class,
            day -> {
              assertThat(Measure.DATE.text(day.si(), UnitSystem.METRIC)).isEqualTo(shown);
              assertThat(CalendarDay.si(CalendarDay.of(day.si()))).isEqualTo(day.si());
              assertThat(QuantityParser.parse(shown, Measure.DATE, UnitSystem.US)).isEqualTo(day);
            });
  }

  @ParameterizedTest
  @ValueSource(strings = {"3/4/21", "2021", "2021-13", "31 Feb 2021", "last year", "12.5", ""})
  void whatIsNoDayOrAnyOfTwoIsAskedForAgain(String typed) {
    assertThat(QuantityParser.parse(typed, Measure.DATE, UnitSystem.METRIC))
        .isInstanceOf(Parsed.Misread.class);
  }

  @Test
  void aCodeThatReadsLikeAYearIsAskedAbout() {
    assertThat(QuantityParser.parse("2021", Measure.DATE, UnitSystem.METRIC))
        .isInstanceOfSatisfying(
            Parsed.Misread.class,
            asked -> assertThat(asked.message()).contains("the year or week 20", "2021-05"));
  }

  /** 2021 has 52 weeks. */
  @Test
  void aWeekThatTheYearHasNotIsNamed() {
    assertThat(QuantityParser.parse("5321", Measure.DATE, UnitSystem.METRIC))
        .isEqualTo(
            new Parsed.Misread("2021 has no week 53: the code is the week and then the year."));
  }
}
